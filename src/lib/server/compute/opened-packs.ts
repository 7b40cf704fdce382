import { sum } from 'd3-array';
import { costPerNew } from '../../core/packs/openings/cost-per-new.ts';
import { copiesOf } from '../../core/packs/openings/opened-pile.ts';
import { realisedOdds } from '../../core/packs/openings/realised-odds.ts';
import { shareOut, type Share } from '../../core/packs/openings/share-out.ts';
import { parseShareRules } from '../../core/packs/openings/share-rules.ts';
import { hiddenTiles } from '../../core/packs/hidden/hidden-tiles.ts';
import { lastCards } from '../../core/packs/player/last-cards.ts';
import { resolveProfile } from '../../core/packs/profile/resolve-profile.ts';
import { compareSealed, USUAL_SEALED_RULES } from '../../core/packs/sealed/compare-sealed.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import {
	CompareSealedInput,
	CompareSealedOutput,
	HiddenTilesInput,
	HiddenTilesOutput,
	LastCardsInput,
	LastCardsOutput,
	OpenedPacksInput,
	OpenedPacksOutput,
	type CompareSealedRequest,
	type HiddenTilesRequest,
	type LastCardsRequest,
	type OpenedPacksRequest
} from '../../schemas/compute-opened-packs.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

const MOST_PACKS = 100_000;

export const openedPacksComputation = defineComputation({
	name: 'opened-packs',
	summary:
		'What opened packs held: against the stated odds, what a new card cost as it went on, and who gets what of a group opening.',
	input: OpenedPacksInput,
	output: OpenedPacksOutput,
	run(request: OpenedPacksRequest) {
		const { versions = [], packMinor = null, share } = request;
		const read = resolveProfile(request.profile);
		const keys = new Set(request.profile.groups.map(({ key }) => key));
		const problems: Problem[] = [
			...(read.ok
				? []
				: read.problems.map((problem) => ({
						...problem,
						pointer: `/profile${problem.pointer ?? ''}`
					}))),
			...repeated('versions', 'group', versions),
			...versions.flatMap(({ group }, i): readonly Problem[] =>
				keys.has(group)
					? []
					: [
							{
								pointer: `/versions/${i}/group`,
								message: `there is no group "${group}"`,
								remedy: 'Name one of the profile.'
							}
						]
			),
			...repeated('share/cards', 'version', share?.cards ?? [])
		];
		const piles = request.piles.map(({ packs, pulls }) => ({
			packs,
			pulls: pulls.map(({ isNew = false, ...pull }) => ({ ...pull, fresh: isNew ? 1 : 0 }))
		}));
		const packs = sum(piles, (pile) => pile.packs);
		if (packs > MOST_PACKS) {
			problems.push({
				pointer: '/piles',
				message: `${packs} packs are more than ${MOST_PACKS}`,
				remedy: 'Ask for fewer at a time.'
			});
		}
		const shares: Outcome<readonly Share[]> = share ? sharesOf(share, copiesOf(piles)) : good([]);
		if (!shares.ok) problems.push(...shares.problems);
		if (!read.ok || !shares.ok || problems.length > 0) return bad(problems);
		const groups = versions.map(({ group, versions: of }) => ({
			...{ key: group, name: group, versions: of }
		}));
		const realised = realisedOdds({ profile: read.value, groups, unstated: [] }, piles);
		const isNamed = versions.length > 0;
		return good({
			...{ packs: realised.packs, cards: realised.cards, strangers: realised.strangers },
			lines: (isNamed ? realised.lines : []).map(
				({ name: _, comes: __, isUsual: ___, fit, ...line }) => ({
					...line,
					...{ verdict: fit?.verdict ?? null, chance: fit?.chance ?? null }
				})
			),
			points: costPerNew(piles, packMinor),
			shares: shares.value
		});
	}
});

function sharesOf(
	{ rules: text, cards }: NonNullable<OpenedPacksRequest['share']>,
	copies: ReadonlyMap<string, number>
): Outcome<readonly Share[]> {
	const groups = [...new Set(cards.flatMap(({ group }) => group ?? []))];
	const rules = parseShareRules(text, groups);
	if (!rules.ok) {
		return bad(rules.problems.map((problem) => ({ ...problem, pointer: '/share/rules' })));
	}
	const known = new Map(cards.map((card) => [card.version, card]));
	const came = [...copies].map(([version, quantity]) => {
		const { group = null, valueMinor = null } = known.get(version) ?? {};
		return { version, quantity, group, valueMinor };
	});
	return good(shareOut(came, rules.value));
}

export const compareSealedComputation = defineComputation({
	name: 'compare-sealed',
	summary: 'A sealed pack, box or case: kept, opened or sold.',
	input: CompareSealedInput,
	output: CompareSealedOutput,
	run({ packs, trust, costMinor, valueMinor, bringsMinor, rules = {} }: CompareSealedRequest) {
		const { likelyPercent = 90, doubtfulPercent = 50, ...said } = rules;
		const lot = { quantity: 1, packs, trust };
		return good(
			compareSealed(
				{ ...lot, costMinor: costMinor ?? null, valueMinor: valueMinor ?? null },
				bringsMinor ?? null,
				{
					...{ ...USUAL_SEALED_RULES, ...said },
					trustPercent: {
						...USUAL_SEALED_RULES.trustPercent,
						...{ likely: likelyPercent, doubtful: doubtfulPercent }
					}
				}
			)
		);
	}
});

export const hiddenTilesComputation = defineComputation({
	name: 'hidden-tiles',
	summary: 'Cards that hide a tile at random: how many copies to open for one prize, and for all.',
	input: HiddenTilesInput,
	output: HiddenTilesOutput,
	run({ cards }: HiddenTilesRequest) {
		const problems = cards.flatMap(({ tiles, missing }, i): readonly Problem[] =>
			missing <= tiles
				? []
				: [
						{
							pointer: `/cards/${i}/missing`,
							message: `${missing} of ${tiles} tiles cannot be missing`,
							remedy: 'No more than there are.'
						}
					]
		);
		if (problems.length > 0) return bad(problems);
		return good(hiddenTiles(cards.map(({ unopened = 0, ...card }) => ({ ...card, unopened }))));
	}
});

export const lastCardsComputation = defineComputation({
	name: 'last-cards',
	summary: 'Why the last cards of a set cost most: how many packs each part of the way takes.',
	input: LastCardsInput,
	output: LastCardsOutput,
	run({ cards, owned = 0, perPack, odds }: LastCardsRequest) {
		const tell = (pointer: string, message: string, remedy: string): Problem => ({
			...{ pointer, message, remedy }
		});
		const problems: Problem[] = [
			...(owned > cards
				? [tell('/owned', `${owned} of ${cards} cards are here`, 'No more than there are.')]
				: []),
			...((perPack ?? 1) > cards
				? [tell('/perPack', `${perPack} different cards cannot be of ${cards}`, 'Fewer a pack.')]
				: []),
			...(odds && odds.cards > odds.packs
				? [
						tell(
							'/odds',
							`${odds.cards}:${odds.packs} is more than a card a pack`,
							'Say how many come in each pack.'
						)
					]
				: []),
			...(odds && perPack !== undefined
				? [tell('/odds', 'perPack says it as well', 'Keep one of the two.')]
				: [])
		];
		if (problems.length > 0) return bad(problems);
		const chance = odds ? odds.cards / odds.packs : 1;
		const draws = odds
			? [
					{ count: 1, chance },
					{ count: 0, chance: 1 - chance }
				]
			: [{ count: perPack ?? 1, chance: 1 }];
		return good(lastCards({ cards, owned, draws }));
	}
});
