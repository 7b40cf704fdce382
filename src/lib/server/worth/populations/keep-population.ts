import { eq, inArray } from 'drizzle-orm';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { PopulationReportId } from '../../../core/row-id.ts';
import { parseCounts } from '../../../core/worth/population/population-counts.ts';
import { placeOf } from '../../copies/copy-rows.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { populationReports } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { unknownHouse } from '../prices/unknown-house.ts';

/** What a house says, as it is typed. */
export interface PopulationDraft {
	readonly release: string;
	/** A card as the entry line names it. */
	readonly card: string;
	readonly house: string;
	/** "10: 3, 9.5: 12, 8 (off centre): 1, authentic: 2" */
	readonly counts: string;
	/** The sum that the house states; empty: none. */
	readonly total: string;
	/** ISO 8601 date; null: today. */
	readonly on: string | null;
	readonly source: string;
}

/** Keeps what a house says of a card; what it said on the same day is replaced. */
export function keepPopulation(
	collection: Collection,
	draft: PopulationDraft
): Promise<Outcome<{ readonly id: PopulationReportId }>> {
	return makeChange(collection, async (record, tx) => {
		const entry = await readEntry(tx, draft.release, draft.card);
		const counts = parseCounts(draft.counts);
		const today = collection.now().slice(0, 10);
		const total = draft.total.trim();
		const house = draft.house.trim();
		const problems: Problem[] = [
			...(entry.ok
				? []
				: entry.problems.map(({ message, remedy }) => ({
						...{ field: 'card', message },
						...(remedy === undefined ? {} : { remedy })
					}))),
			...(entry.ok && (entry.value.additions.length !== 1 || draft.card.trim() === '')
				? [{ field: 'card', message: 'this is not a single card', remedy: 'Write its number.' }]
				: []),
			...(counts.ok ? [] : counts.problems),
			...(house === ''
				? [{ field: 'house', message: 'no house is named', remedy: 'Choose or write one.' }]
				: await unknownHouse(
						tx,
						house,
						counts.ok ? counts.value.flatMap(({ grade }) => grade ?? []) : []
					)),
			...(/^\d{0,8}$/.test(total)
				? []
				: [
						{
							field: 'total',
							message: `"${total.slice(0, 40)}" is no sum`,
							remedy: 'Write a whole number.'
						}
					]),
			...(draft.on !== null && draft.on > today
				? [
						{
							field: 'on',
							message: `${draft.on} is still to come`,
							remedy: 'Write the day it was said.'
						}
					]
				: [])
		];
		const version = entry.ok ? entry.value.additions[0]?.version : undefined;
		if (!entry.ok || !counts.ok || version === undefined || problems.length > 0) {
			return refused(problems);
		}
		const [made] = await replaceReports(record, tx, [
			{
				...placeOf(entry.value.releaseId, version),
				...{ house, saidOn: draft.on ?? today, source: draft.source.trim(), counts: counts.value },
				statedTotal: total === '' ? null : Number(total)
			}
		]);
		if (!made) throw new RangeError('keepPopulation: it was not stored');
		return {
			value: good({ id: made.id }),
			label: `Population of ${draft.card.trim()} at ${house}`
		};
	});
}

/** Stores reports in the place of those of the same version, house and day. */
export async function replaceReports(
	record: Recorder,
	tx: Transaction,
	rows: readonly (typeof populationReports.$inferInsert)[]
) {
	const nameOf = (row: (typeof rows)[number]) =>
		JSON.stringify([
			row.releaseId,
			row.cardKey,
			row.parallelKey,
			row.variantKey,
			row.house,
			row.saidOn
		]);
	const names = new Set(rows.map(nameOf));
	const known = await tx
		.select()
		.from(populationReports)
		.where(inArray(populationReports.releaseId, [...new Set(rows.map((row) => row.releaseId))]));
	await record.remove(
		populationReports,
		known.filter((row) => names.has(nameOf(row))).map(({ id }) => id)
	);
	return record.insert(populationReports, rows);
}

/** Takes a report out. */
export function dropPopulation(
	collection: Collection,
	id: PopulationReportId
): Promise<Outcome<{ readonly id: PopulationReportId }>> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(populationReports).where(eq(populationReports.id, id));
		if (!known) return refused([{ message: 'this report is gone', remedy: 'Reload the page.' }]);
		await record.remove(populationReports, [id]);
		return { value: good({ id }), label: `Take out a population of ${known.house}` };
	});
}
