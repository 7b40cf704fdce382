import { featuresOf } from './features.ts';
import { RELIABILITIES, type Candidate, type Look, type Reliability } from '../checklist/tell.ts';

/** A feature as a row: what each candidate shows there. */
export interface TellRow {
	readonly feature: string;
	readonly where: Look;
	readonly reliability: Reliability;
	/** By candidate; null: nobody knows. */
	readonly values: readonly (string | null)[];
	/** Whether two candidates that are known differ here. */
	readonly isDifferent: boolean;
}

/** Look-alikes beside each other. */
export interface TellTable {
	/** Keys of the candidates, in the order in which they were given. */
	readonly candidates: readonly string[];
	/** What differs first, of that the cheapest look, then the surest. */
	readonly rows: readonly TellRow[];
	/** Pairs of candidates that no row tells apart. */
	readonly twins: readonly (readonly [string, string])[];
}

/** The tells of candidates as a table to look up, or to carry. */
export function tellApartTable(candidates: readonly Candidate[]): TellTable {
	const features = featuresOf(candidates).map((feature) => ({
		...feature,
		isDifferent: new Set(feature.shown.filter((value) => value !== null)).size > 1
	}));
	const rows = [...features]
		.sort(
			(a, b) =>
				Number(b.isDifferent) - Number(a.isDifferent) ||
				a.seconds - b.seconds ||
				RELIABILITIES[b.reliability].chance - RELIABILITIES[a.reliability].chance
		)
		.map(({ name, where, reliability, values, shown, isDifferent }): TellRow => ({
			feature: name,
			where,
			reliability,
			values: shown.map((value) => (value === null ? null : (values[value] ?? null))),
			isDifferent
		}));
	const telling = features.filter(({ isDifferent }) => isDifferent);
	const keys = candidates.map(({ key }) => key);
	const isTold = (a: number, b: number) =>
		telling.some(({ shown }) => {
			const [left, right] = [shown[a] ?? null, shown[b] ?? null];
			return left !== null && right !== null && left !== right;
		});
	const twins = keys.flatMap((key, a) =>
		keys.flatMap((twin, b): [string, string][] => (b > a && !isTold(a, b) ? [[key, twin]] : []))
	);
	return { candidates: keys, rows, twins };
}
