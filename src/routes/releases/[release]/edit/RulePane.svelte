<script lang="ts">
	import { SHEET_HINTS, type SheetName } from '$lib/core/checklist/rule-sheet/rule-sheet';
	import { countOf } from '$lib/ui/numerals';
	import RuleTable from './RuleTable.svelte';
	import type { RuleBook } from './rule-book.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { book, name }: { book: RuleBook; name: SheetName } = $props();
	const namesIn = (sheet: 'sections' | 'parallels' | 'packTypes') =>
		book.rows(sheet).map(({ cells }) => cells['name'] ?? '');
	const suggestions = $derived({
		sections: namesIn('sections'),
		numberedIn: namesIn('sections'),
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
