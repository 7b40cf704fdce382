import fc from 'fast-check';
import { expect, test } from 'vitest';
import { recordedReleaseDraft } from '../../core/checklist/draft/release.arbitrary.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { expand } from '../../core/checklist/versions/expand.ts';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import { keptCard } from '../../core/storage/classes/kept-card.ts';
import { USUAL_CLASSES } from '../../core/storage/classes/keeping.ts';
import {
	storageClass,
	type ClassRule,
	type KeptCard
} from '../../core/storage/classes/storage-class.ts';
import { withCollection } from '../collection.fixture.ts';
import { importRelease } from '../checklists/import-release.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { setStorageClasses } from '../preferences/storage-classes.ts';
import { homelessCopies } from './homeless.ts';
import { readKeeping } from './keeping.ts';

const at = withCollection();

/** A rule for each thing that is known of some card: what distinguishes it from others. */
function rulesFor(card: KeptCard): readonly ClassRule[] {
	const { subjects = [], marks = [], group, finish, tags = {} } = card;
	return [
		...(subjects[0] ? [{ name: 'subject', where: { subjects: [subjects[0]] } }] : []),
		...(marks[0] ? [{ name: 'mark', where: { marks: [marks[0]] } }] : []),
		...(group ? [{ name: 'group', where: { groups: [group] } }] : []),
		...(finish ? [{ name: 'finish', where: { finishes: [finish] } }] : []),
		...Object.entries(tags).flatMap(([family, [word]]) =>
			word === undefined ? [] : [{ name: 'tag', where: { tags: { [family]: [word] } } }]
		),
		...(card.sectionKind ? [{ name: 'kind', where: { sectionKinds: [card.sectionKind] } }] : []),
		{ name: 'variant', where: { isVariant: card.isVariant ?? false } },
		{ name: 'numbered', where: { isNumbered: card.isNumbered ?? false } },
		{ name: 'era', where: { toYear: Number.parseInt(card.year ?? '0', 10) } }
	];
}

test('for all releases, a copy is kept where its card says by the rules: as core tells of the same card', async () => {
	let round = 0;
	const picks = fc.tuple(fc.nat(), fc.infiniteStream(fc.nat()));
	await fc.assert(
		fc.asyncProperty(recordedReleaseDraft, picks, async (draft, [which, order]) => {
			const key = `r-${round++}`;
			const outcome = resolveRelease({ ...draft, release: { ...draft.release, key } });
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			const release = outcome.value;
			await importRelease(at.collection, release);
			const find = cardFinder(release);
			const some = expand(release).filter((_, i) => i % 3 === 0);
			const cardOf = new Map(
				some.map((version) => {
					const found = find(version.key);
					if (!found) throw new RangeError(version.key);
					return [version.key, keptCard(release, found)];
				})
			);
			const drawn = [...cardOf.values()][which % Math.max(1, cardOf.size)];
			const rules = drawn ? rulesFor(drawn) : [];
			// In any order: the first that holds counts.
			const classes = rules
				.map((rule) => ({ rule, at: order.next().value ?? 0 }))
				.sort((a, b) => a.at - b.at)
				.map(({ rule }) => rule);
			expect((await setStorageClasses(at.collection, classes)).ok).toBe(true);
			for (const version of some) await addCopy(at.collection, version.key, {});
			const { db } = at.collection;
			const homeless = await homelessCopies(db, await readKeeping(db));
			const last = Math.max(...homeless.map(({ releaseId }) => releaseId));
			const uses = homeless
				.filter(({ releaseId }) => releaseId === last)
				.map(({ cardKey: card, parallelKey: parallel, variantKey: variant, use }) => [
					formatVersionKey({ release: key, card, parallel, variant }),
					use
				]);
			const listed = uses.filter(([version]) => cardOf.has(String(version)));
			expect(listed.length).toBe(some.length);
			expect(listed).toEqual(
				listed.map(([version]) => [
					version,
					storageClass({ ...cardOf.get(String(version)), status: 'kept' }, classes).name ?? 'sets'
				])
			);
			await setStorageClasses(at.collection, USUAL_CLASSES);
		}),
		{ numRuns: 12 }
	);
});
