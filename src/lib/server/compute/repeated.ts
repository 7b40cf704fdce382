import type { Problem } from '../../core/problem.ts';

/** A problem for every entry of a list whose key stood before. */
export function repeated<Field extends string>(
	list: string,
	field: Field,
	entries: readonly Readonly<Record<Field, string>>[]
): readonly Problem[] {
	const seen = new Set<string>();
	return entries.flatMap((entry, i) => {
		const key = entry[field];
		if (!seen.has(key)) {
			seen.add(key);
			return [];
		}
		return [
			{ pointer: `/${list}/${i}/${field}`, field, message: `the ${field} "${key}" stands twice` }
		];
	});
}
