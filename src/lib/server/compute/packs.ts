import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { oddsFit } from '../../core/packs/fit/odds-fit.ts';
import { packOdds } from '../../core/packs/odds/pack-odds.ts';
import { tradeDoubles } from '../../core/packs/simulate/trade-doubles.ts';
import type { PackProfile } from '../../core/packs/profile/pack-profile.ts';
import { resolveProfile, type RawProfile } from '../../core/packs/profile/resolve-profile.ts';
import type { TradeRules } from '../../core/packs/simulate/pack-game.ts';
import { besideFormula } from '../../core/packs/simulate/beside-formula.ts';
import { simulatePacks } from '../../core/packs/simulate/simulate-packs.ts';
import { whenToStop } from '../../core/packs/stop/when-to-stop.ts';
import type { PricedClass } from '../../core/packs/stop/stop-cards.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import {
	OddsFitInput,
	OddsFitOutput,
	PackOddsInput,
	PackOddsOutput,
	SimulatePacksInput,
	SimulatePacksOutput,
	WhenToStopInput,
	WhenToStopOutput,
	type OddsFitRequest,
	type PackOddsRequest,
	type SimulatePacksRequest,
	type TradesRequest,
	type WhenToStopRequest
} from '../../schemas/compute-packs.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

/** Reads profiles, each with its place; all their problems at once. */
function readProfiles(
	raw: readonly (readonly [pointer: string, profile: RawProfile])[]
): Outcome<readonly PackProfile[]> {
	const read = raw.map(([pointer, profile]) => ({ pointer, outcome: resolveProfile(profile) }));
	const problems = read.flatMap(({ pointer, outcome }): readonly Problem[] =>
		outcome.ok
			? []
			: outcome.problems.map((problem) => ({
					...problem,
					pointer: `${pointer}${problem.pointer ?? ''}`
				}))
	);
	if (problems.length > 0) return bad(problems);
	return good(read.flatMap(({ outcome }) => (outcome.ok ? [outcome.value] : [])));
}

export const packOddsComputation = defineComputation({
	name: 'pack-odds',
	summary:
		'What packs promise: copies, different and missing cards, doubles, the chance to be complete and the packs that takes.',
	input: PackOddsInput,
	output: PackOddsOutput,
	run({ profile, packs, points = [], trades }: PackOddsRequest) {
		const read = readProfiles([['/profile', profile]]);
		if (!read.ok) return read;
		const traded = readTrades(trades ?? {}, read.value);
		if (!traded.ok) return traded;
		const odds = packOdds(read.value[0] as PackProfile, packs, points);
		const afterTrades = trades
			? tradeDoubles(odds.groups, traded.value).map(({ key, missing, doubles }) => ({
					...{ key, missing, doubles }
				}))
			: null;
		return good({ ...odds, afterTrades });
	}
});

/** Reads how friends trade, with all problems. */
function readTrades(
	{ isWithinGroup = false, othersFor = [] }: TradesRequest,
	profiles: readonly PackProfile[]
): Outcome<TradeRules> {
	const keys = new Set(profiles.flatMap(({ groups }) => groups.map(({ key }) => key)));
	const problems = [
		...repeated('trades/othersFor', 'group', othersFor),
		...othersFor.flatMap(({ group }, i): readonly Problem[] => {
			if (keys.has(group)) return [];
			const message = `there is no group "${group}"`;
			return [{ pointer: `/trades/othersFor/${i}/group`, message, remedy: 'Name one of them.' }];
		})
	];
	if (problems.length > 0) return bad(problems);
	return good({
		isWithinGroup,
		othersFor: Object.fromEntries(othersFor.map(({ group, doubles }) => [group, doubles]))
	});
}

const USUAL = { runs: 10_000, most: 1_000_000, seed: 1, seconds: 8 };
export const simulatePacksComputation = defineComputation({
	name: 'simulate-packs',
	summary:
		'Packs opened over and over until nothing is lacking, with guarantees, formats and trades; beside the formula where there is one.',
	input: SimulatePacksInput,
	output: SimulatePacksOutput,
	run(request: SimulatePacksRequest) {
		const { parts, trades = {}, seconds = USUAL.seconds, most = USUAL.most } = request;
		const read = readProfiles(
			parts.map(({ profile }, i) => [`/parts/${i}/profile`, profile] as const)
		);
		if (!read.ok) return read;
		const traded = readTrades(trades, read.value);
		if (!traded.ok) return traded;
		const generator = xoroshiro128plus(request.seed ?? USUAL.seed);
		const profiles = read.value.map((profile, i) => ({ profile, packs: parts[i]?.packs ?? 1 }));
		const simulation = {
			...{ parts: profiles, runs: request.runs ?? USUAL.runs, most },
			trades: traded.value
		};
		const end = performance.now() + seconds * 1000;
		const work = simulatePacks(
			simulation,
			() => uniformFloat64(generator),
			() => performance.now() > end
		);
		let step = work.next();
		while (!step.done) step = work.next();
		return good({ ...step.value, formula: besideFormula(step.value, simulation) });
	}
});

