import { sum } from 'd3-array';
import { compileModel } from '../../../core/buying/plan/compile-model.ts';
import {
	mostToPay,
	walkAwayPrices,
	worthTogether,
	type WorthReason
} from '../../../core/buying/plan/walk-away.ts';
import { openLedger } from '../../../core/buying/plan/ledger.ts';
import type { Problem } from '../../../core/problem.ts';
import type { Reader } from '../../database/open.ts';
import type { NamedWant } from '../wants/read-wants.ts';
import { readProblem } from './read-problem.ts';
import { searchFor } from './search-for.ts';

/** What may be paid for a want at a fair, and why. */
export interface FairWant {
	readonly key: string;
	readonly version: string;
	readonly name: string;
	readonly title: string;
	/** "Harbour Lights 1994, Base" */
	readonly of: string;
	readonly quantity: number;
	readonly isFavourite: boolean;
	readonly leastCondition: string | null;
	/** The most that one is worth, in minor units; null: nobody is known to offer it, and no price is known. */
	readonly worthMinor: number | null;
	readonly by: WorthReason | null;
	/** Where it would else come from. */
	readonly seller: string | null;
}

/** What to carry to a fair: every want with the price from which on to walk away. */
export interface FairView {
	readonly currency: string;
	readonly wants: readonly FairWant[];
	readonly problems: readonly Problem[];
}

/** The most to tell where nothing says what a card is worth. */
const NO_LIMIT = 1e12;

/** A plan near the least will do: it is the differences that are told. */
const SEARCH = { gap: 0.01, longestMs: 3000 };

/** Works out what each want is worth given the best other way, telling how far it is. */
export async function fairView(
	db: Reader,
	tell: (told: { readonly done: number; readonly total: number }) => void
): Promise<FairView> {
	const stored = await readProblem(db, {});
	const { model, sellerKeys } = compileModel(stored.problem);
	const { best } = searchFor(model, SEARCH);
	const worth = walkAwayPrices(model, best, NO_LIMIT, (done, total) => tell({ done, total }));
	const sellers = new Map(stored.problem.sellers.map(({ key, name }) => [key, name]));
	return {
		currency: stored.view.rules.currency,
		problems: stored.problems,
		wants: stored.view.wants.map((want, i): FairWant => {
			const found = worth[i];
			const isOffered = found !== undefined && found.seller >= 0;
			const most = mostToPay({
				planMinor: isOffered ? found.worthMinor : null,
				sheetMinor: sheetPriceOf(want),
				limitMinor: want.mostMinor
			});
			return {
				...{ key: want.key, version: want.versions[0] ?? '', name: want.name, title: want.title },
				...{ of: `${want.release}, ${want.group}`, quantity: want.quantity },
				...{ isFavourite: want.isFavourite, leastCondition: want.leastCondition ?? null },
				worthMinor: most?.minor ?? null,
				by: most?.by ?? null,
				seller: isOffered ? (sellers.get(sellerKeys[found.seller] ?? '') ?? null) : null
			};
		})
	};
}

const sheetPriceOf = ({ price, inSum }: Pick<NamedWant, 'price' | 'inSum'>): number | null =>
	price?.highMinor ?? inSum?.eachMinor ?? null;

/** What some cards are worth together: a lot that somebody offers at a fair. */
export interface FairLot {
	readonly currency: string;
	readonly cards: number;
	/** The most to pay for all of them, in minor units. */
	readonly worthMinor: number;
	/** Cards of which nothing is known: they count nothing. */
	readonly unknown: number;
}

/**
 * Works out what wants are worth together, one of each: by the plan what it gets, by the price sheet the rest, and no more
 * than the limits where all have one.
 *
 * @param keys of wants; what is not wanted any more is left out
 */
export async function fairLot(db: Reader, keys: readonly string[]): Promise<FairLot> {
	const { problem, view } = await readProblem(db, {});
	const { model } = compileModel(problem);
	const { best } = searchFor(model, SEARCH);
	const { got } = openLedger(model, best);
	const picks = [...view.wants.entries()].filter(([, { key }]) => keys.includes(key));
	const [planned, others] = partition(picks, ([i]) => (got[i] ?? 0) > 0);
	const told = others.map(([, want]) =>
		mostToPay({ planMinor: null, sheetMinor: sheetPriceOf(want), limitMinor: want.mostMinor })
	);
	const worth =
		worthTogether(
			model,
			best,
			planned.map(([i]) => i),
			NO_LIMIT
		) + sum(told, (most) => most?.minor ?? 0);
	const limits = picks.map(([, { mostMinor }]) => mostMinor ?? Infinity);
	return {
		currency: view.rules.currency,
		cards: picks.length,
		worthMinor: Math.min(worth, sum(limits)),
		unknown: told.filter((most) => most === null).length
	};
}

function partition<Thing>(
	things: readonly Thing[],
	isFirst: (thing: Thing) => boolean
): readonly [readonly Thing[], readonly Thing[]] {
	return [things.filter(isFirst), things.filter((thing) => !isFirst(thing))];
}
