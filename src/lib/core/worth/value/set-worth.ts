import { group } from 'd3-array';
import { CONDITIONS, GRADES } from '../../copies/condition.ts';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';
import {
	estimatePrice,
	USUAL_ESTIMATE_RULES,
	type EstimateFlag,
	type EstimateRules
} from '../prices/estimate-price.ts';
import { indexPoints, type PointIndex } from '../prices/like-points.ts';
import type { PricePoint } from '../prices/price-point.ts';

/** Equal copies whose worth is asked for. */
export interface WorthCopy extends LabelledQuality {
	readonly key: string;
	readonly version: string;
	readonly house?: string;
	readonly quantity: number;
	readonly isKey: boolean;
	/** What sums are made by: a section, a binder, a box. */
	readonly group: string;
	/** What its owner says that each is worth, in minor units; left out: nothing. */
	readonly saidMinor?: number;
}

/** `sales`: the price book. `said`: its owner's value. `asking`, `estimate`: the price book, where nothing was sold. `unknown`: in no sum. */
export const WORTH_BASES = ['sales', 'said', 'asking', 'estimate', 'unknown'] as const;
export type WorthBasis = (typeof WORTH_BASES)[number];

/** What equal copies are worth. Amounts in minor units, of one copy each. */
export interface WorthLine {
	readonly key: string;
	readonly version: string;
	readonly group: string;
	readonly quantity: number;
	readonly basis: WorthBasis;
	/** 0 where it is unknown. */
	readonly lowMinor: number;
	readonly eachMinor: number;
	readonly highMinor: number;
	/** What it would be worth one step worse. */
	readonly lowerMinor: number;
	/** By sales of that quality, or by the share of the rule. */
	readonly lowerBasis: 'sales' | 'share';
	/** ISO 8601 date of the latest price; null: none, or its owner's word. */
	readonly on: string | null;
	readonly flags: readonly EstimateFlag[];
}

/** Sums over lines, in minor units. */
export interface WorthSum {
	readonly copies: number;
	readonly unpriced: number;
	readonly lowMinor: number;
	readonly totalMinor: number;
	readonly highMinor: number;
	/** Everything one step worse. */
	readonly lowerMinor: number;
	/** What of the total key cards make; null: it is nothing. */
	readonly keyShare: number | null;
	/** What of the total rests on a lone or an old sale, or on none. */
	readonly unsureShare: number | null;
}

export interface SetWorth extends WorthSum {
	readonly lines: readonly WorthLine[];
	readonly groups: readonly (WorthSum & { readonly group: string })[];
}

/** What worth is reckoned by. */
export interface WorthRules extends EstimateRules {
	/** What a copy one step worse is worth where nobody has sold such ones. */
	readonly lowerShare: number;
}

/** ● A lightly played set costs about half of a near-mint one. */
export const USUAL_WORTH_RULES: WorthRules = { ...USUAL_ESTIMATE_RULES, lowerShare: 0.5 };

/**
 * What copies are worth on a day: each by the sales of copies like it, else by what its owner says, else by what was
 * asked. What nobody has said anything of is counted, and in no sum.
 *
 * @param on ISO 8601 date
 * @example setWorth([], [], '1996-10-06', USUAL_WORTH_RULES).totalMinor // 0
 */
export function setWorth(
	copies: readonly WorthCopy[],
	points: readonly PricePoint[],
	on: string,
	rules: WorthRules
): SetWorth {
	const index = indexPoints(points);
	type Found = Omit<WorthLine, 'key' | 'group' | 'quantity'>;
	const known = new Map<string, Map<string, Found>>();
	const lines = copies.map((copy): WorthLine => {
		const { key, group: of, quantity, version, house = '', saidMinor = '' } = copy;
		const ofVersion = known.get(version) ?? new Map<string, Found>();
		known.set(version, ofVersion);
		const like = `${formatQuality(copy)} ${house} ${saidMinor}`;
		let found = ofVersion.get(like);
		if (!found) ofVersion.set(like, (found = worthOf(copy, index, on, rules)));
		const { basis, lowMinor, eachMinor, highMinor, lowerMinor, lowerBasis, on: day, flags } = found;
		// Written out: half a million copies make tens of thousands of lines.
		return {
			key,
			version,
			group: of,
			quantity,
			basis,
			lowMinor,
			eachMinor,
			highMinor,
			lowerMinor,
			lowerBasis,
			on: day,
			flags
		};
	});
	const keys = new Set(copies.flatMap(({ key, isKey }) => (isKey ? [key] : [])));
	return {
		...sumOf(lines, keys),
		lines,
		groups: [...group(lines, (line) => line.group)].map(([of, some]) => ({
			group: of,
			...sumOf(some, keys)
		}))
	};
}

