<script lang="ts">
	import { middleOf } from '$lib/core/worth/prices/price';
	import { foldCards } from '$lib/core/checklist/fold-runs';
	import { cardsOf } from '$lib/core/checklist/release';
	import { parseVersionKey } from '$lib/core/checklist/versions/version-key';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import { formatPriceRange } from '$lib/ui/money';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { PageData } from './$types';
	import { createPriceBook } from './price-book.svelte';
	import PriceLine from '../PriceLine.svelte';
	import SheetTable from './SheetTable.svelte';

	let { view }: { view: NonNullable<PageData['view']> } = $props();
	const currency = $derived(view.rules.currency);
	let chosen = $state('');
	const release = $derived(
		view.releases.find(({ key }) => key === chosen) ??
			view.releases.find(({ key }) => view.wants.some((want) => want.release === key)) ??
			view.releases[0]
	);
	const book = createPriceBook({
		goal: () => view.goal.id,
		release: () => release as NonNullable<typeof release>,
		wants: () => view.wants,
		synonyms: () => view.synonyms,
		currency: () => currency
	});
	const nameOf = $derived(new Map(view.sheet.lines.map(({ key, name }) => [key, name])));
	const flags = $derived(
		book.flags.map(({ key, flag }) => ({ name: nameOf.get(key) ?? 'this', flag }))
	);
	const { counts } = $derived(view.sheet);
	const dear = $derived(view.sheet.lines.filter(({ isDearByPost }) => isDearByPost).length);
	const said = $derived(counts.asking + counts.sale + counts.estimate + counts.lump);

	type Line = (typeof view.sheet.lines)[number];
	/** Begins a line of prices for the cards of a line of the sheet. */
	function price(line: Line) {
		const name = parseVersionKey(line.version ?? '');
		chosen = name?.release ?? chosen;
		const of = view.releases.find(({ key }) => key === name?.release);
		const card = of && cardsOf(of).find((each) => each.card.key === name?.card)?.card;
		const finish = of?.parallels.find(({ key }) => key === name?.parallel)?.name.toLowerCase();
		book.line = card
			? `${[foldCards([card]), finish].filter(Boolean).join(' ')} `
			: `${line.name} `;
		document.getElementById('entry-line')?.focus();
	}
	const forget = (line: Line) =>
		void book.forget(
			line.version === null
				? { lump: Number(line.key.replace('lump ', '')) }
				: { version: line.version }
		);
</script>

<ProblemAlert problems={view.problems} class="mb-3" />
{#if view.wants.length === 0}
	<p class="max-w-xl text-lg">Nothing is missing here. Choose another goal.</p>
{:else}
	{#if view.releases.length > 1}
		<Field label="Numbers are of" class="mb-2">
			<select
				class="select select-sm"
				bind:value={() => release?.key ?? '', (key) => (chosen = key)}
			>
				{#each view.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
	{/if}
	<PriceLine
		bind:line={book.line}
		bind:source={book.source}
		reading={book.reading}
		{flags}
		{currency}
		told={book.told}
		apply={() => void book.apply()}
	/>
	<ProblemAlert problems={book.problems} class="mb-3" />
	<section
		class="mb-4 flex flex-wrap items-baseline gap-x-8 gap-y-1"
		aria-label="What it comes to"
		data-testid="sheet-total"
	>
		<p>
			<strong
				class={['font-serif text-4xl font-medium', view.sheet.estimatedShare > 0 && 'estimate']}
				>{formatMoney(middleOf(view.sheet.total), currency)}</strong
			>
			{#if view.sheet.total.lowMinor !== view.sheet.total.highMinor}
				<span class="quiet">{formatPriceRange(view.sheet.total, currency)}</span>
			{/if}
		</p>
		<p class="text-sm quiet">
			{countOf(said, 'card')} priced{counts.neighbours > 0
				? `, ${counts.neighbours} estimated by their neighbours`
				: ''}{counts.unknown > 0 ? `, ${counts.unknown} without a price` : ''}.
			{#if view.sheet.keyShare > 0}Key cards are {Math.round(100 * view.sheet.keyShare)} % of it.{/if}
			{#if dear > 0}{countOf(dear, 'line')} cheaper than a seller’s postage: buy them with others.{/if}
		</p>
	</section>
	<SheetTable
		sheet={view.sheet}
		{currency}
		postageMinor={view.rules.postageMinor}
		{price}
		{forget}
	/>
{/if}
