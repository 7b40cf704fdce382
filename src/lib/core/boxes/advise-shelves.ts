import { MIND_G } from './box-weight.ts';
import type { Shelf } from './shelf.ts';

export interface HeavyBox {
	readonly key: string;
	readonly grams: number;
	readonly lengthMm: number;
	/** Key of the shelf it stands on; null: none yet. */
	readonly shelf: string | null;
}

export interface ShelfAdvice {
	readonly box: string;
	readonly from: string | null;
	readonly to: string;
	readonly rule: string;
}

/** From this level on a shelf is not low: about the height of the hip. An assumption of ours. */
const LOW_LEVELS = 2;

/**
 * Where boxes should stand: what is on no shelf goes on one, what is to be lifted with care goes low,
 * the heaviest first to the lowest shelf of its room that has length free and bears it; half as
 * heavy ones follow, light ones go above. Nothing is advised where no lower shelf takes it.
 */
export function adviseShelves(
	boxes: readonly HeavyBox[],
	shelves: readonly Shelf[]
): readonly ShelfAdvice[] {
	const load = new Map(
		shelves.map(({ key }) => {
			const own = boxes.filter(({ shelf }) => shelf === key);
			const sum = (of: (box: HeavyBox) => number) => own.reduce((total, box) => total + of(box), 0);
			return [key, { grams: sum(({ grams }) => grams), mm: sum(({ lengthMm }) => lengthMm) }];
		})
	);
	const lowFirst = [...shelves].sort((a, b) => a.level - b.level);
	const advice: ShelfAdvice[] = [];
	const isLowBetter = ({ grams }: HeavyBox) => grams >= MIND_G / 2;
	const inOrder = [...boxes].sort((a, b) => b.grams - a.grams);
	for (const box of inOrder) {
		const here = shelves.find(({ key }) => key === box.shelf);
		const isHeavy = box.grams >= MIND_G;
		if (here && (!isHeavy || here.level <= LOW_LEVELS)) continue;
		const fits = lowFirst.filter(({ key, lengthMm, ratingG, room, level }) => {
			const there = load.get(key) ?? { grams: 0, mm: 0 };
			return (
				(!here || (room === here.room && level < here.level && level <= LOW_LEVELS)) &&
				there.mm + box.lengthMm <= lengthMm &&
				(ratingG === null || there.grams + box.grams <= ratingG)
			);
		});
		// What is light leaves the low shelves to what is heavy.
		const to = isLowBetter(box)
			? fits[0]
			: (fits.find(({ level }) => level > LOW_LEVELS) ?? fits[0]);
		if (!to) continue;
		for (const [key, sign] of [
			[to.key, 1],
			[here?.key ?? '', -1]
		] as const) {
			const there = load.get(key);
			if (!there) continue;
			there.grams += sign * box.grams;
			there.mm += sign * box.lengthMm;
		}
		advice.push({
			box: box.key,
			from: here?.key ?? null,
			to: to.key,
			rule: isHeavy ? 'heavy boxes stand low' : 'it stands on no shelf yet'
		});
	}
	return advice;
}
