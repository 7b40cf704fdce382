import { COLLECTIBLE_KINDS } from '../../core/checklist/beside-cards.ts';
import { wholeSections } from '../../core/checklist/edition.ts';
import type { Card } from '../../core/checklist/card.ts';
import type { Evidence } from '../../core/checklist/confidence.ts';
import { cardsOf, type Release } from '../../core/checklist/release.ts';
import { distinctValues } from '../database/distinct-values.ts';
import type { Reader } from '../database/open.ts';
import { cardSubjects, cards, copies } from '../database/tables/index.ts';
import { loadRelease } from '../releases/load-release.ts';

/** What the rules of a goal can be chosen from, seen from one release and further ones. */
export async function goalOptions(db: Reader, releaseKey: string, further: readonly string[] = []) {
	const stored = await loadRelease(db, releaseKey);
	if (!stored) return null;
	const others = await Promise.all(
		[...new Set(further)]
			.filter((key) => key !== releaseKey)
			.slice(0, MOST_FURTHER)
			.map((key) => loadRelease(db, key))
	);
	const home = stored.release;
	const all = [home, ...others.flatMap((other) => other?.release ?? [])];
	const nameIn = (release: Release, name: string) =>
		release === home ? name : `${release.name}: ${name}`;
	const subjects = await distinctValues(db, cardSubjects.subject, 5000);
	const groups = await distinctValues(db, cards.group, 5000);
	const houses = await distinctValues(db, copies.house, 100);
	const variants = new Set(all.flatMap((release) => release.variants.map(({ kind }) => kind)));
	const listed = all.flatMap((release) => cardsOf(release).map((found) => ({ ...found, release })));
	const parallels = new Map(
		all.flatMap((release) => release.parallels.map(({ key, name }) => [key, name] as const))
	);
	return {
		release: { key: home.key, name: home.name },
		further: all.slice(1).map(({ key, name }) => ({ key, name })),
		sections: all.flatMap((release) =>
			wholeSections(release).map(({ key, name, kind, edition, cards: held }) => ({
				key: `${release.key}/${key}`,
				release: release.name,
				name,
				kind,
				isEdition: edition !== undefined,
				cards: held.length
			}))
		),
		parallels: [...parallels].map(([key, name]) => ({ key, name })),
		cards: listed.map(({ section, release, card: { key, number, title } }) => ({
			key: `${release.key}/${key}`,
			number,
			title,
			section: nameIn(release, section.name)
		})),
		subjects,
		groups,
		series: [
			...new Set(
				all.flatMap(({ sections }) =>
					sections.flatMap(({ series }) => series.map(({ name }) => name))
				)
			)
		],
		tags: tagsOf(listed.map(({ card }) => card)),
		houses,
		/** Kinds of things that are collected beside the cards. */
		collectibles: COLLECTIBLE_KINDS.filter((kind) =>
			all.some(({ collectibles = [] }) => collectibles.some((thing) => thing.kind === kind))
		),
		hasDoubts: all.some(
			({ sections, parallels: finishes, variants: deviations }) =>
				sections.some(isDoubted) ||
				sections.some(({ cards: held }) => held.some(isDoubted)) ||
				finishes.some(({ runs }) => runs.some(isDoubted)) ||
				deviations.some(isDoubted)
		),
		hasErrors: variants.has('error') || variants.has('corrected'),
		hasVariations: ['image variation', 'print variation', 'quirk', 'piece'].some((kind) =>
			variants.has(kind as never)
		),
		hasPanels: listed.some(({ card }) => card.panelOf.length > 0),
		hasStrips: all.some(({ sections }) =>
			sections.some(({ arrangement }) => arrangement?.kind === 'strip')
		)
	};
}

/** The most releases that a form offers sections of beside the first. */
const MOST_FURTHER = 20;

const isDoubted = ({ confidence }: Evidence) =>
	confidence !== undefined && confidence !== 'certain';

/** The families of tags that cards bear, each with its words. */
function tagsOf(some: readonly Card[]): readonly { family: string; words: readonly string[] }[] {
	const families = new Map<string, Set<string>>();
	for (const { tags } of some) {
		for (const [family, words] of Object.entries(tags ?? {})) {
			const known = families.get(family) ?? new Set();
			for (const word of words) known.add(word);
			families.set(family, known);
		}
	}
	return [...families].map(([family, words]) => ({ family, words: [...words].sort() }));
}

export type GoalOptions = NonNullable<Awaited<ReturnType<typeof goalOptions>>>;
