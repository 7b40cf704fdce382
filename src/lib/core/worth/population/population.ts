import { group, max, rollup, sum } from 'd3-array';
import {
	compareQualities,
	formatQuality,
	type LabelledQuality
} from '../../copies/quality-label.ts';

/** Copies of one quality that a house says it graded. */
export interface PopulationCount extends LabelledQuality {
	readonly count: number;
}

/** What a house said on a day: how many copies of a version it graded, by grade. */
export interface PopulationReport {
	readonly version: string;
	readonly house: string;
	/** ISO 8601 date */
	readonly on: string;
	readonly source?: string;
	readonly counts: readonly PopulationCount[];
	/** The sum as the house says it; left out: it says none. */
	readonly total?: number;
}

/** A report whose numbers do not come to the sum that stands below them. */
export interface WrongSum {
	readonly version: string;
	readonly house: string;
	readonly on: string;
	readonly statedTotal: number;
	readonly sum: number;
}

/** Copies of a version at one quality, of all houses that were asked for. */
export interface PopulationLevel extends LabelledQuality {
	/** "8.5", "authentic", "8 (off centre)" */
	readonly label: string;
	readonly count: number;
	/** Of a better grade, without those that have a qualifier or no number. */
	readonly above: number;
	readonly byHouse: Readonly<Record<string, number>>;
}

/** How many copies of a version there are, as far as houses say. */
export interface Population {
	readonly version: string;
	/** The report of each house that counts: its latest. */
	readonly reports: readonly {
		readonly house: string;
		readonly on: string;
		readonly source?: string;
		readonly count: number;
	}[];
	/** The best first; those with a qualifier behind the clean ones of their grade, authentic last. */
	readonly levels: readonly PopulationLevel[];
	/** All that were graded: with a number, with a number and a qualifier, authentic. */
	readonly graded: number;
	readonly numbered: number;
	readonly qualified: number;
	readonly authentic: number;
	/** Clean copies at the asked grade or better, and their part of all that have a number (qualified ones included); null: none has. */
	readonly atLeast: number;
	readonly shareAtLeast: number | null;
	/** The best grade that a clean copy has, and how many have it; null: no clean copy has a number. */
	readonly finest: {
		readonly grade: number;
		readonly count: number;
		readonly houses: readonly string[];
	} | null;
}

/**
 * What houses say of versions: of each house its latest report, added over the houses. The same card can be counted twice,
 * by two houses or when it was graded anew: a population is the most that there are, not how many there are.
 *
 * @param least the grade from which on copies are counted as good
 * @example populations([], 8) // []
 */
export function populations(
	reports: readonly PopulationReport[],
	least: number
): readonly Population[] {
	return [...group(reports, ({ version }) => version)].map(([version, some]) =>
		populationOf(version, latestReports(some), least)
	);
}

/** Reports whose numbers do not come to the sum that the house states. */
export function wrongSums(reports: readonly PopulationReport[]): readonly WrongSum[] {
	return reports.flatMap(({ version, house, on, counts, total }): readonly WrongSum[] => {
		const found = sum(counts, ({ count }) => count);
		const isWrong = total !== undefined && total !== found;
		return isWrong ? [{ version, house, on, statedTotal: total, sum: found }] : [];
	});
}

/** Of each house the report of its latest day; of one day the one that was noted last. */
export function latestReports(reports: readonly PopulationReport[]): readonly PopulationReport[] {
	return [...group(reports, ({ house }) => house).values()].flatMap((some) => {
		const day = max(some, ({ on }) => on);
		return some.findLast(({ on }) => on === day) ?? [];
	});
}

function populationOf(
	version: string,
	reports: readonly PopulationReport[],
	least: number
): Population {
	const counted = reports.flatMap(({ house, counts }) =>
		counts.map((count) => ({ ...count, house }))
	);
	const isClean = ({ grade, qualifier }: LabelledQuality) =>
		grade !== undefined && qualifier === undefined;
	const countOf = (some: readonly PopulationCount[]) => sum(some, ({ count }) => count);
	const clean = counted.filter(isClean);
	const numbered = counted.filter(({ grade }) => grade !== undefined);
	const levels = [...group(counted, formatQuality)].map(([label, some]): PopulationLevel => {
		const [{ grade, isAuthentic, qualifier } = {}] = some;
		return {
			...(grade === undefined ? {} : { grade }),
			...(isAuthentic ? { isAuthentic } : {}),
			...(qualifier === undefined ? {} : { qualifier }),
			...{ label, count: countOf(some) },
			above: countOf(clean.filter((each) => (each.grade ?? 0) > (grade ?? 0))),
			byHouse: Object.fromEntries(rollup(some, countOf, ({ house }) => house))
		};
	});
	const finest = max(
		clean.filter(({ count }) => count > 0),
		({ grade }) => grade
	);
	const atFinest = clean.filter(({ grade, count }) => grade === finest && count > 0);
	const good = countOf(clean.filter(({ grade = 0 }) => grade >= least));
	return {
		version,
		reports: reports.map(({ house, on, source, counts }) => ({
			...{ house, on, count: countOf(counts) },
			...(source === undefined ? {} : { source })
		})),
		levels: levels.sort(compareQualities),
		graded: countOf(counted),
		numbered: countOf(numbered),
		qualified: countOf(numbered) - countOf(clean),
		authentic: countOf(counted) - countOf(numbered),
		atLeast: good,
		shareAtLeast: countOf(numbered) === 0 ? null : good / countOf(numbered),
		finest:
			finest === undefined
				? null
				: {
						grade: finest,
						count: countOf(atFinest),
						houses: [...new Set(atFinest.map(({ house }) => house))].sort()
					}
	};
}
