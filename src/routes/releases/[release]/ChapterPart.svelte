<script lang="ts">
	import { resolve } from '$app/paths';
	import type {
		Chapter,
		ChapterFinish,
		ChapterQuirk,
		ChapterRun
	} from '$lib/core/checklist/chapters/chapter';
	import { formatOdds } from '$lib/core/checklist/odds';
	import { VARIANT_KINDS } from '$lib/core/checklist/variant';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import Word from '$lib/ui/Word.svelte';
	import Sureness from './Sureness.svelte';

	/** A section as it is told: what it is, how to know it, its finishes, key cards and quirks. */
	interface Props {
		chapter: Chapter;
		/** Cards of which a copy is there. */
		have: number;
		releaseKey: string;
	}
	let { chapter, have, releaseKey }: Props = $props();

	/** So many are shown at once; the others open. */
	const MOST_QUIRKS = 6;
	let isWhole = $state(false);
	const quirks = $derived(isWhole ? chapter.quirks : chapter.quirks.slice(0, MOST_QUIRKS));

	const what = $derived(
		[
			chapter.edition
				? 'an edition'
				: chapter.kind === chapter.name.toLowerCase()
					? ''
					: chapter.kind,
			chapter.numberedIn ? `in the numbering of ${chapter.numberedIn}` : '',
			chapter.isListed ? '' : 'not on the printed list',
			chapter.inNumbering > chapter.cards
				? `${formatCount(chapter.inNumbering)} with its subsets`
				: '',
			chapter.statedTotal && chapter.statedTotal !== chapter.inNumbering
				? `the list says ${formatCount(chapter.statedTotal)}`
				: ''
		]
			.filter(Boolean)
			.join(', ')
	);
	const differences = $derived(
		chapter.edition
			? [
					`the cards of ${chapter.edition.of.join(', ')}`,
					chapter.edition.from ? `numbered from ${chapter.edition.from}` : '',
					chapter.edition.without.length > 0 ? `without ${chapter.edition.without.join(', ')}` : '',
					chapter.edition.changes > 0 ? `${countOf(chapter.edition.changes, 'card')} changed` : '',
					chapter.edition.added > 0 ? `${countOf(chapter.edition.added, 'card')} added` : ''
				]
					.filter(Boolean)
					.join('; ')
			: ''
	);
	const facts = $derived(
		[
			['Numbers', chapter.numbers || 'none: by title'],
			['Repeats', differences],
			['To know it', chapter.howToTell ?? ''],
			[
				'Letters by place',
				(chapter.lettering ?? [])
					.map((text, i) => `${i + 1} ${text === null ? 'none' : text === '' ? '?' : `“${text}”`}`)
					.join(', ')
			],
			['Odds', chapter.odds.map((odds) => `${odds.pack} ${formatOdds(odds)}`).join(', ')],
			['Only in', chapter.onlyIn.join(', ')],
			[
				'By experience',
				[chapter.difficulty?.level, chapter.difficulty?.source].filter(Boolean).join(', ')
			]
		].filter(([, text]) => text !== '')
	);

	const runText = ({ printRun, isEstimate }: ChapterRun) =>
		printRun === null ? 'no run' : isEstimate ? `about ${formatCount(printRun)}` : `/${printRun}`;
	function runsText({ runs }: ChapterFinish): string {
		const [only] = runs;
		if (only && runs.length === 1) return only.printRun === null ? '' : runText(only);
		return runs.map((run) => `${runText(run)} (${run.cards})`).join(', ');
	}
	const swatchText = ({ withSwatch, swatchUnknown }: ChapterFinish) =>
		[
			withSwatch && `with a swatch: ${withSwatch}`,
			swatchUnknown && `swatch not seen yet: ${swatchUnknown}`
		]
			.filter(Boolean)
			.join('; ');
	const quirkName = ({ name, regularName }: ChapterQuirk) =>
		regularName ? `${name}, beside ${regularName}` : name;
</script>

