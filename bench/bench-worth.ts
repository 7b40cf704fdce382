import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { drawScan } from '../src/lib/core/measuring/centring/draw-scan.ts';
import { measureCentring } from '../src/lib/core/measuring/centring/measure-centring.ts';
import { fitBoxes } from '../src/lib/core/selling/parcels/fit-boxes.ts';
import { gradeLadder, USUAL_RANK } from '../src/lib/core/worth/ladder/grade-ladder.ts';
import { USUAL_JUMP } from '../src/lib/core/worth/ladder/ladder-steps.ts';
import type { PricePoint } from '../src/lib/core/worth/prices/price-point.ts';
import {
	setWorth,
	USUAL_WORTH_RULES,
	type WorthCopy
} from '../src/lib/core/worth/value/set-worth.ts';
import { median } from './median.ts';

const TODAY = '1996-10-06';
const CARDS = 500;
const LINES = 50_000;

/** A ladder, the worth of half a million copies from summary rows, centring of a scan, ten boxes into a parcel; each beside a sort. */
export async function benchWorth(): Promise<void> {
	const generator = xoroshiro128plus(15);
	const random = () => uniformFloat64(generator);
	const whole = (most: number) => Math.floor(random() * most);
	const points = Array.from({ length: 20_000 }, (): PricePoint => {
		const minor = 100 + whole(90_000);
		const on = `199${whole(7)}-0${1 + whole(9)}-1${whole(10)}`;
		return {
			...{ version: `r/base-${whole(CARDS)}`, grade: 1 + whole(10), kind: 'sale', on },
			...{ lowMinor: minor, highMinor: minor, house: whole(2) === 0 ? 'a' : 'b' }
		};
	});
	const sort = await median(() =>
		Promise.resolve(points.map(({ lowMinor }) => lowMinor).sort((a, b) => a - b))
	);
	const tell = (name: string, ms: number) =>
		console.log(
			`  ${name.padEnd(44)} ${ms.toFixed(1).padStart(9)} ms  × ${(ms / sort).toFixed(1)}`
		);
	console.log('worth');
	tell('sort of 20,000 prices', sort);
	const ladder = await median(() =>
		Promise.resolve(
			gradeLadder({
				cards: Array.from({ length: CARDS }, (_, i) => ({ version: `r/base-${i}`, isKey: i < 20 })),
				columns: Array.from({ length: 10 }, (_, i) => ({ grade: 10 - i })),
				...{ points, populations: [], house: null, on: TODAY, rules: USUAL_WORTH_RULES },
				...{ rank: { ...USUAL_RANK, column: '8' }, jump: USUAL_JUMP }
			})
		)
	);
	tell('ladder of 500 cards × 10 grades', ladder);
	const copies = Array.from({ length: LINES }, (_, i): WorthCopy => ({
		...{ key: `${i}`, version: `r/base-${i % CARDS}`, grade: 1 + (i % 10), quantity: 10 },
		...{ isKey: i < 20, group: `s${i % 40}` }
	}));
	tell(
		'worth of 500,000 copies in 50,000 summary rows',
		await median(() => Promise.resolve(setWorth(copies, points, TODAY, USUAL_WORTH_RULES)))
	);
	const scan = drawScan({
		...{
			widthPx: 1500,
			heightPx: 2100,
			card: { width: 1200, height: 1680 },
			turnDeg: 1.2,
			noise: 4
		},
		...{ borders: { left: 70, right: 50, top: 60, bottom: 80 }, random }
	});
	tell(
		'centring of 1500 × 2100',
		await median(() => Promise.resolve(measureCentring(scan, 'scan', null)))
	);
	const boxes = Array.from({ length: 10 }, (_, i) => ({
		...{
			key: `${i}`,
			lengthMm: 90 + 11 * i,
			widthMm: 70 + 7 * (i % 4),
			heightMm: 60 + 5 * (i % 3)
		},
		turning: 'any' as const
	}));
	for (const [name, lengthMm] of [
		['ten boxes that go into a parcel', 420],
		['ten boxes that do not, or it gives up', 300]
	] as const) {
		const parcel = { lengthMm, widthMm: 260, heightMm: 140 };
		const { verdict } = fitBoxes(boxes, parcel);
		tell(`${name}: ${verdict}`, await median(() => Promise.resolve(fitBoxes(boxes, parcel))));
	}
}
