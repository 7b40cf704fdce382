<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { TradeWord } from './words';

	interface Props {
		of: TradeWord;
		/** The word as it stands there; usually as it is explained. */
		children?: Snippet;
	}
	/** A word of the trade that says what it means when it is pressed. */
	let { of, children }: Props = $props();
	const id = $props.id();
	let means = $state('');

	async function explain() {
		means ||= (await import('./words')).meaningOf(of);
	}
</script>

<button
	type="button"
	class="cursor-help underline decoration-dotted decoration-1 underline-offset-4"
	popovertarget={id}
	>{#if children}{@render children()}{:else}{of}{/if}</button
><span {id} popover class="word-note" role="status" onbeforetoggle={explain}>{means}</span>
