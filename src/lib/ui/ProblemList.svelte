<script lang="ts">
	import { formatProblem, type Problem } from '$lib/core/problem';

	interface Props {
		problems: readonly Problem[];
		/** `problem`: nothing goes on until it is mended; `note`: good to know. */
		tone?: 'problem' | 'note';
		most?: number;
	}
	let { problems, tone = 'problem', most = 50 }: Props = $props();
	const shown = $derived(problems.slice(0, most));
</script>

<ul class={['space-y-1.5 border-l-3 pl-4', tone === 'problem' ? 'border-error' : 'border-accent']}>
	{#each shown as problem, i (i)}
		<li class="wrap-break-word">{formatProblem(problem)}</li>
	{/each}
	{#if problems.length > most}<li class="quiet">and {problems.length - most} more</li>{/if}
</ul>
