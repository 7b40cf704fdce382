import { group, rollup, sum } from 'd3-array';
import { shareInterval } from '../chance/share-interval.ts';
import { CONDITIONS, type Condition } from '../copies/condition.ts';
import {
	ASPECT_LEVELS,
	ASPECTS,
	CENTRING_LIMITS,
	type Aspect,
	type AspectLevel,
	type CentringLimit
} from './worksheet-levels.ts';

/** How a side of a card is centred: the left (top) border's part of both, in percent, and how far off that may be. */
export interface SideCentring {
	readonly leftRight: number;
	readonly topBottom: number;
	/** In percentage points; 0: as it is. */
	readonly offBy: number;
}

/** What was seen of a card. Left out: nobody looked. */
export interface Worksheet {
	readonly front?: SideCentring;
	readonly back?: SideCentring;
	/** The level at each place that was looked at: four corners, four edges, what was found on the surface. */
	readonly corners?: readonly string[];
	readonly edges?: readonly string[];
	readonly surface?: readonly string[];
}

/** What a word is made by. */
export interface WorksheetRules {
	readonly limits: readonly CentringLimit[];
	readonly levels: Readonly<Record<Aspect, readonly AspectLevel[]>>;
}

export const USUAL_WORKSHEET_RULES: WorksheetRules = {
	limits: CENTRING_LIMITS,
	levels: ASPECT_LEVELS
};

/** What an aspect allows at best. */
export interface AspectFinding {
	readonly aspect: 'centring' | Aspect;
	readonly word: Condition;
	/** Where the measurement is so rough that a better word may be true. */
	readonly atBest: Condition;
	/** "55:45 front, 62:38 top to bottom"; "a corner is soft". */
	readonly reason: string;
}

export interface WorksheetAnswer {
	/** The worst of what was looked at; null: nothing was. */
	readonly word: Condition | null;
	readonly atBest: Condition | null;
	/** What decides: the findings that allow no better word. */
	readonly because: readonly AspectFinding[];
	readonly findings: readonly AspectFinding[];
	/** What nobody looked at: the word can only fall. */
	readonly notLookedAt: readonly ('centring' | Aspect)[];
}

/**
 * The condition word that a worksheet suggests: the worst of what was seen, with its reason. It is the collector's own
 * word by a table; a house may say something else.
 *
 * @throws RangeError for a level that the table does not have
 * @example conditionWorksheet({ corners: ['sharp', 'soft'] }, USUAL_WORKSHEET_RULES).word // 'excellent'
 */
export function conditionWorksheet(sheet: Worksheet, rules: WorksheetRules): WorksheetAnswer {
	const findings = [
		...centringFinding(sheet, rules.limits),
		...ASPECTS.flatMap((aspect) => aspectFinding(aspect, sheet[aspect] ?? [], rules.levels[aspect]))
	];
	const word = worstOf(findings.map((finding) => finding.word));
	return {
		word,
		atBest: worstOf(findings.map(({ atBest }) => atBest)),
		because: findings.filter((finding) => finding.word === word),
		findings,
		notLookedAt: (['centring', ...ASPECTS] as const).filter(
			(aspect) => !findings.some((finding) => finding.aspect === aspect)
		)
	};
}

/** The worst of some words; null for none. */
function worstOf(words: readonly Condition[]): Condition | null {
	return words.reduce<Condition | null>(
		(worst, word) =>
			worst === null || CONDITIONS.indexOf(word) > CONDITIONS.indexOf(worst) ? word : worst,
		null
	);
}

function centringFinding(
	{ front, back }: Worksheet,
	limits: readonly CentringLimit[]
): readonly AspectFinding[] {
	const sides = [
		...(front ? [{ name: 'front', said: front, limit: 'frontPercent' as const }] : []),
		...(back ? [{ name: 'back', said: back, limit: 'backPercent' as const }] : [])
	];
	if (sides.length === 0) return [];
	const wordAt = (percent: number, limit: 'frontPercent' | 'backPercent') =>
		limits.find((each) => percent <= each[limit] + 1e-9)?.word ?? 'poor';
	const judged = sides.flatMap(({ name, said, limit }) =>
		([said.leftRight, said.topBottom] as const).map((share, i) => {
			const wider = Math.max(share, 100 - share);
			const better = Math.max(50, wider - said.offBy);
			const rounded = Math.round(share);
			const way = i === 0 ? 'left to right' : 'top to bottom';
			return {
				word: wordAt(wider, limit),
				atBest: wordAt(better, limit),
				reason: `${rounded}:${100 - rounded} ${way} on the ${name}`
			};
		})
	);
	const word = worstOf(judged.map((each) => each.word)) ?? 'poor';
	return [
		{
			...{ aspect: 'centring', word, atBest: worstOf(judged.map((each) => each.atBest)) ?? word },
			reason: judged
				.filter((each) => each.word === word)
				.map(({ reason }) => reason)
				.join(', ')
		}
	];
}

function aspectFinding(
	aspect: Aspect,
	seen: readonly string[],
	levels: readonly AspectLevel[]
): readonly AspectFinding[] {
	if (seen.length === 0) return [];
	const known = seen.map((key) => {
		const level = levels.find((each) => each.key === key);
		if (!level) throw new RangeError(`conditionWorksheet: no level "${key}" of ${aspect}`);
		return level;
	});
	const word = worstOf(known.map((level) => level.word)) ?? 'poor';
	const worst = known.filter((level) => level.word === word);
	const names = [...new Set(worst.map(({ key }) => key))].join(', ');
	const reason =
		aspect === 'surface' ? names : `${worst.length} of ${known.length} ${aspect} ${names}`;
	return [{ aspect, word, atBest: word, reason }];
}

/** How often an aspect is weak among the looked-at cards of a section. */
export interface FaultRate {
	readonly section: string;
	readonly aspect: 'centring' | Aspect;
	/** So many of the cards that were looked at are no better than this word. */
	readonly weak: number;
	readonly looked: number;
	/** Between what the rate of all such cards lies with 95 % certainty (Clopper and Pearson 1934). */
	readonly low: number;
	readonly high: number;
}

/**
 * Where the faults of sections lie: "corners weak in 7 of 20". An aspect is weak where it allows no more than a word.
 *
 * @param most the best word that counts as weak
 */
export function faultRates(
	sheets: readonly { readonly section: string; readonly answer: WorksheetAnswer }[],
	most: Condition
): readonly FaultRate[] {
	const isWeak = (word: Condition) => CONDITIONS.indexOf(word) >= CONDITIONS.indexOf(most);
	return [...group(sheets, ({ section }) => section)].flatMap(([section, some]) => {
		const byAspect = rollup(
			some.flatMap(({ answer }) => answer.findings),
			(findings) => ({
				looked: findings.length,
				weak: sum(findings, ({ word }) => (isWeak(word) ? 1 : 0))
			}),
			({ aspect }) => aspect
		);
		return [...byAspect].map(([aspect, { looked, weak }]): FaultRate => ({
			...{ section, aspect, weak, looked },
			...shareInterval(weak, looked)
		}));
	});
}
