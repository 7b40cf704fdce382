<script lang="ts">
	import { formatCount } from '$lib/ui/numerals';

	/** The cells of a row of a count table, the sum last; `none` stands for no card. */
	interface Props {
		counts: readonly number[];
		total: number;
		none: string;
	}
	let { counts, total, none }: Props = $props();
</script>

{#each counts as count, i (i)}
	<td class="text-right"
		>{#if count > 0}{formatCount(count)}{:else}<span class="quiet">{none}</span>{/if}</td
	>
{/each}
<td class="text-right font-semibold">{formatCount(total)}</td>
