import fc from 'fast-check';
import { expect, test } from 'vitest';
import { formatOfCard } from '../../core/checklist/card-format.ts';
import { expand } from '../../core/checklist/versions/expand.ts';
import { recordedReleaseDraft } from '../../core/checklist/draft/release.arbitrary.ts';
import { cardsOf } from '../../core/checklist/release.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { formatOfVersion } from '../../core/copies/version-format.ts';
import { cardBulk } from '../../core/storage/room/card-bulk.ts';
import { withCollection } from '../collection.fixture.ts';
import { importRelease } from '../checklists/import-release.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { homelessCopies } from './homeless.ts';
import { readKeeping } from './keeping.ts';

const at = withCollection();

test('for all releases, a copy is as thick as core says: its own format, its parallel, its swatch', async () => {
	let round = 0;
	await fc.assert(
		fc.asyncProperty(recordedReleaseDraft, async (draft) => {
			const outcome = resolveRelease({
				...draft,
				release: { ...draft.release, key: `r-${round++}` }
			});
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			const release = outcome.value;
			await importRelease(at.collection, release);
			const versions = expand(release);
			// A version of each card and finish is enough; the first and the last of them all are among these.
			const some = versions.filter((_, i) => i % 4 === 0 || i === versions.length - 1);
			for (const { key } of some) await addCopy(at.collection, key, {});
			const listed = new Map(cardsOf(release).map((found) => [found.card.key, found]));
			const homeless = await homelessCopies(at.collection.db, await readKeeping(at.collection.db));
			const umOf = new Map(
				homeless.map((copy) => [
					`${copy.releaseId} ${copy.cardKey} ${copy.parallelKey ?? ''} ${copy.variantKey ?? ''}`,
					copy.um
				])
			);
			const id = Math.max(...homeless.map(({ releaseId }) => releaseId));
			for (const { key, swatch } of some) {
				const name = parseVersionKey(key);
				const found = listed.get(name?.card ?? '');
				if (!name || !found) throw new RangeError(`no card of ${key}`);
				const parallelPt = release.parallels.find((known) => known.key === name.parallel)?.stockPt;
				const format = formatOfVersion({
					format: formatOfCard(found.section, found.card),
					parallelPt,
					swatch
				});
				expect(
					umOf.get(`${id} ${name.card} ${name.parallel ?? ''} ${name.variant ?? ''}`),
					key
				).toBe(cardBulk(format ?? null, null).um);
			}
		}),
		{ numRuns: 12 }
	);
}, 60_000);
