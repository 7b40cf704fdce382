import { Bench } from 'tinybench';
import { planBoxes } from '../src/lib/core/storage/plan/plan-boxes.ts';
import { putAway } from '../src/lib/core/storage/slips/put-away.ts';
import { report } from './report.ts';

/** 500,000 cards in 3,000 releases planned into boxes; a stack of 1,000 put away among them. */
export async function benchBoxes(): Promise<void> {
	const sets = Array.from({ length: 3000 }, (_, i) => {
		const need = 50 + ((i * 7919) % 600);
		const have = (i * 104_729) % need;
		const name = `Release ${i}`;
		const year = String(1950 + (i % 70));
		return { key: `r${i}`, name, year, maker: `Maker ${i % 40}`, cards: have, need, have };
	});
	const places = sets.map(({ key, name, have }, i) => ({
		box: `Long box ${1 + Math.floor(i / 30)}`,
		row: 1 + (Math.floor(i / 6) % 5),
		divider: name,
		set: key,
		numbers: Array.from({ length: have }, (_, n) => String(n + 1))
	}));
	const stack = Array.from({ length: 1000 }, (_, i) => ({
		key: String(i),
		set: `r${(i * 13) % 3000}`,
		number: String(1 + ((i * 37) % 300)),
		title: ''
	}));
	const keys = sets.map(({ key }) => key);
	const bench = new Bench({ time: 800, warmupTime: 100 });
	bench
		.add('plain sort', () => void [...keys].sort())
		.add('plan boxes', () => void planBoxes(sets))
		.add('put away 1,000 cards', () => void putAway(stack, places));
	await bench.run();
	const cards = sets.reduce((sum, set) => sum + set.cards, 0);
	report(`${cards} cards in ${sets.length} releases`, bench);
}
