<script lang="ts">
	import type { HTMLTextareaAttributes } from 'svelte/elements';

	/** What the server has; it writes lines in its own way. */
	interface Props extends Omit<HTMLTextareaAttributes, 'value'> {
		value: string;
	}
	/**
	 * Lines that are typed and kept as a whole. What is typed stands until it was sent and is kept: an answer that comes
	 * meanwhile, to an earlier change, does not take it away.
	 */
	let { value, class: more = '', rows = 3, ...rest }: Props = $props();
	let typed = $state<string | null>(null);
	let sent: string | null = null;
	let field: HTMLTextAreaElement;

	$effect(() => {
		const { form } = field;
		const note = () => (sent = typed);
		form?.addEventListener('submit', note);
		return () => form?.removeEventListener('submit', note);
	});
	// Kept: from now on as the server writes it.
	$effect.pre(() => {
		void value;
		if (sent !== null && sent === typed) typed = null;
		sent = null;
	});
</script>

<textarea
	bind:this={field}
	class={['textarea w-full font-mono text-sm', more]}
	{rows}
	spellcheck="false"
	bind:value={() => typed ?? value, (text) => (typed = text)}
	{...rest}></textarea>
