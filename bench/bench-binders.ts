import { Bench } from 'tinybench';
import { chooseTargets } from '../src/lib/core/binder/choose-targets.ts';
import { planBinder } from '../src/lib/core/binder/plan-binder.ts';
import { planMoves } from '../src/lib/core/binder/plan-moves.ts';
import { report } from './report.ts';

const COUNT = 5000;

/** 5,000 slots of twenty blocks laid out in several ways, and 5,000 pockets put in another order. */
export async function benchBinders(): Promise<void> {
	const nth = Array.from({ length: COUNT }, (_, i) => (i * 7919) % COUNT);
	const slots = nth.map((n, i) => ({
		key: `bench/base-${n}`,
		number: String(n),
		title: `Card ${n}`,
		subject: `Subject ${n % 900}`,
		group: `Group ${n % 30}`,
		block: `Block ${i % 20}`,
		numbering: `Block ${i % 20}`
	}));
	const now = slots.map(({ key }, i) => ({ item: key, pocket: String(i) }));
	const target = slots.map(({ key }, i) => ({ item: key, pocket: String((i * 37) % COUNT) }));
	const lies = nth.map((n) => Math.min(n + (n % 3), COUNT + 99));
	const layout = { pageKind: '3x3', order: 'number', blockStart: 'new-page' } as const;
	const keys = slots.map(({ key }) => key);
	const bench = new Bench({ time: 500, warmupTime: 200 });
	bench
		.add('plain sort', () => void [...keys].sort())
		.add('lay out by number', () => void planBinder(slots, layout))
		.add('lay out running on', () => void planBinder(slots, { ...layout, blockStart: 'runs-on' }))
		.add('lay out in rows', () => void planBinder(slots, { ...layout, parallels: 'rows' }))
		.add('lay out by subject', () => void planBinder(slots, { ...layout, order: 'subject' }))
		.add('plan all moves', () => void planMoves(now, target))
		.add('choose targets', () => void chooseTargets(lies, COUNT + 100));
	await bench.run();
	report(`${COUNT} slots in a binder: volumes of 40 leaves`, bench);
}
