<script lang="ts">
	import { formatTells } from '$lib/core/checklist/rule-sheet/tell-cell';
	import { SHEET_HINTS, type SheetName } from '$lib/core/checklist/rule-sheet/rule-sheet';
	import type { PaletteFinish } from '$lib/core/checklist/palette';
	import { countOf } from '$lib/ui/numerals';
	import RuleTable from './RuleTable.svelte';
	import type { RuleBook } from './rule-book.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		book: RuleBook;
		name: SheetName;
		/** Finishes that may be taken over. */
		palette: readonly PaletteFinish[];
	}
	let { book, name, palette }: Props = $props();

	function addFinish(key: string) {
		const finish = palette.find((known) => known.key === key);
		if (!finish) return;
		const { key: from, stockPt, tells, ...said } = finish;
		book.add('parallels', {
			...said,
			palette: from,
			...(tells ? { tells: formatTells(tells) } : {}),
			...(stockPt === undefined ? {} : { stockPt: String(stockPt) })
		});
	}
	const namesIn = (sheet: 'sections' | 'parallels' | 'packTypes') =>
		book.rows(sheet).map(({ cells }) => cells['name'] ?? '');
	const suggestions = $derived({
		sections: namesIn('sections'),
		numberedIn: namesIn('sections'),
		takesPlaceOf: [...namesIn('sections'), 'on top'],
		parallel: namesIn('parallels'),
		inParallels: namesIn('parallels'),
		onlyIn: namesIn('packTypes')
	});
</script>

<div class="sticky top-0 z-10 mb-2 border-b border-base-300 bg-base-100 py-2">
	<div class="flex flex-wrap items-center gap-3">
		<button
			class="btn btn-primary btn-sm"
			disabled={book.count === 0 || book.busy}
			onclick={() => book.save()}>Save {countOf(book.count, 'changed row')}</button
		>
		<button class="btn btn-sm" disabled={book.count === 0} onclick={() => book.discard()}
			>Discard</button
		>
		<span class="text-sm quiet">{SHEET_HINTS[name]}</span>
	</div>
	<ProblemAlert problems={book.problems} class="mt-2" most={8} />
</div>
<RuleTable {book} {name} {suggestions} />
{#if name === 'parallels' && palette.length > 0}
	<label class="mt-2 flex flex-wrap items-center gap-2">
		<span class="text-sm quiet">A finish from the palette</span>
		<select
			class="select w-56 select-sm"
			value=""
			onchange={({ currentTarget }) => {
				addFinish(currentTarget.value);
				currentTarget.value = '';
			}}
		>
			<option value=""></option>
			{#each palette as finish (finish.key)}<option value={finish.key}>{finish.name}</option>{/each}
		</select>
	</label>
{/if}
