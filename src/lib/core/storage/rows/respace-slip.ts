import { at } from '../../at.ts';
import { fillRows } from '../plan/fill-rows.ts';

/** Cards that stand behind a divider in a row, in their order. */
export interface StandingRun {
	/** Parts of one run in neighbouring rows have the same key. */
	readonly key: string;
	readonly cards: readonly { readonly key: string; readonly um: number }[];
	/** What its divider takes. */
	readonly dividerUm: number;
}

/** Cards of a run go from one row to another, both from 0. */
export interface RespaceStep {
	readonly run: string;
	readonly from: number;
	readonly to: number;
	readonly cards: readonly string[];
}

export interface RespaceSlip {
	readonly steps: readonly RespaceStep[];
	/** The row that is too full. */
	readonly row: number;
	readonly overUm: number;
}

/** Whether all can stand, and what to move for it. */
export interface Respacing {
	/** False where even all rows together are too short. */
	readonly fits: boolean;
	/** Null where no row is too full, or where nothing helps. */
	readonly slip: RespaceSlip | null;
}

/**
 * The slip that makes room where a row is too full: which cards go into which row, those that end
 * farthest on first, so that there is always room. After it no row that was stood anew is too full, the
 * divider counted that a run pays in every row it stands in.
 */
export function respaceSlip(rows: readonly (readonly StandingRun[])[], rowUm: number): Respacing {
	const lengths = rows.map((row) => row.reduce((sum, run) => sum + lengthOf(run), 0));
	const row = lengths.findIndex((length) => length > rowUm);
	if (row < 0) return { fits: true, slip: null };
	const overUm = at(lengths, row) - rowUm;
	const cardsUm = rows
		.flat()
		.reduce((sum, { cards }) => sum + cards.reduce((width, { um }) => width + um, 0), 0);
	if (cardsUm > rowUm * rows.length) return { fits: false, slip: null };
	for (let size = 2; size <= rows.length; size++) {
		const ways = Array.from({ length: size }, (_, i) => row - i)
			.filter((from) => from >= 0 && from + size <= rows.length)
			.flatMap((from) => standAnew(rows, from, size, rowUm))
			.sort((a, b) => a.broken - b.broken || a.moved - b.moved);
		const [best] = ways;
		if (best) return { fits: true, slip: { steps: best.steps, row, overUm } };
	}
	return { fits: false, slip: null };
}

function lengthOf({ cards, dividerUm }: StandingRun): number {
	return cards.reduce((sum, { um }) => sum + um, dividerUm);
}

interface Way {
	readonly steps: readonly RespaceStep[];
	/** Runs that stand in several rows then, and cards that change their row. */
	readonly broken: number;
	readonly moved: number;
}

/** Some neighbouring rows stood anew; none where that leaves one too full. */
function standAnew(
	rows: readonly (readonly StandingRun[])[],
	first: number,
	size: number,
	rowUm: number
): readonly Way[] {
	const window = rows.slice(first, first + size);
	const runs = mergeParts(window, first);
	const thickest = runs
		.flatMap(({ cards }) => cards)
		.reduce((most, { um }) => Math.max(most, um), 0);
	const divider = runs.reduce((most, { dividerUm }) => Math.max(most, dividerUm), 0);
	// A run that goes on in the next row pays a divider there, and whole cards end before a row does: where
	// rows filled to the brim turn out too full, that much is kept free.
	for (const keptUm of [0, divider, divider + thickest]) {
		const way = rowUm > keptUm ? fill(runs, first, size, rowUm, keptUm) : null;
		if (way) return [way];
	}
	return [];
}

interface MergedRun extends Pick<StandingRun, 'key' | 'dividerUm'> {
	readonly cards: readonly { readonly key: string; readonly um: number; readonly from: number }[];
}

/** Parts of a run in neighbouring rows are one run again, behind one divider. */
function mergeParts(window: readonly (readonly StandingRun[])[], first: number): MergedRun[] {
	const merged: (MergedRun & { cards: MergedRun['cards'][number][] })[] = [];
	window.forEach((row, r) => {
		for (const { key, dividerUm, cards } of row) {
			const moved = cards.map((card) => ({ ...card, from: first + r }));
			const last = merged.at(-1);
			if (last?.key === key) last.cards.push(...moved);
			else merged.push({ key, dividerUm, cards: moved });
		}
	});
	return merged;
}

function fill(
	runs: readonly MergedRun[],
	first: number,
	size: number,
	rowUm: number,
	keptUm: number
): Way | null {
	const named = runs.map(({ cards, dividerUm }, i) => ({
		key: String(i),
		um: cards.reduce((sum, { um }) => sum + um, dividerUm)
	}));
	const filled = fillRows(named, rowUm - keptUm, size);
	if (filled.boxes > 1) return null;
	const steps: RespaceStep[] = [];
	const used = Array.from({ length: size }, () => 0);
	let broken = 0;
	let moved = 0;
	runs.forEach(({ key, dividerUm, cards }, i) => {
		const parts = Array.from({ length: size }, (_, r) =>
			(filled.rows[r] ?? [])
				.filter((part) => part.key === String(i))
				.reduce((sum, { um }) => sum + um, 0)
		);
		const begin = parts.findIndex((um) => um > 0);
		// The divider is in the length of the part it begins; the others pay from what is kept free.
		const room = parts.map((um, r) => (r === begin ? um - dividerUm : um));
		const dealt = dealTo(cards, room, first, begin);
		const rowsOf = new Set(dealt.map(({ to }) => to));
		if (rowsOf.size === 0) rowsOf.add(first + Math.max(0, begin));
		if (rowsOf.size > 1) broken++;
		for (const row of rowsOf) used[row - first] = (used[row - first] ?? 0) + dividerUm;
		for (const { card, to } of dealt) {
			used[to - first] = (used[to - first] ?? 0) + card.um;
			if (card.from === to) continue;
			moved++;
			const last = steps.at(-1);
			if (last?.run === key && last.from === card.from && last.to === to) {
				(last.cards as string[]).push(card.key);
			} else steps.push({ run: key, from: card.from, to, cards: [card.key] });
		}
	});
	if (used.some((um) => um > rowUm + 1e-6)) return null;
	const order = (step: RespaceStep) => (step.to > step.from ? -step.to : step.to);
	return { steps: steps.sort((a, b) => order(a) - order(b)), broken, moved };
}

/** Cards dealt over rows of which each has a part; where a card falls over a border it stays before it. */
function dealTo<Card extends { readonly um: number }>(
	cards: readonly Card[],
	partsUm: readonly number[],
	first: number,
	begin: number
): readonly { readonly card: Card; readonly to: number }[] {
	const byLength = partsUm
		.map((um, i) => ({ um, row: first + i }))
		.filter(({ um, row }) => um > 0 || row === first + begin);
	let part = 0;
	let left = at(byLength, 0).um;
	return cards.map((card) => {
		while (left < card.um - 1e-6 && part < byLength.length - 1) {
			part++;
			left = at(byLength, part).um;
		}
		left -= card.um;
		return { card, to: byLength[part]?.row ?? first };
	});
}
