import { group } from 'd3-array';
import { numberingsOf } from '../../core/checklist/numbering.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { parsePrice } from '../../core/worth/prices/price.ts';
import { PRICE_KINDS, type PriceKind } from '../../core/worth/prices/price-point.ts';
import type { PopulationCount } from '../../core/worth/population/population.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { readShorthand } from '../../core/shorthand/read-shorthand.ts';
import type { GradedValue } from '../../formats/read-graded-table.ts';
import { replacePoints, type NewPoint } from '../buying/prices/point-rows.ts';
import { entryContext } from '../copies/entry-context.ts';
import { placeOf } from '../copies/copy-rows.ts';
import type { Collection, Transaction } from '../database/open.ts';
import type { populationReports } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';
import { replaceReports } from './populations/keep-population.ts';
import { unknownHouse } from './prices/unknown-house.ts';

/** What holds for rows that do not say it themselves. */
export interface GradedDefaults {
	readonly release: string;
	readonly house: string;
	readonly source: string;
	/** ISO 8601 date; null: today. */
	readonly on: string | null;
	readonly currency: string;
	readonly kind: PriceKind;
}

/** A value with the version it is of. */
type Placed = GradedValue & { readonly version: string };

const place = ({ line, field }: GradedValue) => ({ line, field });

/** Takes prices of a table in, in one step: all, or with any problem none. */
export function importPrices(
	collection: Collection,
	values: readonly GradedValue[],
	defaults: GradedDefaults
): Promise<Outcome<{ readonly prices: number }>> {
	return makeChange(collection, async (record, tx) => {
		const today = collection.now().slice(0, 10);
		const ground = await placeValues(tx, values, defaults, today);
		if (!ground.ok) return refused(ground.problems);
		const problems: Problem[] = [];
		const rows = ground.value.placed.flatMap((value): readonly NewPoint[] => {
			const { quality, text, version } = value;
			const currency = (value.currency ?? defaults.currency).toUpperCase();
			const price = /^[A-Z]{3}$/.test(currency)
				? parsePrice(text, currency)
				: bad([{ message: `"${currency}" is no currency`, remedy: 'Write its code: EUR.' }]);
			const kind = PRICE_KINDS.find((each) => each === (value.kind ?? defaults.kind));
			if (!kind) {
				const message = `"${value.kind ?? ''}" is no kind of price`;
				problems.push({ ...place(value), message, remedy: `Write ${PRICE_KINDS.join(', ')}.` });
			}
			if (!price.ok) {
				problems.push(...price.problems.map((problem) => ({ ...problem, ...place(value) })));
			}
			if (!price.ok || !kind) return [];
			const isGraded = quality.grade !== undefined || quality.isAuthentic === true;
			return [
				{
					...placeOf(ground.value.releaseId, version),
					...{ condition: quality.condition ?? null, grade: quality.grade ?? null },
					...{ isAuthentic: quality.isAuthentic ?? false, qualifier: quality.qualifier ?? null },
					house: isGraded ? (value.house ?? defaults.house) || null : null,
					...{ ...price.value, currency, kind, reason: value.reason },
					...{ saidOn: value.on ?? defaults.on ?? today, source: sourceOf(value, defaults) }
				}
			];
		});
		if (problems.length > 0) return refused(problems);
		const lots = group(rows, ({ saidOn, source }) => `${saidOn} ${source ?? ''}`);
		for (const some of lots.values()) await replacePoints(record, tx, some);
		const label = `${rows.length} prices of ${ground.value.name}`;
		return { value: good({ prices: rows.length }), label };
	});
}