function worthOf(
	copy: WorthCopy,
	index: PointIndex,
	on: string,
	rules: WorthRules
): Omit<WorthLine, 'key' | 'group' | 'quantity'> {
	const { version, saidMinor } = copy;
	const book = estimatePrice(index, copy, on, rules);
	if (book.basis !== 'sales' && saidMinor !== undefined) {
		return {
			...{ version, basis: 'said', on: null, flags: [] },
			...{ lowMinor: saidMinor, eachMinor: saidMinor, highMinor: saidMinor },
			...lowerOf(copy, saidMinor, index, on, rules)
		};
	}
	const eachMinor = book.middleMinor ?? 0;
	return {
		...{ version, basis: book.basis, on: book.on, flags: book.flags },
		...{ lowMinor: book.lowMinor ?? 0, eachMinor, highMinor: book.highMinor ?? 0 },
		...lowerOf(copy, eachMinor, index, on, rules)
	};
}

/** One step worse: the next condition word, or a whole grade. A worse copy is never taken to be worth more. */
function lowerOf(
	copy: WorthCopy,
	eachMinor: number,
	index: PointIndex,
	on: string,
	{ lowerShare, ...rules }: WorthRules
): Pick<WorthLine, 'lowerMinor' | 'lowerBasis'> {
	const worse = oneWorse(copy);
	const { basis, middleMinor } =
		worse === null
			? { basis: 'unknown' as const, middleMinor: null }
			: estimatePrice(index, { ...worse, version: copy.version }, on, rules);
	return basis === 'sales' && middleMinor !== null
		? { lowerMinor: Math.min(eachMinor, middleMinor), lowerBasis: 'sales' }
		: { lowerMinor: Math.round(eachMinor * lowerShare), lowerBasis: 'share' };
}

function oneWorse({ grade, condition, house, qualifier }: WorthCopy) {
	if (grade !== undefined) {
		const alike = {
			...(house === undefined ? {} : { house }),
			...(qualifier === undefined ? {} : { qualifier })
		};
		return GRADES.includes(grade - 1) ? { grade: grade - 1, ...alike } : null;
	}
	const next = condition && CONDITIONS[CONDITIONS.indexOf(condition) + 1];
	return next ? { condition: next } : null;
}

function sumOf(lines: readonly WorthLine[], keys: ReadonlySet<string>): WorthSum {
	const sums = { copies: 0, unpriced: 0, lowMinor: 0, totalMinor: 0, highMinor: 0, lowerMinor: 0 };
	let [ofKeys, unsure] = [0, 0];
	for (const line of lines) {
		const { quantity, basis, eachMinor, flags } = line;
		const minor = eachMinor * quantity;
		sums.copies += quantity;
		if (basis === 'unknown') sums.unpriced += quantity;
		sums.lowMinor += line.lowMinor * quantity;
		sums.totalMinor += minor;
		sums.highMinor += line.highMinor * quantity;
		sums.lowerMinor += line.lowerMinor * quantity;
		if (keys.has(line.key)) ofKeys += minor;
		const isSaid = basis === 'asking' || basis === 'estimate';
		if (isSaid || flags.includes('lone sale') || flags.includes('old')) unsure += minor;
	}
	const { totalMinor } = sums;
	return {
		...sums,
		keyShare: totalMinor === 0 ? null : ofKeys / totalMinor,
		unsureShare: totalMinor === 0 ? null : unsure / totalMinor
	};
}

/** What copies were worth on some days, by what was known of prices then; in minor units. */
export function worthOverTime(
	copies: readonly WorthCopy[],
	points: readonly PricePoint[],
	days: readonly string[],
	rules: WorthRules
): readonly { readonly on: string; readonly totalMinor: number; readonly unpriced: number }[] {
	return days.map((on) => {
		const { totalMinor, unpriced } = setWorth(copies, points, on, rules);
		return { on, totalMinor, unpriced };
	});
}
