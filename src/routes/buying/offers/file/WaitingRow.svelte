<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Problem } from '$lib/core/problem';
	import { formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { PageData } from './$types';

	interface Props {
		row: PageData['rows'][number];
		releases: PageData['releases'];
		currency: string;
		seller: number;
		problems: readonly Problem[];
	}
	/** A row of a list that fits no card yet. */
	let { row, releases, currency, seller, problems }: Props = $props();
	const { card, breaks } = $derived(row.row);
	const said = $derived(
		[card.set, card.section, card.number, card.subject, card.parallel, card.fields.condition]
			.filter(Boolean)
			.join(', ')
	);
	/** What the row calls its set, where there is one of that name. */
	const likely = $derived(
		(releases.find(({ name }) => name === card.set) ?? releases[0])?.key ?? ''
	);
	const query = $derived(`&seller=${seller}`);
</script>

<li class="border-t border-base-300 py-2" data-testid="waiting-row">
	<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
		<span class="min-w-0 flex-1 basis-60"
			>{said}
			{breaks[0] ? formatMoney(breaks[0].minor, currency) : ''}
			<span class="block text-sm quiet">{row.source}, line {card.line}: {row.reason}</span></span
		>
		{#if breaks.length > 0}
			<form method="POST" action="?/settle{query}" use:enhance class="flex flex-wrap gap-2">
				<input type="hidden" name="row" value={row.id} />
				<select
					name="release"
					class="select w-48 select-sm"
					aria-label="Release of line {card.line}"
					value={likely}
				>
					{#each releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
				<input
					name="line"
					class="input w-28 input-sm"
					aria-label="Card of line {card.line}"
					placeholder="27 brass"
					required
				/>
				<button class="btn btn-sm">It is this</button>
			</form>
		{/if}
		<form method="POST" action="?/drop{query}" use:enhance>
			<input type="hidden" name="row" value={row.id} />
			<button class="btn btn-ghost btn-sm">Drop</button>
		</form>
	</div>
	<ProblemAlert {problems} class="mt-1" />
</li>
