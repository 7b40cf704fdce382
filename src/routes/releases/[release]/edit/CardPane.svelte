<script lang="ts">
	import { countOf } from '$lib/ui/numerals';
	import WindowedGrid from '$lib/ui/windowed-grid/WindowedGrid.svelte';
	import BulkBar from './BulkBar.svelte';
	import CardRow from './CardRow.svelte';
	import { LAST_COLUMNS, type CardSheet, type SheetRow } from './card-sheet.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		sheet: CardSheet;
		sections: readonly { readonly key: string; readonly name: string }[];
		rarities: readonly string[];
	}
	let { sheet, sections, rarities }: Props = $props();
	const hint = $derived(LAST_COLUMNS.find(({ field }) => field === sheet.lastField)?.hint ?? '');
</script>

{#snippet lastColumn()}
	<select class="select w-full select-xs" bind:value={sheet.lastField} aria-label="Last column">
		{#each LAST_COLUMNS as { field, name } (field)}<option value={field}>{name}</option>{/each}
	</select>
{/snippet}

<div class="sticky top-0 z-10 mb-2 border-b border-base-300 bg-base-100 py-2">
	<div class="flex flex-wrap items-center gap-3">
		<label class="flex items-center gap-2">
			<span class="text-sm quiet">Section</span>
			<select class="select select-sm" bind:value={sheet.sectionKey}>
				{#each sections as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</label>
		<button
			class="btn btn-primary btn-sm"
			disabled={sheet.count === 0 || sheet.busy}
			onclick={() => sheet.save()}>Save {countOf(sheet.count, 'change')}</button
		>
		<button class="btn btn-sm" disabled={sheet.count === 0} onclick={() => sheet.discard()}
			>Discard</button
		>
		<button class="btn btn-sm" onclick={() => sheet.addCard()}>Add a card</button>
		<BulkBar {sheet} {rarities} />
	</div>
	<ProblemAlert problems={sheet.problems} class="mt-2" most={8} />
</div>

<div
	class="hidden grid-cols-[2rem_5rem_1.4fr_1fr_1fr_1fr] items-center gap-2 px-1 text-sm quiet sm:grid"
>
	<span></span><span aria-hidden="true">Number</span><span aria-hidden="true">Title</span><span
		aria-hidden="true">Group</span
	><span aria-hidden="true">Subjects</span>{@render lastColumn()}
</div>
<div class="mb-2 sm:hidden">{@render lastColumn()}</div>
{#if hint}<p class="px-1 pb-1 text-xs quiet sm:text-right">For example: {hint}</p>{/if}
<div role="group" aria-label="Cards">
	<WindowedGrid
		items={sheet.rows}
		keyOf={({ key }) => key}
		columns={() => 1}
		rowHeight={36}
		rowClass="grid"
	>
		{#snippet cell(row: SheetRow)}<CardRow {row} {sheet} />{/snippet}
	</WindowedGrid>
	{#if sheet.rows.length === 0}
		<p class="py-4 quiet">This section has no cards.</p>
	{/if}
</div>
