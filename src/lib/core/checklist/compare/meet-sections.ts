import type { Section } from '../section.ts';
import { plainName } from '../slug.ts';

/** A section by the keys of its release and itself. */
export interface SectionName {
	readonly release: string;
	readonly section: string;
}

/** Two sections that a person has paired. */
export type Counterpart = readonly [SectionName, SectionName];

/** What is laid beside others: a release, whole or one section of it. */
export interface ComparedSections {
	readonly release: string;
	readonly sections: readonly Section[];
}

/** Sections that lie beside each other, a place a side; null: that side has nothing like it. */
export interface MetSections {
	readonly sections: readonly (Section | null)[];
	/** Whether a person paired some of them. */
	readonly byHand: boolean;
}

/**
 * Which sections of several sides lie beside each other: those that were paired by hand, then those of one
 * name, then those of one kind in their order, where nothing else bears their names. Sides of a single section
 * each meet, whatever they are called. Each section lies once, in the order of the first side.
 */
export function meetSections(
	sides: readonly ComparedSections[],
	counterparts: readonly Counterpart[] = []
): readonly MetSections[] {
	if (sides.length > 0 && sides.every(({ sections }) => sections.length === 1)) {
		return [{ sections: sides.map(({ sections: [only] }) => only ?? null), byHand: false }];
	}
	const areCounterparts = counterpartFinder(counterparts);
	const met: { readonly sections: (Section | null)[]; byHand: boolean }[] = [];
	sides.forEach((side, at) => {
		const open = new Set(side.sections);
		const nameOf = (section: Section, of: ComparedSections): SectionName => ({
			release: of.release,
			section: section.key
		});
		/** Has a counterpart on another side: it waits for that. */
		const isPaired = (section: Section) =>
			sides.some(
				(other) =>
					other !== side &&
					other.sections.some((far) => areCounterparts(nameOf(section, side), nameOf(far, other)))
			);
		const take = (
			fits: (section: Section, group: (typeof met)[number]) => boolean,
			byHand: boolean
		) => {
			for (const group of met) {
				if (group.sections[at]) continue;
				const found = [...open].find((section) => fits(section, group));
				if (!found) continue;
				open.delete(found);
				group.sections[at] = found;
				if (byHand) group.byHand = true;
			}
		};
		take(
			(section, { sections }) =>
				sections.some((far, i) => {
					const other = sides[i];
					return far && other && areCounterparts(nameOf(section, side), nameOf(far, other));
				}),
			true
		);
		const isSame = (a: Section | null | undefined, b: Section) =>
			a != null && plainName(a.name) === plainName(b.name);
		const firstOf = ({ sections }: (typeof met)[number]) => sections.find((far) => far !== null);
		const isNamed = (section: Section, { sections }: (typeof met)[number]) =>
			sections.some((far) => isSame(far, section));
		// The name under which they met first goes before the names of those that joined.
		take((section, group) => !isPaired(section) && isSame(firstOf(group), section), false);
		take((section, group) => !isPaired(section) && isNamed(section, group), false);
		const isAlone = (section: Section) => met.every((group) => !isNamed(section, group));
		take(
			(section, group) =>
				!isPaired(section) && isAlone(section) && firstOf(group)?.kind === section.kind,
			false
		);
		for (const section of open) {
			met.push({ sections: sides.map((_, i) => (i === at ? section : null)), byHand: false });
		}
	});
	return met;
}

function counterpartFinder(counterparts: readonly Counterpart[]) {
	const text = ({ release, section }: SectionName) => `${release}/${section}`;
	const pairs = new Set(
		counterparts.flatMap(([a, b]) => [`${text(a)} ${text(b)}`, `${text(b)} ${text(a)}`])
	);
	return (a: SectionName, b: SectionName) => pairs.has(`${text(a)} ${text(b)}`);
}
