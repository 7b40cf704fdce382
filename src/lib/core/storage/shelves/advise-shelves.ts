import { MIND_G } from '../room/box-weight.ts';
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

/** A shelf that bears more than its maker says, even after the advice. */
export interface Overload {
	readonly shelf: string;
	readonly overG: number;
}

export interface ShelfAdvices {
	readonly advice: readonly ShelfAdvice[];
	/** What no other shelf here relieves: boxes have to be split, or stand elsewhere. */
	readonly overloaded: readonly Overload[];
}

/** From this level on a shelf is not low: about the height of the hip. An assumption of ours. */
const LOW_LEVELS = 2;

interface Load {
	grams: number;
	mm: number;
	readonly boxes: HeavyBox[];
}

/**
 * Where boxes should stand. A shelf over its rating is relieved first, whatever that takes: boxes that are
 * enough go to others that bear them, the nearest to what is over first, low where they are heavy. Then
 * what is to be lifted with care goes low, and what is on no shelf goes on one, the heaviest first to the
 * lowest shelf that has length free and bears it; half as heavy ones follow, light ones go above. No
 * advice loads a shelf over its rating or length.
 */
export function adviseShelves(boxes: readonly HeavyBox[], shelves: readonly Shelf[]): ShelfAdvices {
	const loads = new Map(
		shelves.map(({ key }): [string, Load] => {
			const onShelf = boxes.filter(({ shelf }) => shelf === key);
			return [
				key,
				{
					grams: onShelf.reduce((sum, { grams }) => sum + grams, 0),
					mm: onShelf.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
					boxes: onShelf
				}
			];
		})
	);
	const lowFirst = [...shelves].sort((a, b) => a.level - b.level);
	const advice: ShelfAdvice[] = [];
	const overOf = ({ key, ratingG }: Shelf) =>
		ratingG === null ? 0 : Math.max(0, (loads.get(key)?.grams ?? 0) - ratingG);
	const bears = ({ key, lengthMm, ratingG }: Shelf, box: HeavyBox) => {
		const load = loads.get(key);
		return (
			load !== undefined &&
			load.mm + box.lengthMm <= lengthMm &&
			(ratingG === null || load.grams + box.grams <= ratingG)
		);
	};
	const move = (box: HeavyBox, from: Shelf | undefined, to: Shelf, rule: string) => {
		const [here, target] = [from && loads.get(from.key), loads.get(to.key)];
		if (here) {
			here.grams -= box.grams;
			here.mm -= box.lengthMm;
			here.boxes.splice(here.boxes.indexOf(box), 1);
		}
		if (target) {
			target.grams += box.grams;
			target.mm += box.lengthMm;
			target.boxes.push(box);
		}
		advice.push({ box: box.key, from: from?.key ?? null, to: to.key, rule });
	};
	const settled = new Set<HeavyBox>();
	relieve();
	const isLowBetter = ({ grams }: HeavyBox) => grams >= MIND_G / 2;
	for (const box of [...boxes].sort((a, b) => b.grams - a.grams)) {
		if (settled.has(box)) continue;
		const here = shelves.find(({ key }) => key === box.shelf);
		const isHeavy = box.grams >= MIND_G;
		if (here && (!isHeavy || here.level <= LOW_LEVELS)) continue;
		const fits = lowFirst.filter(
			(shelf) =>
				(!here ||
					(shelf.room === here.room && shelf.level < here.level && shelf.level <= LOW_LEVELS)) &&
				bears(shelf, box)
		);
		// What is light leaves the low shelves to what is heavy.
		const to = isLowBetter(box)
			? fits[0]
			: (fits.find(({ level }) => level > LOW_LEVELS) ?? fits[0]);
		if (to) move(box, here, to, isHeavy ? 'heavy boxes stand low' : 'it stands on no shelf yet');
	}
	// What went low may have made room for what is over.
	relieve();
	return {
		advice,
		overloaded: shelves.flatMap((shelf) =>
			overOf(shelf) > 0 ? [{ shelf: shelf.key, overG: overOf(shelf) }] : []
		)
	};

	/** Takes boxes off shelves that are over, the highest first: what falls from there falls far. */
	function relieve(): void {
		for (const shelf of [...lowFirst].reverse()) {
			while (overOf(shelf) > 0) {
				const found = relief(shelf);
				if (!found) break;
				move(found.box, shelf, found.to, 'the shelf bears less than stands on it');
				settled.add(found.box);
			}
		}
	}

	/** A box that relieves a shelf, and where it goes: the lightest that is enough alone, else the heaviest. */
	function relief(shelf: Shelf): { readonly box: HeavyBox; readonly to: Shelf } | null {
		const over = overOf(shelf);
		const rising = (loads.get(shelf.key)?.boxes ?? [])
			.filter(({ grams }) => grams > 0)
			.sort((a, b) => a.grams - b.grams);
		const enough = rising.filter(({ grams }) => grams >= over);
		const rest = rising.filter(({ grams }) => grams < over).reverse();
		for (const box of [...enough, ...rest]) {
			const others = lowFirst.filter((other) => other !== shelf && bears(other, box));
			const near = others.filter(({ room }) => room === shelf.room);
			const choice = near.length > 0 ? near : others;
			const to = isLight(box)
				? (choice.find(({ level }) => level > LOW_LEVELS) ?? choice[0])
				: choice[0];
			if (to) return { box, to };
		}
		return null;
	}
}

function isLight({ grams }: HeavyBox): boolean {
	return grams < MIND_G / 2;
}