export const whenToStopComputation = defineComputation({
	name: 'when-to-stop',
	summary:
		'How many packs to open before singles cost less: by kind and together, with what one more box is worth now.',
	input: WhenToStopInput,
	output: WhenToStopOutput,
	run({ options, prices, formats = [] }: WhenToStopRequest) {
		const read = readProfiles(
			options.map(({ profile }, i) => [`/options/${i}/profile`, profile] as const)
		);
		if (!read.ok) return read;
		const groups = read.value.flatMap((profile, i) =>
			profile.groups.map((group, g) => ({ ...group, pointer: `/options/${i}/profile/groups/${g}` }))
		);
		const first = new Map(groups.toReversed().map((group) => [group.key, group]));
		const classes = (group: (typeof groups)[number]) =>
			JSON.stringify(group.classes.map(({ cards, lacking }) => [cards, lacking]));
		const problems: Problem[] = [
			...repeated('options', 'key', [...options, ...formats]),
			...formats.flatMap(({ parts }, f) => [
				...repeated(`formats/${f}/parts`, 'option', parts),
				...parts.flatMap(({ option }, i): readonly Problem[] => {
					if (options.some(({ key }) => key === option)) return [];
					const message = `there is no kind of pack "${option}"`;
					return [
						{
							pointer: `/formats/${f}/parts/${i}/option`,
							...{ message, remedy: 'Name one of the options.' }
						}
					];
				})
			]),
			...repeated('prices', 'group', prices)
		];
		for (const group of groups) {
			const known = first.get(group.key);
			if (!known || classes(known) === classes(group)) continue;
			const message = `"${group.key}" has other cards than in the first kind that has it`;
			problems.push({ pointer: group.pointer, message, remedy: 'The same classes everywhere.' });
		}
		for (const [i, { group, singleMinor, extraMinor }] of prices.entries()) {
			const known = first.get(group);
			if (!known) {
				const message = `no kind of pack has a group "${group}"`;
				problems.push({ pointer: `/prices/${i}/group`, message, remedy: 'Name one of them.' });
			}
			for (const [field, list] of Object.entries({ singleMinor, extraMinor })) {
				const count = known?.classes.length ?? 1;
				if (!known || !list || list.length === 1 || list.length === count) continue;
				const message = `${list.length} prices for ${count} classes`;
				const remedy = 'One for all, or one for each class in its order.';
				problems.push({ pointer: `/prices/${i}/${field}`, message, remedy });
			}
		}
		if (problems.length > 0) return bad(problems);
		const priced = new Map(
			[...first.values()].map(({ key, classes: parts }) => {
				const { singleMinor = [0], extraMinor = [0] } =
					prices.find(({ group }) => group === key) ?? {};
				const at = (list: readonly number[], c: number) => list[c] ?? list[0] ?? 0;
				return [
					key,
					parts.map((part, c): PricedClass => ({
						...part,
						singleMinor: at(singleMinor, c),
						extraMinor: at(extraMinor, c)
					}))
				];
			})
		);
		return good(
			whenToStop(
				options.map(({ key, priceMinor, packsTogether = 1, most = MOST_PACKS }, i) => ({
					...{ key, priceMinor, packsTogether, most, profile: read.value[i] as PackProfile }
				})),
				priced,
				formats.map(({ key, priceMinor, parts, most = MOST_FORMATS }) => ({
					...{ key, priceMinor, most, packsTogether: 1 },
					opens: options.map(
						(option) => parts.find((part) => part.option === option.key)?.packs ?? 0
					)
				}))
			)
		);
	}
});

const MOST_PACKS = 2000;
const MOST_FORMATS = 500;

export const oddsFitComputation = defineComputation({
	name: 'odds-fit',
	summary: 'What opened packs say of the stated odds, honest about small numbers.',
	input: OddsFitInput,
	output: OddsFitOutput,
	run({ lines }: OddsFitRequest) {
		const problems = [
			...repeated('lines', 'key', lines),
			...lines.flatMap(({ stated, packs, found }, i): readonly Problem[] => [
				...(stated.cards <= stated.packs
					? []
					: [
							{
								pointer: `/lines/${i}/stated`,
								message: `${stated.cards}:${stated.packs} is more than a card a pack`,
								remedy: 'Odds are at most a card a pack.'
							}
						]),
				...(found <= packs
					? []
					: [
							{
								pointer: `/lines/${i}/found`,
								message: `${found} of ${packs} packs held one`,
								remedy: 'No more than were opened.'
							}
						])
			])
		];
		return problems.length > 0 ? bad(problems) : good({ lines: oddsFit(lines) });
	}
});
