import type { Card } from '../checklist/card.ts';
import { foldCards } from '../checklist/fold-runs.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import type { Filling } from './fill-slots.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** What one section lacks in one finish. */
export interface MissingGroup {
	readonly section: Section;
	readonly parallelKey: string | null;
	/** "Base" or "Base, Brass" */
	readonly name: string;
	readonly have: number;
	readonly need: number;
	readonly cards: readonly Card[];
	/** Numbers folded into runs, then the titles of cards that have none. */
	readonly text: string;
}

/** What is missing, by section and parallel, in checklist order; groups that lack nothing included. */
export function missingList(
	release: Release,
	slots: readonly ScopedSlot[],
	filling: Filling
): readonly MissingGroup[] {
	const lacking = new Set(filling.missing.map(({ slot }) => slot));
	const cards = new Map<string, { card: Card; section: Section }>();
	for (const numbering of numberingsOf(release)) {
		for (const { card, section } of numbering.cards) cards.set(card.key, { card, section });
	}
	const groups = new Map<
		string,
		{ section: Section; parallelKey: string | null; need: number; cards: Card[] }
	>();
	for (const { key, version } of slots) {
		const found = cards.get(version.cardKey);
		if (!found) throw new RangeError(`missingList: no card "${version.cardKey}" in ${release.key}`);
		const place = `${version.sectionKey}~${version.parallelKey ?? ''}`;
		const group = groups.get(place) ?? {
			section: found.section,
			parallelKey: version.parallelKey,
			need: 0,
			cards: []
		};
		group.need += 1;
		if (lacking.has(key)) group.cards.push(found.card);
		groups.set(place, group);
	}
	return inChecklistOrder(release, [...groups.values()]).map((group) => ({
		...group,
		name: groupName(release, group.section, group.parallelKey),
		have: group.need - group.cards.length,
		text: foldCards(group.cards)
	}));
}

/** "Base" for the base finish, "Base, Brass" for a parallel. */
export function groupName(release: Release, section: Section, parallelKey: string | null): string {
	if (parallelKey === null) return section.name;
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	return `${section.name}, ${parallel?.name ?? parallelKey}`;
}

/** The whole list as text to send to somebody: a heading, then a line a group that lacks something. */
export function formatMissingText(
	title: string,
	groups: readonly Pick<MissingGroup, 'name' | 'have' | 'need' | 'text'>[]
): string {
	const lines = groups
		.filter(({ have, need }) => have < need)
		.map(({ name, have, need, text }) => `${name} (${have} of ${need}): ${text}`);
	return [title, ...(lines.length > 0 ? lines : ['Nothing is missing.'])].join('\n');
}

function inChecklistOrder<Group extends { section: Section; parallelKey: string | null }>(
	release: Release,
	groups: readonly Group[]
): readonly Group[] {
	const finish = (group: Group) =>
		group.parallelKey === null
			? -1
			: release.parallels.findIndex(({ key }) => key === group.parallelKey);
	const section = (group: Group) =>
		release.sections.findIndex(({ key }) => key === group.section.key);
	return [...groups].sort((a, b) => finish(a) - finish(b) || section(a) - section(b));
}
