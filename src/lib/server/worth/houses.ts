import { asc, eq } from 'drizzle-orm';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { parseHouseGrades } from '../../core/worth/population/house-grades.ts';
import type { HouseId } from '../../core/row-id.ts';
import type { Collection, Reader } from '../database/open.ts';
import { houses } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';

/** A house as it is typed; grades as "10, 9.5, 9 … 1", or empty: all in halves. */
export interface HouseDraft {
	readonly name: string;
	readonly grades: string;
	readonly givesAuthentic: boolean;
}

/** Houses by name. */
export async function listHouses(db: Reader) {
	return db.select().from(houses).orderBy(asc(houses.name));
}

/** Keeps a house, or changes the one of that name. */
export function keepHouse(
	collection: Collection,
	{ name: typed, grades: text, givesAuthentic }: HouseDraft
): Promise<Outcome<{ readonly id: HouseId }>> {
	return makeChange(collection, async (record, tx) => {
		const name = typed.trim();
		const grades = parseHouseGrades(text);
		const problems: readonly Problem[] = [
			...(name === '' ? [{ field: 'name', message: 'it has no name', remedy: 'Write one.' }] : []),
			...(grades.ok ? [] : grades.problems)
		];
		if (!grades.ok || problems.length > 0) return refused(problems);
		const row = { name, grades: grades.value, givesAuthentic };
		const [known] = await tx.select().from(houses).where(eq(houses.name, name));
		if (known) {
			await record.update(houses, known.id, row);
			return { value: good({ id: known.id }), label: `Change the house ${name}` };
		}
		const [made] = await record.insert(houses, [row]);
		if (!made) throw new RangeError('keepHouse: it was not stored');
		return { value: good({ id: made.id }), label: `The house ${name}` };
	});
}

/** Takes a house off the list; what it said of populations stays. */
export function removeHouse(
	collection: Collection,
	id: HouseId
): Promise<Outcome<{ readonly id: HouseId }>> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(houses).where(eq(houses.id, id));
		if (!known) return refused([{ message: 'this house is gone', remedy: 'Reload the page.' }]);
		await record.remove(houses, [id]);
		return { value: good({ id }), label: `Remove the house ${known.name}` };
	});
}
