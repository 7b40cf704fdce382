<script lang="ts">
	import {
		rarityScale,
		type RarityKnowledge,
		type RarityRow
	} from '$lib/core/checklist/rarity/rarity-scale';
	import { wholeSections } from '$lib/core/checklist/edition';
	import { foldCards } from '$lib/core/checklist/fold-runs';
	import type { Release } from '$lib/core/checklist/release';
	import { groupName } from '$lib/core/goal/missing-list';
	import { countOf, formatCount } from '$lib/ui/numerals';

	/** One scale of rarity over all sections and finishes: what is known is drawn full, what is estimated hollow. */
	let { release }: { release: Release } = $props();
	let isOpen = $state(false);
	const scale = $derived(isOpen ? rarityScale(release) : { rows: [], packsMade: null });
	const sections = $derived(
		new Map(wholeSections(release).map((section) => [section.key, section]))
	);
	const packs = $derived(new Map(release.packTypes.map(({ key, name }) => [key, name])));
	/** Scales that can be drawn: copies of each card, or packs for a given one. */
	const ladders = $derived(
		(['copies', 'packs'] as const).flatMap((kind) => {
			const rows = scale.rows.flatMap((row) => {
				const marks = row.scale === kind ? marksOf(row) : null;
				return marks ? [{ row, ...marks }] : [];
			});
			if (rows.length === 0) return [];
			// In powers of ten, from the rarest to the commonest.
			const low = Math.floor(Math.log10(Math.min(...rows.map(({ least }) => least))));
			const high = Math.ceil(Math.log10(Math.max(...rows.map(({ most }) => most))));
			const span = Math.max(1, high - low);
			const at = (amount: number) => {
				const place = (100 * (Math.log10(amount) - low)) / span;
				return kind === 'copies' ? place : 100 - place;
			};
			return [{ kind, rows, at, steps: Array.from({ length: span + 1 }, (_, i) => low + i) }];
		})
	);
	const others = $derived(scale.rows.filter((row) => row.scale === 'experience'));
	const unknown = $derived(scale.rows.filter((row) => row.scale === 'none'));

	/** What of a row its scale measures. */
	function marksOf({ scale: kind, copiesEach, packsForOne }: RarityRow) {
		if (kind === 'copies') return copiesEach;
		return packsForOne === null ? null : { least: packsForOne, most: packsForOne };
	}

	function nameOf({ sectionKey, parallelKey, isShortPrint, cards }: RarityRow): string {
		const section = sections.get(sectionKey);
		if (!section) return sectionKey;
		const name = groupName(release, section, parallelKey);
		if (!isShortPrint && cards.length === section.cards.length) return name;
		const keys = new Set(cards);
		const some = foldCards(section.cards.filter(({ key }) => keys.has(key)));
		const clipped = some.length > 40 ? `${some.slice(0, 39)}…` : some;
		return `${name}, ${isShortPrint ? 'short prints ' : ''}${clipped}`;
	}

	const KNOWN: Readonly<Record<RarityKnowledge, string>> = {
		'stamped run': 'numbered',
		'estimated run': 'a guess',
		odds: 'by its odds',
		packs: 'what inserts leave of a pack',
		experience: 'by experience',
		nothing: 'nothing is known'
	};
	const rounded = (copies: number) =>
		formatCount(copies < 1000 ? Math.round(copies) : Number(copies.toPrecision(2)));

	function amountOf({ copiesEach, knowledge, packsForOne }: RarityRow): string {
		if (copiesEach === null) return packsForOne === null ? '' : `${rounded(packsForOne)} packs`;
		const { least, most } = copiesEach;
		if (knowledge === 'stamped run') return `/${formatCount(least)}`;
		return rounded(least) === rounded(most)
			? `some ${rounded(least)}`
			: `${rounded(least)} to ${rounded(most)}`;
	}
	const sourceOf = ({ knowledge, difficulty, packsForOne, packType, scale: kind }: RarityRow) =>
		[
			KNOWN[knowledge],
			packsForOne === null || kind === 'packs'
				? ''
				: `a given card in ${rounded(packsForOne)} packs`,
			packType !== null && packs.size > 1 ? (packs.get(packType) ?? '') : '',
			difficulty ?? ''
		]
			.filter(Boolean)
			.join(', ');
</script>

<details class="mt-8" bind:open={isOpen}>
	<summary class="cursor-pointer font-serif text-xl">How rare</summary>
	<p class="mt-2 mb-4 max-w-2xl quiet">
		The rarest first, on a scale in powers of ten. A full mark is a stamped run, a hollow one an
		estimate.
		{#if scale.packsMade}
			From what has both odds and a run, some {rounded(scale.packsMade.least)}{rounded(
				scale.packsMade.least
			) === rounded(scale.packsMade.most)
				? ''
				: ` to ${rounded(scale.packsMade.most)}`} packs were made.
		{:else if scale.rows.some((row) => row.scale === 'packs')}
			Nothing here has both odds and a run, so that packs and runs cannot be held against each
			other.
		{/if}
	</p>
	{#each ladders as { kind, rows, at, steps } (kind)}
		<div class="mt-4 grid gap-x-4 sm:grid-cols-[17rem_1fr_7rem]">
			<h3 class="font-semibold">
				{kind === 'copies' ? 'Copies of each card' : 'Packs for a given card'}
			</h3>
			<div class="relative hidden h-6 text-xs quiet sm:block" aria-hidden="true">
				{#each steps as step (step)}
					<span class="absolute -translate-x-1/2" style:left="{at(10 ** step)}%"
						>{formatCount(10 ** step)}</span
					>
				{/each}
			</div>
		</div>
		<ul>
			{#each rows as { row, least, most }, i (i)}
				{@const [from = 0, to = 0] = [at(least), at(most)].sort((a, b) => a - b)}
				<li
					class="grid items-center gap-x-4 border-t border-base-300/60 py-1.5 sm:grid-cols-[17rem_1fr_7rem]"
				>
					<span
						>{nameOf(row)}
						<span class="block text-sm quiet"
							>{countOf(row.cards.length, 'card')}, {sourceOf(row)}</span
						></span
					>
					<span class="relative hidden h-4 sm:block" aria-hidden="true">
						<span class="absolute inset-x-0 top-1/2 border-t border-base-300"></span>
						<span
							class={[
								'absolute top-0.5 h-3 rounded-full border-2 border-primary',
								row.knowledge === 'stamped run' ? 'bg-primary' : 'bg-base-100'
							]}
							style:left="calc({from}% - 6px)"
							style:width="calc({to - from}% + 12px)"
						></span>
					</span>
					<span
						class={['sm:text-right', row.knowledge === 'stamped run' ? 'font-semibold' : 'quiet']}
						>{amountOf(row)}</span
					>
				</li>
			{/each}
		</ul>
	{/each}
	{#if others.length > 0}
		<h3 class="mt-4 font-semibold">By experience only</h3>
		<p>
			{others.map((row) => `${nameOf(row)} (${row.difficulty ?? ''})`).join('; ')}
		</p>
	{/if}
	{#if unknown.length > 0}
		<h3 class="mt-4 font-semibold">Nothing is known of</h3>
		<p class="quiet">{unknown.map(nameOf).join('; ')}</p>
	{/if}
</details>
