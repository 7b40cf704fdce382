<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import { markLine } from './mark-line';

	/** A line once more, with what is not understood and what is pointed out marked in its place. */
	interface Props {
		line: string;
		problems: readonly Problem[];
		notes: readonly Problem[];
	}
	let { line, problems, notes }: Props = $props();
	const pieces = $derived(markLine(line, problems, notes));
</script>

<p class="mt-1 font-mono break-words whitespace-pre-wrap" aria-hidden="true">
	{#each pieces as { text, mark }, i (i)}<span
			class={[
				mark === 'problem' &&
					'font-semibold text-error underline decoration-error decoration-wavy underline-offset-4',
				mark === 'note' && 'underline decoration-accent decoration-dotted underline-offset-4'
			]}>{text}</span
		>{/each}
</p>
