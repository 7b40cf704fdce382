<script lang="ts">
	import { wholeSections } from '$lib/core/checklist/edition';
	import { runRuleFor, type Parallel } from '$lib/core/checklist/parallel';
	import { SWATCHES } from '$lib/core/checklist/swatch';
	import { expand } from '$lib/core/checklist/versions/expand';
	import { cardsOf, type Release } from '$lib/core/checklist/release';
	import type { Section } from '$lib/core/checklist/section';
	import { formatOdds } from '$lib/core/checklist/odds';
	import { foldRuns } from '$lib/core/checklist/fold-runs';

	/** Sections down, parallels across, print runs where they meet. */
	let { release, compact = false }: { release: Release; compact?: boolean } = $props();
	const packName = (key: string) =>
		release.packTypes.find((packType) => packType.key === key)?.name ?? key;
	/** "/120", "/45, /120", "12 of 20", or nothing where none was made. */
	function runsIn(parallel: Parallel, section: Section): string {
		const rules = section.cards.flatMap((card) => runRuleFor(parallel, section, card) ?? []);
		if (rules.length === 0) return '';
		const runs = [...new Set(rules.map(({ printRun }) => (printRun ? `/${printRun}` : 'yes')))];
		const some =
			rules.length < section.cards.length ? `, ${rules.length} of ${section.cards.length}` : '';
		return `${runs.slice(0, 3).join(', ')}${runs.length > 3 ? ' …' : ''}${some}`;
	}
	const rows = $derived(
		wholeSections(release).map((section) => ({
			...section,
			numbers: foldRuns(section.cards.flatMap(({ number }) => number ?? [])),
			stated: section.odds
				.map((odds) => `${packName(odds.packType)} ${formatOdds(odds)}`)
				.join(', '),
			runs: release.parallels.map((parallel) => runsIn(parallel, section))
		}))
	);
	/** "with a swatch: 1–40; not seen yet: 17, 88" */
	function swatchesOf(key: string): string {
		const versions = expand(release).filter(
			({ parallelKey, swatch }) => parallelKey === key && swatch
		);
		const numberOf = new Map(
			cardsOf(release).map(({ card }) => [card.key, card.number ?? card.title])
		);
		return SWATCHES.flatMap((swatch) => {
			const ofLevel = versions.filter((version) => version.swatch === swatch);
			const numbers = foldRuns(ofLevel.map(({ cardKey }) => numberOf.get(cardKey) ?? cardKey));
			return numbers === '' ? [] : `${SWATCH_WORDS[swatch]}: ${numbers}`;
		}).join('; ');
	}
	const SWATCH_WORDS = {
		with: 'with a swatch',
		without: 'without one',
		unknown: 'not seen yet'
	} as const;
	const hasOdds = $derived(release.sections.some(({ odds }) => odds.length > 0));
</script>

<div class="overflow-x-auto" id={compact ? undefined : 'parts'}>
	<table class={['table', compact && 'table-sm']}>
		<thead>
			<tr>
				<th>Section</th>
				<th class="text-right">Cards</th>
				<th>Numbers</th>
				{#if hasOdds}<th>Odds</th>{/if}
				{#each release.parallels as { key, name, howToTell } (key)}
					<th class="text-right" title={howToTell}>{name}</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each rows as row (row.key)}
				<tr>
					<th scope="row" class="font-semibold">
						{row.name}
						<span class="block text-sm font-normal quiet"
							>{[
								row.edition ? `${row.kind}, an edition` : row.kind,
								row.printRun ? `/${row.printRun}` : '',
								row.listed ? '' : 'unlisted',
								row.alsoIn.length > 0 ? `shared with ${row.alsoIn.join(', ')}` : ''
							]
								.filter(Boolean)
								.join(', ')}</span
						>
					</th>
					<td class="text-right text-lg">{row.cards.length}</td>
					<td class="max-w-64">{row.numbers || 'none, by title'}</td>
					{#if hasOdds}<td>{row.stated}</td>{/if}
					{#each row.runs as run, i (i)}
						<td class="text-right"
							>{#if run}{run}{:else}<span class="quiet" aria-label="not made">·</span>{/if}</td
						>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if !compact && release.parallels.some(({ howToTell }) => howToTell)}
	<dl class="mt-4 grid gap-x-4 gap-y-1 sm:grid-cols-[auto_1fr]">
		{#each release.parallels as { key, name, howToTell } (key)}
			{@const swatches = swatchesOf(key)}
			{#if howToTell || swatches}
				<dt class="font-semibold">{name}</dt>
				<dd class="quiet">
					{howToTell ?? ''}
					{#if swatches}<span class="block">{swatches}</span>{/if}
				</dd>
			{/if}
		{/each}
	</dl>
{/if}
