import type { Static } from 'typebox';
import { ClassRulesSchema } from '../../schemas/storage-class.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { good, type Outcome } from '../../core/problem.ts';
import { parseClassLines } from '../../core/storage/classes/class-lines.ts';
import type { ClassRule } from '../../core/storage/classes/storage-class.ts';
import { USUAL_CLASSES } from '../../core/storage/classes/keeping.ts';
import type { Collection } from '../database/open.ts';
import { makeChange, refused } from '../journal/change.ts';
import { writePreference, type Preference } from './preferences.ts';

/** The storage classes of the collection, in the order in which they are tried. */
export const STORAGE_CLASSES: Preference<typeof ClassRulesSchema> = {
	key: 'storage-classes',
	schema: ClassRulesSchema,
	usual: structuredClone(USUAL_CLASSES) as Static<typeof ClassRulesSchema>
};

/** Sets the storage classes, all at once. */
export function setStorageClasses(
	collection: Collection,
	classes: readonly ClassRule[]
): Promise<Outcome<null>> {
	return makeChange(collection, async (record, tx) => {
		const problems = checkAgainst(ClassRulesSchema, classes);
		if (problems.length > 0) return refused(problems);
		await writePreference(record, tx, STORAGE_CLASSES, structuredClone(classes) as never);
		return { value: good(null), label: 'Storage classes' };
	});
}

/** The same as people write them, a line each (`parseClassLines`); with any problem none is changed. */
export async function setClassLines(
	collection: Collection,
	lines: string
): Promise<Outcome<readonly ClassRule[]>> {
	const rules = parseClassLines(lines);
	if (!rules.ok) return rules;
	const outcome = await setStorageClasses(collection, rules.value);
	return outcome.ok ? good(rules.value) : outcome;
}
