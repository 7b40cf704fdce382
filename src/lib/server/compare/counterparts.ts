import { and, eq, inArray } from 'drizzle-orm';
import type { Counterpart, SectionName } from '../../core/checklist/compare/meet-sections.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { counterparts, releases, sections } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';

/** The pairs between sections of these releases that a person has made. */
export async function readCounterparts(
	db: Reader,
	keys: readonly string[]
): Promise<readonly Counterpart[]> {
	const rows = await db
		.select()
		.from(counterparts)
		.where(
			and(inArray(counterparts.release, [...keys]), inArray(counterparts.otherRelease, [...keys]))
		);
	return rows.map(({ release, section, otherRelease, otherSection }): Counterpart => [
		{ release, section },
		{ release: otherRelease, section: otherSection }
	]);
}

/** Pairs two sections, or parts them again; what one of them was paired with before is parted. */
export function pairSections(
	collection: Collection,
	first: SectionName,
	other: SectionName,
	areCounterparts: boolean
): Promise<Outcome<{ readonly paired: boolean }>> {
	return makeChange(collection, async (record, tx) => {
		const names = await Promise.all([first, other].map((name) => nameOf(tx, name)));
		const problems = names.flatMap((name, i): Problem[] =>
			name === null
				? [
						{
							message: `there is no section "${[first, other][i]?.section ?? ''}"`,
							remedy: 'Reload the page.'
						}
					]
				: []
		);
		if (first.release === other.release) {
			problems.push({
				message: 'two sections of one release are no counterparts',
				remedy: 'Choose sections of two releases; sections of one are compared by choosing them.'
			});
		}
		if (problems.length > 0) return refused(problems);
		const [a, b] = inOrder(first, other);
		const between = await tx
			.select()
			.from(counterparts)
			.where(and(eq(counterparts.release, a.release), eq(counterparts.otherRelease, b.release)));
		const touched = between.filter(
			({ section, otherSection }) => section === a.section || otherSection === b.section
		);
		await record.remove(
			counterparts,
			touched.map(({ id }) => id)
		);
		if (areCounterparts) {
			await record.insert(counterparts, [
				{
					release: a.release,
					section: a.section,
					otherRelease: b.release,
					otherSection: b.section
				}
			]);
		}
		const label = names.join(areCounterparts ? ' is the counterpart of ' : ' parted from ');
		return { value: good({ paired: areCounterparts }), label };
	});
}

function inOrder(a: SectionName, b: SectionName): readonly [SectionName, SectionName] {
	return a.release < b.release ? [a, b] : [b, a];
}

/** "Fresnel of Harbour Lights 1994"; null where there is no such section. */
async function nameOf(db: Reader, { release, section }: SectionName): Promise<string | null> {
	const [row] = await db
		.select({ section: sections.name, release: releases.name })
		.from(sections)
		.innerJoin(releases, eq(sections.releaseId, releases.id))
		.where(and(eq(releases.key, release), eq(sections.key, section)));
	return row ? `${row.section} of ${row.release}` : null;
}
