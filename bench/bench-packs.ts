import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { packOdds } from '../src/lib/core/packs/odds/pack-odds.ts';
import type { PackGroup, PackWay } from '../src/lib/core/packs/profile/pack-profile.ts';
import { simulatePacks } from '../src/lib/core/packs/simulate/simulate-packs.ts';
import { median } from './median.ts';

const odds = (packs: number): PackWay => ({ sort: 'odds', cards: 1, packs });
const each = (count: number): PackWay => ({ sort: 'count', count, isAllDifferent: true });
const group = (key: string, cards: number, comes: PackWay): PackGroup => ({
	...{ key, comes },
	classes: [{ cards, weight: 1, lacking: 1 }]
});
const NO_MORE = { guarantees: [], packsPerBox: null, cardsPerPack: null };
const RUNS = 100_000;

/** Curves of 20 sections over 2,000 packs beside a sort of as many numbers; 100,000 completions beside the random numbers they take. */
export async function benchPacks(): Promise<void> {
	const sections = Array.from({ length: 20 }, (_, i) =>
		i === 0 ? group('base', 180, each(8)) : group(`s${i}`, 15 + 5 * i, odds(2 * i + 1))
	);
	const points = Array.from({ length: 2001 }, (_, i) => i);
	const values = Float64Array.from({ length: 40_000 }, (_, i) => (i * 7919) % 40_009);
	const sort = await median(() => Promise.resolve(values.slice().sort()));
	const curves = await median(() =>
		Promise.resolve(packOdds({ groups: sections, ...NO_MORE }, 2000, points))
	);
	console.log('packs');
	const tell = (name: string, ms: number, beside: number) =>
		console.log(
			`  ${name.padEnd(44)} ${ms.toFixed(1).padStart(9)} ms  × ${(ms / beside).toFixed(1)}`
		);
	tell('sort of 40,000 numbers', sort, sort);
	tell('curves of 20 sections × 2,000 packs', curves, sort);

	// ● A base of a hundred, five inserts of fifteen at growing odds, five cards at 1:100: common practice, no source.
	const master = [
		group('base', 100, each(9)),
		...[3, 6, 9, 12, 18].map((packs, i) => ({
			...group(`insert ${i}`, 15, odds(packs)),
			...{ slot: 'insert', takesPlaceOf: 'base' }
		})),
		group('hit', 5, odds(100))
	];
	const generator = xoroshiro128plus(1);
	let drawn = 0;
	const random = () => {
		drawn++;
		return uniformFloat64(generator);
	};
	const start = performance.now();
	const work = simulatePacks(
		{
			parts: [{ profile: { groups: master, ...NO_MORE }, packs: 1 }],
			...{ runs: RUNS, most: 1e6, trades: { isWithinGroup: false, othersFor: {} } }
		},
		random
	);
	let step = work.next();
	while (!step.done) step = work.next();
	const simulated = performance.now() - start;
	const again = performance.now();
	for (let i = 0; i < drawn; i++) uniformFloat64(generator);
	const raw = performance.now() - again;
	tell(`the ${(drawn / 1e6).toFixed(1)} million random numbers alone`, raw, raw);
	tell('100,000 completions of a 180-card master set', simulated, raw);
	console.log();
}
