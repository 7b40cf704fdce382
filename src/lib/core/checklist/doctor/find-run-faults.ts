import { foldCards } from '../fold-runs.ts';
import type { Card } from '../card.ts';
import { narrowness, selects } from '../card-selector.ts';
import { runRuleFor } from '../parallel.ts';
import { cardsOf, type Release } from '../release.ts';
import type { Section } from '../section.ts';
import type { Finding } from './finding.ts';

type Found = { readonly section: Section; readonly card: Card };

/** Parallels that cover nothing, runs above the level below, swatches both ways, odds that do not fit. */
export function findRunFaults(release: Release): readonly Finding[] {
	const cards = cardsOf(release);
	return [
		...findEmptyParallels(release, cards),
		...findSteps(release),
		...findSwatches(release, cards),
		...findTwoSwatches(release, cards),
		...findOdds(release)
	];
}

function findEmptyParallels(release: Release, cards: readonly Found[]): Finding[] {
	return release.parallels.flatMap((parallel, p) =>
		cards.some(({ section, card }) => runRuleFor(parallel, section, card))
			? []
			: {
					code: 'parallel covers nothing' as const,
					weight: 'wrong' as const,
					message: `${parallel.name} was made of no card`,
					pointer: `/parallels/${p}`,
					cards: [],
					mend: { kind: 'remove parallel' as const, parallel: parallel.key }
				}
	);
}

/** Parallels stand in the order of their levels, the commonest first: runs must not grow. */
function findSteps(release: Release): Finding[] {
	const found = new Map<string, Finding>();
	const levels = release.parallels.filter(({ isBaseFinish }) => !isBaseFinish);
	for (const { section, card } of cardsOf(release)) {
		let below = { name: 'base', run: section.printRun };
		for (const parallel of levels) {
			const rule = runRuleFor(parallel, section, card);
			if (rule?.printRun === undefined) continue;
			if (below.run !== undefined && rule.printRun > below.run) {
				const place = `${section.key} ${parallel.key} ${below.name}`;
				const before = found.get(place);
				found.set(place, {
					code: 'print run above the level below',
					weight: 'odd',
					message: `${section.name}: ${parallel.name} /${rule.printRun} is more than ${below.name} /${below.run}, the level below it`,
					pointer: `/parallels/${release.parallels.indexOf(parallel)}`,
					cards: [...(before?.cards ?? []), card.key]
				});
			}
			below = { name: parallel.name, run: rule.printRun };
		}
	}
	return [...found.values()];
}

/** Two rules of the same width that say "with" and "without" of the same card. */
function findSwatches(release: Release, cards: readonly Found[]): Finding[] {
	return release.parallels.flatMap((parallel, p) => {
		const torn = cards.filter(({ section, card }) => {
			const rules = parallel.runs.filter((rule) => rule.swatch && selects(rule, section, card));
			const narrowest = Math.max(...rules.map(narrowness));
			const said = new Set(
				rules.filter((rule) => narrowness(rule) === narrowest).map(({ swatch }) => swatch)
			);
			return said.has('with') && said.has('without');
		});
		if (torn.length === 0) return [];
		return [
			{
				code: 'swatch or not' as const,
				weight: 'wrong' as const,
				message: `${parallel.name} is said to be with and without a swatch for ${foldCards(torn.map(({ card }) => card))}; only one of them exists`,
				pointer: `/parallels/${p}/runs`,
				cards: torn.map(({ card }) => card.key)
			}
		];
	});
}

/** A card has its swatch on one level: two finishes that both say "with" speak of two swatches. */
function findTwoSwatches(release: Release, cards: readonly Found[]): Finding[] {
	const levels = release.parallels.filter(({ runs }) =>
		runs.some(({ swatch }) => swatch === 'with')
	);
	const torn = new Map<string, { levels: readonly string[]; cards: Card[] }>();
	for (const { section, card } of cards) {
		const names = [
			...(section.swatch === 'with' ? ['the base finish'] : []),
			...levels
				.filter((level) => runRuleFor(level, section, card)?.swatch === 'with')
				.map(({ name }) => name)
		];
		if (names.length < 2) continue;
		const known = torn.get(names.join('\n'));
		if (known) known.cards.push(card);
		else torn.set(names.join('\n'), { levels: names, cards: [card] });
	}
	return [...torn.values()].map(({ levels: names, cards: tornCards }) => ({
		code: 'swatch or not',
		weight: 'wrong',
		message: `${foldCards(tornCards)} ${tornCards.length === 1 ? 'has' : 'have'} a swatch in ${names.join(' and in ')}; a card has it on one level only`,
		pointer: `/parallels/${release.parallels.findIndex(({ name }) => name === names[1])}/runs`,
		cards: tornCards.map(({ key }) => key)
	}));
}

/** A pack cannot hold more cards than it holds. */
function findOdds(release: Release): Finding[] {
	return release.packTypes.flatMap(({ key, name, cardsPerPack }, t) => {
		if (cardsPerPack === undefined) return [];
		const stated = [
			...release.sections.flatMap(({ odds }) => odds),
			...release.parallels.flatMap(({ runs }) => runs.flatMap((rule) => rule.odds ?? []))
		];
		const share = stated
			.filter(({ packType }) => packType === key)
			.reduce((sum, { cards, packs }) => sum + cards / packs, 0);
		if (share <= cardsPerPack) return [];
		return [
			{
				code: 'odds do not fit the pack' as const,
				weight: 'wrong' as const,
				message: `${name}: the odds add up to ${share.toFixed(2)} cards a pack, which holds ${cardsPerPack}`,
				pointer: `/packTypes/${t}`,
				cards: []
			}
		];
	});
}