/** Takes populations of a table in, in one step: all, or with any problem none. A sum that does not come out is no problem: it is told. */
export function importPopulations(
	collection: Collection,
	values: readonly GradedValue[],
	defaults: GradedDefaults
): Promise<Outcome<{ readonly reports: number }>> {
	return makeChange(collection, async (record, tx) => {
		const today = collection.now().slice(0, 10);
		const ground = await placeValues(tx, values, defaults, today);
		if (!ground.ok) return refused(ground.problems);
		const problems: Problem[] = [];
		const whole = (value: GradedValue, text: string, field: string) => {
			const count = Number(text.replace(/[\s,.']/g, ''));
			if (/^\d[\d\s,.']*$/.test(text) && count <= 10_000_000) return count;
			const message = `"${text.slice(0, 40)}" is no number of copies`;
			problems.push({ line: value.line, field, message, remedy: 'Write a whole number.' });
			return 0;
		};
		const reports = group(ground.value.placed, (value) =>
			JSON.stringify([value.version, houseOf(value, defaults), value.on ?? defaults.on])
		);
		const rows = [...reports.values()].flatMap(
			(some): readonly (typeof populationReports.$inferInsert)[] => {
				const [first] = some;
				if (!first) return [];
				if (houseOf(first, defaults) === '') {
					const message = 'nothing says which house counted';
					const remedy = 'Name it above, or in a column "house".';
					problems.push({ line: first.line, field: 'house', message, remedy });
				}
				const counts = some.flatMap((value): readonly PopulationCount[] => {
					const { quality } = value;
					if (quality.grade === undefined && !quality.isAuthentic) {
						const message = 'a population is of grades, not of conditions';
						problems.push({ ...place(value), message, remedy: 'Take it out.' });
					}
					return [{ ...quality, count: whole(value, value.text, value.field) }];
				});
				const totals = some.flatMap((value) =>
					value.total === null ? [] : [whole(value, value.total, 'total')]
				);
				const { version } = first;
				return [
					{
						...placeOf(ground.value.releaseId, version),
						house: houseOf(first, defaults),
						saidOn: first.on ?? defaults.on ?? today,
						...{ source: sourceOf(first, defaults), counts, statedTotal: totals[0] ?? null }
					}
				];
			}
		);
		if (problems.length > 0) return refused(problems);
		await replaceReports(record, tx, rows);
		const label = `${rows.length} populations of ${ground.value.name}`;
		return { value: good({ reports: rows.length }), label };
	});
}

function houseOf({ house }: GradedValue, defaults: GradedDefaults): string {
	return (house ?? defaults.house).trim();
}

function sourceOf({ source }: GradedValue, defaults: GradedDefaults): string {
	return (source ?? defaults.source).trim();
}

/** The versions of values; cards that are not there, houses that are not kept and days to come are problems, with their place. */
async function placeValues(
	tx: Transaction,
	values: readonly GradedValue[],
	defaults: GradedDefaults,
	today: string
) {
	const stored = await loadRelease(tx, defaults.release);
	if (!stored) {
		const message = 'this release is not in the collection';
		return bad([{ field: 'release', message, remedy: 'Choose another one.' }]);
	}
	const { id: releaseId, release } = stored;
	const context = await entryContext(tx, release, {
		numberingKey: numberingsOf(release)[0]?.key ?? null,
		parallelKey: null,
		owned: new Map()
	});
	const problems: Problem[] = [];
	const versions = new Map<string, string | null>();
	for (const { card, line } of values) {
		if (versions.has(card)) continue;
		const reading = readShorthand(card, context);
		const [only] = reading.additions;
		const isOne = reading.additions.length === 1 && only?.quantity === 1;
		versions.set(card, isOne && parseVersionKey(only.version) ? only.version : null);
		for (const { message, remedy } of reading.problems) {
			problems.push({ line, field: 'card', message, ...(remedy === undefined ? {} : { remedy }) });
		}
		if (reading.problems.length > 0 || isOne) continue;
		const message = `"${card.slice(0, 60)}" is not a single card`;
		problems.push({ line, field: 'card', message, remedy: 'Write its number and finish.' });
	}
	const days = [defaults.on, ...values.map(({ on }) => on)];
	for (const on of new Set(days)) {
		if (on === null || on <= today) continue;
		const line = values.find((value) => value.on === on)?.line;
		const message = `${on} is still to come`;
		problems.push({
			...{ field: 'on', message, remedy: 'Write the day it was said.' },
			...(line === undefined ? {} : { line })
		});
	}
	for (const [house, some] of group(values, (value) => houseOf(value, defaults))) {
		const grades = some.flatMap(({ quality: { grade } }) => grade ?? []);
		const line = some.find((value) => value.house !== null)?.line;
		const wrong = await unknownHouse(tx, house, grades);
		problems.push(
			...wrong.map((problem) => ({ ...problem, ...(line === undefined ? {} : { line }) }))
		);
	}
	if (problems.length > 0) return bad(problems);
	const placed = values.map((value): Placed => {
		const version = versions.get(value.card) ?? null;
		if (version === null) throw new RangeError('placeValues: a card was not found');
		return { ...value, version };
	});
	return good({ releaseId, name: release.name, placed });
}
