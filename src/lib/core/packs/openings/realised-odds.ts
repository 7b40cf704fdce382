import { sum } from 'd3-array';
import { oddsFit, type OddsFit } from '../fit/odds-fit.ts';
import { meanOf, quantileOf } from '../../chance/binomial.ts';
import { copiesAfter, groupLaws } from '../odds/group-law.ts';
import { slotsOf, type PackWay } from '../profile/pack-profile.ts';
import type { ReleasePack } from '../profile/profile-of-release.ts';
import { copiesOf, type OpenedPile } from './opened-pile.ts';

/** What opened packs held of a group, beside what is stated of it. */
export interface RealisedLine {
	readonly key: string;
	readonly name: string;
	readonly comes: PackWay;
	/** A number that every box holds for certain, with the others of its place; null: chance decides. */
	readonly perBox: number | null;
	readonly found: number;
	/** Copies on average as stated, and from where to where in 19 cases of 20. */
	readonly expected: number;
	readonly low: number;
	readonly high: number;
	/** So many came as do in 19 cases of 20. */
	readonly isUsual: boolean;
	/** The exact test of its odds; null: so many come in each pack, or each box, and nothing is left to chance. */
	readonly fit: OddsFit | null;
}

interface CameOut {
	readonly version: string;
	readonly quantity: number;
}

export interface RealisedOdds {
	readonly packs: number;
	readonly cards: number;
	readonly lines: readonly RealisedLine[];
	/** What came of which nobody states the odds, and what came although such packs are not known to hold it. */
	readonly unstated: readonly CameOut[];
	readonly strangers: readonly CameOut[];
}

/**
 * Holds what opened packs held against what is stated of them. Odds are tested by the exact binomial law; of what comes in
 * every pack or box it is told whether so many came. More cards of a group than packs break its odds: it is told as found,
 * and tested at one a pack.
 */
export function realisedOdds(
	{ profile, groups, unstated }: ReleasePack,
	piles: readonly OpenedPile[]
): RealisedOdds {
	const packs = sum(piles, (pile) => pile.packs);
	const copies = copiesOf(piles);
	const slots = slotsOf(profile);
	const lines = groupLaws(profile, slots).map((law) => {
		const named = groups.find(({ key }) => key === law.group.key);
		const expected = copiesAfter(law, packs, profile.packsPerBox);
		return {
			...{ key: law.group.key, name: named?.name ?? law.group.key, comes: law.group.comes },
			perBox: law.slot?.perBox ?? null,
			found: sum(named?.versions ?? [], (version) => copies.get(version) ?? 0),
			expected: meanOf(expected),
			low: quantileOf(expected, 0.025),
			high: quantileOf(expected, 0.975)
		};
	});
	const tested = lines.filter(({ comes, perBox }) => comes.sort === 'odds' && perBox === null);
	const fits = new Map(
		oddsFit(
			tested.flatMap(({ key, comes, found }) =>
				comes.sort === 'odds' ? [{ key, stated: comes, packs, found: Math.min(found, packs) }] : []
			)
		).map((fit) => [fit.key, fit])
	);
	const known = new Set(groups.flatMap(({ versions }) => versions));
	const silent = new Set(unstated.flatMap(({ versions }) => versions));
	const others = [...copies]
		.filter(([version]) => !known.has(version))
		.map(([version, quantity]) => ({ version, quantity }));
	return {
		packs,
		cards: sum(copies.values()),
		lines: lines.map((line) => ({
			...line,
			isUsual: line.found >= line.low && line.found <= line.high,
			fit: fits.get(line.key) ?? null
		})),
		unstated: others.filter(({ version }) => silent.has(version)),
		strangers: others.filter(({ version }) => !silent.has(version))
	};
}
