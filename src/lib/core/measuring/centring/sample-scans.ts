import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { drawScan, type DrawnScan } from './draw-scan.ts';
import type { Picture } from './picture.ts';

/** A scan that is drawn, so that what it should measure is known. */
export interface SampleScan {
	readonly key: string;
	/** What is to be seen of it. */
	readonly name: string;
	/** The true left and top parts of both borders, in percent; null: it has no border. */
	readonly truth: { readonly leftRight: number; readonly topBottom: number } | null;
	readonly hasId1: boolean;
	readonly scan: Omit<DrawnScan, 'random'>;
}

const USUAL = { widthPx: 700, heightPx: 940, card: { width: 525, height: 735 }, noise: 4 } as const;

/** Drawn scans with known answers. */
export const SAMPLE_SCANS: readonly SampleScan[] = [
	sample('centred', 'Well centred, straight', { left: 30, right: 30, top: 32, bottom: 32 }, 0),
	sample(
		'off',
		'Off to one side, turned a little',
		{ left: 42, right: 24, top: 30, bottom: 38 },
		1.6
	),
	sample('far-off', 'Far off, turned, grainy', { left: 16, right: 56, top: 44, bottom: 22 }, -2.4, {
		noise: 12
	}),
	sample('dark', 'A dark border on white', { left: 34, right: 28, top: 26, bottom: 40 }, 0.8, {
		border: [24, 30, 60],
		background: [245, 245, 245]
	}),
	sample('id-1', 'An ID-1 card beside it', { left: 20, right: 25, top: 22, bottom: 22 }, -0.7, {
		widthPx: 1100,
		heightPx: 760,
		card: { width: 375, height: 525 },
		referencePx: 505.5
	}),
	sample('borderless', 'No border: it says that it cannot', null, 0.5)
];

function sample(
	key: string,
	name: string,
	borders: DrawnScan['borders'],
	turnDeg: number,
	more: Partial<DrawnScan> = {}
): SampleScan {
	const truth = borders && {
		leftRight: (100 * borders.left) / (borders.left + borders.right),
		topBottom: (100 * borders.top) / (borders.top + borders.bottom)
	};
	return {
		...{ key, name, truth, hasId1: more.referencePx !== undefined },
		scan: { ...USUAL, borders, turnDeg, ...more }
	};
}

/** Draws a sample: the same each time. */
export function drawSample({ key, scan }: SampleScan): Picture {
	const source = xoroshiro128plus(key.length);
	return drawScan({ ...scan, random: () => uniformFloat64(source) });
}
