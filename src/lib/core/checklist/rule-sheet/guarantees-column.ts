import { bad, good, type Outcome } from '../../problem.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import type { PackGuarantee, PackType } from '../release.ts';
import { plainName } from '../slug.ts';
import { nameOf, readNames, type Column, type NamedKey, type SheetNames } from './column.ts';

const PARALLEL = /^parallel\s+/i;

/** What every box holds for certain: "2 Fresnel or Storm Log; 1 parallel Brass". */
export const guaranteesColumn: Column<PackType> = {
	key: 'guarantees',
	name: 'In every box',
	hint: '2 Fresnel or Storm Log; 1 parallel Brass',
	width: 16,
	write: ({ guarantees = [] }, names) =>
		formatListCell(guarantees.map((guarantee) => formatGuarantee(guarantee, names))),
	read: (text, names) => {
		const read = parseListCell(text).map((entry) => readGuarantee(entry, names));
		const problems = read.flatMap((each) => (each.ok ? [] : each.problems));
		const guarantees = read.flatMap((each) => (each.ok ? each.value : []));
		if (problems.length > 0) return bad(problems);
		return good(guarantees.length > 0 ? { guarantees } : {});
	}
};

/** So many of which sections and parallels: "2 Fresnel or parallel Brass". */
export function formatGuarantee(
	{ count, sections = [], parallels = [] }: PackGuarantee,
	names: Pick<SheetNames, 'sections' | 'parallels'>
): string {
	const all = [
		...sections.map((key) => nameOf(names.sections, key)),
		...parallels.map((key) => `parallel ${nameOf(names.parallels, key)}`)
	];
	return `${count} ${all.join(' or ')}`;
}

/** Reads what `formatGuarantee` writes; a name may hold the word "or" itself. */
export function readGuarantee(
	entry: string,
	names: Pick<SheetNames, 'sections' | 'parallels'>
): Outcome<PackGuarantee> {
	const [, count, list = ''] = /^([1-9]\d{0,3})\s*[×x]?\s+(.+)$/i.exec(entry) ?? [];
	if (!count) {
		const remedy = 'Write how many a box of what: 2 Fresnel or Storm Log; 1 parallel Brass.';
		return bad([{ message: `"${entry}" says not how many of what a box holds`, remedy }]);
	}
	const sections: string[] = [];
	const parallels: string[] = [];
	const problems = splitNames(list, names).flatMap((name) => {
		const isParallel = PARALLEL.test(name) && !isKnown(name, names.sections);
		const read = readNames(
			formatListCell([isParallel ? name.replace(PARALLEL, '') : name]),
			isParallel ? names.parallels : names.sections
		);
		(isParallel ? parallels : sections).push(...(read.ok ? read.value : []));
		return read.ok ? [] : read.problems;
	});
	if (problems.length > 0) return bad(problems);
	return good({
		count: Number(count),
		...(sections.length > 0 ? { sections } : {}),
		...(parallels.length > 0 ? { parallels } : {})
	});
}

const isKnown = (name: string, things: readonly NamedKey[]) =>
	things.some((thing) => thing.key === name || plainName(thing.name) === plainName(name));

/** Parts a list at each "or", the longest names that there are first. */
function splitNames(
	list: string,
	{ sections, parallels }: Pick<SheetNames, 'sections' | 'parallels'>
): readonly string[] {
	const words = list.split(/\s+or\s+/i);
	const names: string[] = [];
	for (let from = 0; from < words.length;) {
		let to = words.length;
		for (; to > from + 1; to--) {
			const name = words.slice(from, to).join(' or ');
			if (isKnown(name, sections) || isKnown(name.replace(PARALLEL, ''), parallels)) break;
		}
		names.push(words.slice(from, to).join(' or '));
		from = to;
	}
	return names;
}
