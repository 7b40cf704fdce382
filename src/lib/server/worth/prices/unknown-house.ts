import type { Problem } from '../../../core/problem.ts';
import type { Reader } from '../../database/open.ts';
import { listHouses } from '../houses.ts';

/**
 * What is wrong with a house and grades that it is said to have given: there is no such house among those that are kept, or it
 * does not give the grade. Where no house is kept, any is taken.
 */
export async function unknownHouse(
	db: Reader,
	house: string,
	grades: readonly number[]
): Promise<readonly Problem[]> {
	const name = house.trim();
	const known = await listHouses(db);
	if (name === '' || known.length === 0) return [];
	const found = known.find((each) => each.name === name);
	if (!found) {
		const names = known.map((each) => each.name).join(', ');
		const message = `there is no house "${name.slice(0, 60)}"`;
		return [{ field: 'house', message, remedy: `Choose one of: ${names}; or add it.` }];
	}
	return [...new Set(grades)]
		.filter((grade) => !found.grades.includes(grade))
		.map((grade) => ({
			message: `${name} does not give the grade ${grade}`,
			remedy: `It gives ${found.grades.join(', ')}.`
		}));
}