<article
	class="border-t border-base-300 py-6"
	id="part-{chapter.key}"
	aria-labelledby="name-{chapter.key}"
>
	<header class="flex flex-wrap items-baseline justify-between gap-x-6">
		<h3 id="name-{chapter.key}" class="font-serif text-xl">
			{chapter.name} <span class="ml-1 font-sans text-base quiet">{what}</span>
		</h3>
		<p class="text-right" data-testid="have-{chapter.key}">
			<strong class="text-2xl font-semibold">{formatCount(have)}</strong>
			<span class="quiet">of {countOf(chapter.cards, 'card')}</span>
		</p>
	</header>
	{#if chapter.note}<p class="mt-1 max-w-3xl">{chapter.note}</p>{/if}
	<dl class="mt-2 grid max-w-4xl gap-x-5 gap-y-1 sm:grid-cols-[8rem_1fr]">
		{#each facts as [name, text] (name)}
			<dt class="text-sm quiet">
				{#if name === 'Odds'}<Word of="odds">{name}</Word>{:else}{name}{/if}
			</dt>
			<dd class="wrap-break-word">{text}</dd>
		{/each}
	</dl>
	<Sureness {...chapter} />

	{#if chapter.finishes.length > 1 || chapter.finishes.some((finish) => runsText(finish) || finish.howToTell || finish.look)}
		<ul class="mt-3 max-w-4xl" aria-label="Finishes of {chapter.name}">
			{#each chapter.finishes as finish (finish.parallelKey)}
				<li
					class="grid grid-cols-[1fr_auto] items-baseline gap-x-5 border-t border-base-300/60 py-1 sm:grid-cols-[12rem_7rem_8rem_1fr]"
				>
					<strong class="font-semibold">{finish.name}</strong>
					<span class="text-right"
						>{finish.cards === chapter.cards ? 'all' : `${formatCount(finish.cards)} of them`}</span
					>
					<span class="sm:text-right">{runsText(finish)}</span>
					<span class="col-span-full quiet sm:col-span-1"
						>{[
							finish.stockPt !== undefined && `${finish.stockPt} pt`,
							finish.shape,
							finish.look,
							finish.howToTell,
							finish.channel && `only in ${finish.channel}`,
							swatchText(finish)
						]
							.filter(Boolean)
							.join(' · ')}</span
					>
				</li>
			{/each}
		</ul>
	{/if}

	{#if chapter.keyCards.length > 0}
		<p class="mt-3 max-w-4xl">
			<span class="mr-2 text-sm quiet">Key cards</span>
			{#each chapter.keyCards.slice(0, 12) as card, i (card.key)}{i > 0 ? ', ' : ''}<a
					class="prose-link"
					href={resolve('/releases/[release]/cards/[card]', {
						release: releaseKey,
						card: card.key
					})}>{[card.number, card.title].filter(Boolean).join(' ')}</a
				>{/each}{chapter.keyCards.length > 12 ? ` and ${chapter.keyCards.length - 12} more` : ''}
		</p>
	{/if}

	{#if chapter.quirks.length > 0}
		<ul class="mt-3 max-w-4xl">
			{#each quirks as quirk (quirk.key)}
				<li class="grid gap-x-5 border-t border-base-300/60 py-1 sm:grid-cols-[8rem_9rem_1fr]">
					<strong class="font-semibold wrap-break-word">{quirk.cards}</strong>
					<span title={VARIANT_KINDS[quirk.kind].meaning}>{quirk.kind}</span>
					<span>
						{quirkName(quirk)}{#if quirk.howToTell}<span class="quiet">: {quirk.howToTell}</span
							>{/if}
						<Sureness {...quirk} />
					</span>
				</li>
			{/each}
		</ul>
		{#if !isWhole && chapter.quirks.length > MOST_QUIRKS}
			<button class="btn mt-1 btn-ghost btn-sm" onclick={() => (isWhole = true)}
				>{chapter.quirks.length - MOST_QUIRKS} more</button
			>
		{/if}
	{/if}
</article>
