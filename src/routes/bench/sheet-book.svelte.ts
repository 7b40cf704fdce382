import {
	conditionWorksheet,
	type Worksheet,
	type WorksheetAnswer
} from '$lib/core/condition/condition-worksheet';
import { ASPECTS, type Aspect } from '$lib/core/condition/worksheet-levels';
import { stackThickness } from '$lib/core/measuring/stack-thickness';
import type { BenchView } from '$lib/server/bench/bench-view';

type Side = 'front' | 'back';
type TypedSide = Readonly<Record<'leftRight' | 'topBottom' | 'offBy', string>>;
const EMPTY: TypedSide = { leftRight: '', topBottom: '', offBy: '' };

/** Where corners and edges are looked at. */
export const PLACES: Readonly<Record<'corners' | 'edges', readonly string[]>> = {
	corners: ['upper left', 'upper right', 'lower right', 'lower left'],
	edges: ['top', 'right', 'bottom', 'left']
};

const numberOf = (text: string): number | null => {
	const said = text.trim().replace(',', '.');
	return /^\d+(\.\d+)?$/.test(said) ? Number(said) : null;
};
const textOf = (value: number | null | undefined) =>
	value === null || value === undefined ? '' : `${Math.round(value * 100) / 100}`;

/** A worksheet as it is filled in: what is typed, and the word that it comes to. */
export function createSheetBook(view: () => BenchView) {
	const kept = view().copy?.sheet ?? null;
	const sideOf = (side: Side): TypedSide => {
		const said = kept?.sheet[side];
		return said
			? {
					leftRight: textOf(said.leftRight),
					topBottom: textOf(said.topBottom),
					offBy: textOf(said.offBy)
				}
			: EMPTY;
	};
	const placesOf = (aspect: 'corners' | 'edges') =>
		PLACES[aspect].map((_, i) => kept?.sheet[aspect]?.[i] ?? '');
	let sides = $state.raw<Readonly<Record<Side, TypedSide>>>({
		front: sideOf('front'),
		back: sideOf('back')
	});
	let seen = $state.raw<Readonly<Record<Aspect, readonly string[]>>>({
		corners: placesOf('corners'),
		edges: placesOf('edges'),
		surface: kept?.sheet.surface ?? []
	});
	let thickness = $state(textOf(kept?.thicknessPt));
	let stackCards = $state('');
	let stackMm = $state('');
	let size = $state.raw({ widthMm: textOf(kept?.widthMm), heightMm: textOf(kept?.heightMm) });

	const sheet = $derived.by((): Worksheet => {
		const measured = (side: Side) => {
			const [leftRight, topBottom] = [sides[side].leftRight, sides[side].topBottom].map(numberOf);
			const isRight = (value: number | null | undefined) =>
				value !== null && value !== undefined && value <= 100;
			if (!isRight(leftRight) || !isRight(topBottom)) return {};
			const offBy = numberOf(sides[side].offBy) ?? 0;
			return { [side]: { leftRight: leftRight ?? 50, topBottom: topBottom ?? 50, offBy } };
		};
		const levels = ASPECTS.flatMap((aspect) => {
			const looked = seen[aspect].filter((key) => key !== '');
			return looked.length > 0 ? [[aspect, looked]] : [];
		});
		return { ...measured('front'), ...measured('back'), ...Object.fromEntries(levels) };
	});
	const answer = $derived<WorksheetAnswer>(conditionWorksheet(sheet, view().rules));
	const stack = $derived.by(() => {
		const [cards, heightMm] = [numberOf(stackCards), numberOf(stackMm)];
		return cards !== null && heightMm !== null && cards >= 1 && heightMm > 0
			? stackThickness({ cards, heightMm })
			: null;
	});

	return {
		get sides() {
			return sides;
		},
		get seen() {
			return seen;
		},
		get answer() {
			return answer;
		},
		get stack() {
			return stack;
		},
		get size() {
			return size;
		},
		get thickness() {
			return thickness;
		},
		set thickness(text: string) {
			thickness = text;
		},
		get stackCards() {
			return stackCards;
		},
		set stackCards(text: string) {
			stackCards = text;
		},
		get stackMm() {
			return stackMm;
		},
		set stackMm(text: string) {
			stackMm = text;
		},
		setSide(side: Side, change: Partial<TypedSide>) {
			sides = { ...sides, [side]: { ...sides[side], ...change } };
		},
		setSize(change: Partial<typeof size>) {
			size = { ...size, ...change };
		},
		see(aspect: 'corners' | 'edges', i: number, level: string) {
			seen = { ...seen, [aspect]: seen[aspect].map((each, at) => (at === i ? level : each)) };
		},
		/** Of all places the same. */
		seeAll(aspect: 'corners' | 'edges', level: string) {
			seen = { ...seen, [aspect]: PLACES[aspect].map(() => level) };
		},
		toggleSurface(level: string) {
			const { surface } = seen;
			seen = {
				...seen,
				surface: surface.includes(level)
					? surface.filter((each) => each !== level)
					: [...surface, level]
			};
		},
		/** What was measured of a side. */
		takeCentring(
			side: Side,
			{
				leftRight,
				topBottom
			}: Readonly<
				Record<'leftRight' | 'topBottom', { readonly percent: number; readonly offBy: number }>
			>
		) {
			const offBy = textOf(Math.max(leftRight.offBy, topBottom.offBy));
			this.setSide(side, {
				leftRight: textOf(leftRight.percent),
				topBottom: textOf(topBottom.percent),
				offBy
			});
		},
		takeStack() {
			if (stack) thickness = textOf(stack.pt);
		}
	};
}
export type SheetBook = ReturnType<typeof createSheetBook>;
