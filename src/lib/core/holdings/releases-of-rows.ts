import { group } from 'd3-array';
import type { CardDraft, ParallelDraft, ReleaseDraft } from '../checklist/draft/draft.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import { slug } from '../checklist/slug.ts';
import { parseSerial } from '../copies/check-copy.ts';
import { bad, good, type Outcome, type Problem } from '../problem.ts';
import type { HoldingRow } from './holding-row.ts';

/** What stands for the maker of a release where a list says none. */
export const UNKNOWN_MAKER = 'Unknown maker';

/** The part of a release that rows of a list speak of, and which rows these are. */
export interface ReleaseOfRows {
	/** How the rows name their set: `year|maker|set`. */
	readonly set: string;
	readonly release: Release;
}

/**
 * Releases made of rows that fit none: each with the sections, cards and finishes that its rows name. A
 * serial number says how many of its card were made in that finish. Rows have to name a set, its year,
 * and a card by number or subject; all that do not are told at once.
 */
export function releasesOfRows(rows: readonly HoldingRow[]): Outcome<readonly ReleaseOfRows[]> {
	const problems = rows.flatMap(lacksOf);
	if (problems.length > 0) return bad(problems);
	const sets = group(rows, ({ year, maker, set }) => `${year}|${maker}|${set}`);
	const made = [...sets].map(([set, ofSet]) => ({ set, outcome: resolveRelease(draftOf(ofSet)) }));
	const misfits = made.flatMap(({ set, outcome }) =>
		outcome.ok
			? []
			: outcome.problems.map(({ message, remedy }) => ({
					message: `${set.split('|')[2] ?? ''}: ${message}`,
					remedy
				}))
	);
	return misfits.length > 0
		? bad(misfits)
		: good(
				made.flatMap(({ set, outcome }) => (outcome.ok ? [{ set, release: outcome.value }] : []))
			);
}

function lacksOf({ line, set, year, number, subject }: HoldingRow): readonly Problem[] {
	const lacks = (field: string, what: string, remedy: string): Problem => ({
		line,
		field,
		message: `line ${line} names no ${what}`,
		remedy
	});
	return [
		...(set.trim() === ''
			? [lacks('set', 'set', 'Say which set it is of, or settle it by hand.')]
			: []),
		...(/^\d{4}(-\d{2,4})?$/.test(year.trim())
			? []
			: [lacks('year', 'year', 'Write it as 1994 or 1994-95, or settle it by hand.')]),
		...(number.trim() === '' && subject.trim() === ''
			? [lacks('number', 'card', 'Say its number or its subject, or drop the row.')]
			: [])
	];
}

function draftOf(rows: readonly HoldingRow[]): ReleaseDraft {
	const [first] = rows;
	const sections = group(rows, ({ section }) => section.trim() || 'Base');
	const parallels = group(
		rows.filter(({ parallel }) => !/^(base|none|-)?$/i.test(parallel.trim())),
		({ parallel }) => parallel.trim()
	);
	return {
		release: {
			name: first?.set.trim() ?? '',
			maker: first?.maker.trim() || UNKNOWN_MAKER,
			year: first?.year.trim() ?? ''
		},
		sections: [...sections].map(([name, ofSection]) => ({
			key: slug(name),
			name,
			kind: slug(name) === 'base' ? ('base' as const) : ('insert' as const),
			cards: cardsOf(ofSection)
		})),
		parallels: [...parallels].map(([name, ofParallel]): ParallelDraft => ({
			name,
			runs: firstOfEachCard(ofParallel).map((row) => {
				const run = parseSerial(row.fields.serial ?? '')?.of;
				return {
					sections: [slug(row.section.trim() || 'Base')],
					cards: [nameOf(row)],
					...(run ? { printRun: run } : {})
				};
			})
		}))
	};
}

/** Each card once, with the first title that a row gives it. */
function cardsOf(rows: readonly HoldingRow[]): readonly CardDraft[] {
	return [...group(rows, nameOf).values()].flatMap((same): CardDraft[] => {
		const [row] = same;
		if (!row) return [];
		const subject = same.map((each) => each.subject.trim()).find(Boolean) ?? '';
		const number = plainNumber(row);
		return [
			{
				...(number === '' ? {} : { number }),
				...(subject === '' ? {} : { title: subject, subjects: [subject] })
			}
		];
	});
}

const plainNumber = ({ number }: HoldingRow) => number.trim().replace(/^(#|no\.?\s*)/i, '');
const nameOf = (row: HoldingRow) => plainNumber(row) || row.subject.trim();
const firstOfEachCard = (rows: readonly HoldingRow[]) =>
	[...group(rows, (row) => `${row.section} ${nameOf(row)}`).values()].flatMap(([row]) => row ?? []);
