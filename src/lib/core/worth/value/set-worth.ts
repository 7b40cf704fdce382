import { CONDITIONS, GRADES } from '../../copies/condition.ts';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';
import {
	estimatePrice,
	USUAL_ESTIMATE_RULES,
	type EstimateFlag,
	type EstimateRules,
	type PriceEstimate
} from '../prices/estimate-price.ts';
import { indexPoints, type LikeNeed, type PointIndex } from '../prices/like-points.ts';
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
	const estimate = estimator(indexPoints(points), on, rules);
	type Found = Omit<WorthLine, 'key' | 'group' | 'quantity'>;
	const known = new Map<string, Map<string | number, Found>>();
	const lines = copies.map((copy): WorthLine => {
		const { key, group: of, quantity, version } = copy;
		let ofVersion = known.get(version);
		if (!ofVersion) known.set(version, (ofVersion = new Map<string | number, Found>()));
		const like = alikeKey(copy);
		let found = ofVersion.get(like);
		if (!found) ofVersion.set(like, (found = worthOf(copy, estimate, rules)));
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
	const all = openSum();
	const groups = new Map<string, OpenSum>();
	for (const [i, line] of lines.entries()) {
		const isKey = copies[i]?.isKey ?? false;
		addTo(all, line, isKey);
		let ofGroup = groups.get(line.group);
		if (!ofGroup) groups.set(line.group, (ofGroup = openSum()));
		addTo(ofGroup, line, isKey);
	}
	return {
		...closeSum(all),
		lines,
		groups: [...groups].map(([of, sum]) => ({ group: of, ...closeSum(sum) }))
	};
}

/** What makes copies of a version worth the same. Most say a grade or a word, and no more: that is then the key. */
function alikeKey(copy: WorthCopy): string | number {
	const { grade, condition, qualifier, house, saidMinor } = copy;
	const isPlain = qualifier === undefined && house === undefined && saidMinor === undefined;
	const word = isPlain ? (grade ?? condition) : undefined;
	return word ?? `${formatQuality(copy)} ${house ?? ''} ${saidMinor ?? ''}`;
}

type Estimate = (need: LikeNeed) => PriceEstimate;

/** Estimates of a day, each worked out once: what a copy is worth is what the next better one is worth a step worse. */
function estimator(index: PointIndex, on: string, rules: WorthRules): Estimate {
	const known = new Map<string, Map<string, PriceEstimate>>();
	return (need) => {
		const like = `${formatQuality(need)} ${need.house ?? ''}`;
		const ofVersion = known.get(need.version) ?? new Map<string, PriceEstimate>();
		known.set(need.version, ofVersion);
		let found = ofVersion.get(like);
		if (!found) ofVersion.set(like, (found = estimatePrice(index, need, on, rules)));
		return found;
	};
}

function worthOf(
	copy: WorthCopy,
	estimate: Estimate,
	rules: WorthRules
): Omit<WorthLine, 'key' | 'group' | 'quantity'> {
	const { version, saidMinor } = copy;
	const book = estimate(copy);
	if (book.basis !== 'sales' && saidMinor !== undefined) {
		return {
			...{ version, basis: 'said', on: null, flags: [] },
			...{ lowMinor: saidMinor, eachMinor: saidMinor, highMinor: saidMinor },
			...lowerOf(copy, saidMinor, estimate, rules)
		};
	}
	const eachMinor = book.middleMinor ?? 0;
	return {
		...{ version, basis: book.basis, on: book.on, flags: book.flags },
		...{ lowMinor: book.lowMinor ?? 0, eachMinor, highMinor: book.highMinor ?? 0 },
		...lowerOf(copy, eachMinor, estimate, rules)
	};
}

/** One step worse: the next condition word, or a whole grade. A worse copy is never taken to be worth more. */
function lowerOf(
	copy: WorthCopy,
	eachMinor: number,
	estimate: Estimate,
	{ lowerShare }: WorthRules
): Pick<WorthLine, 'lowerMinor' | 'lowerBasis'> {
	const worse = oneWorse(copy);
	const { basis, middleMinor } =
		worse === null
			? { basis: 'unknown' as const, middleMinor: null }
			: estimate({ ...worse, version: copy.version });
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

/** Sums that lines are added to; `keyMinor` and `unsureMinor` are parts of the total. */
type OpenSum = {
	-readonly [Field in keyof Omit<WorthSum, 'keyShare' | 'unsureShare'>]: number;
} & { keyMinor: number; unsureMinor: number };

const openSum = (): OpenSum => ({
	...{ copies: 0, unpriced: 0, lowMinor: 0, totalMinor: 0, highMinor: 0, lowerMinor: 0 },
	...{ keyMinor: 0, unsureMinor: 0 }
});

function addTo(sum: OpenSum, line: WorthLine, isKey: boolean): void {
	const { quantity, basis, eachMinor, flags } = line;
	const minor = eachMinor * quantity;
	sum.copies += quantity;
	if (basis === 'unknown') sum.unpriced += quantity;
	sum.lowMinor += line.lowMinor * quantity;
	sum.totalMinor += minor;
	sum.highMinor += line.highMinor * quantity;
	sum.lowerMinor += line.lowerMinor * quantity;
	if (isKey) sum.keyMinor += minor;
	const isSaid = basis === 'asking' || basis === 'estimate';
	if (isSaid || flags.includes('lone sale') || flags.includes('old')) sum.unsureMinor += minor;
}

function closeSum({ keyMinor, unsureMinor, ...sums }: OpenSum): WorthSum {
	const share = (part: number) => (sums.totalMinor === 0 ? null : part / sums.totalMinor);
	return { ...sums, keyShare: share(keyMinor), unsureShare: share(unsureMinor) };
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
