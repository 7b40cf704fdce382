import fc from 'fast-check';
import { asc, eq, sql } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { expand } from '../../core/checklist/versions/expand.ts';
import type { ReleaseDraft } from '../../core/checklist/draft/draft.ts';
import { recordedReleaseDraft } from '../../core/checklist/draft/release.arbitrary.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import type { Release } from '../../core/checklist/release.ts';
import { readRuleSheet, writeRuleSheet } from '../../core/checklist/rule-sheet/rule-sheet.ts';
import { good } from '../../core/problem.ts';
import { logOwned } from '../copies/log.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import type { Collection } from '../database/open.ts';
import { openCollection } from '../upkeep/open-collection.ts';
import { readRows } from '../database/read-rows.ts';
import { cards, copies, parallels, sections } from '../database/tables/index.ts';
import { redo, undo } from '../journal/undo.ts';
import { readSettings } from '../database/settings.ts';
import { importRelease, replaceRelease } from './import-release.ts';
import { loadRelease } from '../releases/load-release.ts';
import { saveRelease } from './save-release.ts';
import { rowId } from '../../core/row-id.ts';

let folder: string;
let collection: Collection;
beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), 'jade-save-'));
	collection = await openCollection(readSettings({ JADE_DATA: folder }));
});
afterEach(async () => {
	await collection.close();
	rmSync(folder, { recursive: true, force: true });
});

let made = 0;
/** A release under a key of its own, so that many fit in one collection. */
function resolved(draft: ReleaseDraft, key: string): Release {
	const outcome = resolveRelease({ ...draft, release: { ...draft.release, key } });
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

describe('for all releases', () => {
	test('one takes the place of another whole; undo and redo go there and back', async () => {
		await fc.assert(
			fc.asyncProperty(recordedReleaseDraft, recordedReleaseDraft, async (first, second) => {
				const key = `r-${++made}`;
				const before = resolved(first, key);
				const after = resolved(second, key);
				const stored = async () => (await loadRelease(collection.db, key))?.release;
				await importRelease(collection, before);
				expect(await stored()).toEqual(before);
				expect(await saveRelease(collection, key, 'edit', () => good(after))).toMatchObject({
					ok: true
				});
				expect(await stored()).toEqual(after);
				const isSame = JSON.stringify(before) === JSON.stringify(after);
				if (isSame) return;
				await undo(collection);
				expect(await stored()).toEqual(before);
				await redo(collection);
				expect(await stored()).toEqual(after);
			}),
			{ numRuns: 20 }
		);
	});

	test('an edit that keeps every version keeps every copy; one that drops an owned version is refused', async () => {
		await fc.assert(
			fc.asyncProperty(recordedReleaseDraft, fc.nat(), async (draft, pick) => {
				const key = `r-${++made}`;
				const release = resolved(draft, key);
				await importRelease(collection, release);
				const versions = expand(release).map((version) => version.key);
				const owned = versions.filter((_, i) => i % 3 === pick % 3).slice(0, 20);
				const wanted = owned.map((version, i) => ({ version, quantity: 1 + (i % 2) }));
				if (wanted.length > 0) await logOwned(collection, key, wanted);
				const id = (await loadRelease(collection.db, key))?.id ?? rowId<'releases'>(0);
				const counts = async () => countOwned(await readCopies(collection.db, id));
				const before = await counts();
				// Every section renamed and the rules written anew: keys stay.
				const sheet = writeRuleSheet(release);
				const renamed = sheet.sections.map(({ key: old, cells }) => ({
					key: old,
					cells: { ...cells, name: `${cells['name'] ?? ''} II` }
				}));
				const saved = await saveRelease(collection, key, 'rename', (now) =>
					readRuleSheet(now, { ...sheet, sections: renamed })
				);
				expect(saved).toMatchObject({ ok: true });
				expect(await counts()).toEqual(before);
				const [lost] = owned;
				if (lost === undefined) return;
				const without: Release = {
					...release,
					sections: release.sections.map((section) => ({ ...section, cards: [] })),
					parallels: [],
					variants: []
				};
				const refused = await replaceRelease(collection, key, without, false);
				expect(refused.ok ? [] : refused.problems.map(({ field }) => field)).toContain(lost);
				expect(await counts()).toEqual(before);
			}),
			{ numRuns: 15 }
		);
	});

	test('many rows read at once are those that are read one by one', async () => {
		await fc.assert(
			fc.asyncProperty(recordedReleaseDraft, async (draft) => {
				const key = `r-${++made}`;
				const release = resolved(draft, key);
				await importRelease(collection, release);
				const first = expand(release)[0]?.key ?? '';
				await logOwned(collection, key, [{ version: first, quantity: 2 }], 'good');
				const id = (await loadRelease(collection.db, key))?.id ?? rowId<'releases'>(0);
				for (const table of [cards, copies, sections, parallels]) {
					const slow = await collection.db
						.select()
						.from(table)
						.where(eq(table.releaseId, id))
						.orderBy(asc(table.id));
					const quick = await readRows(
						collection.db,
						table,
						eq(table.releaseId, id),
						sql`${table.id}`
					);
					expect(quick).toEqual(slow);
				}
			}),
			{ numRuns: 15 }
		);
	});
});

test('two changes at once come one after the other, and a failing one leaves nothing', async () => {
	const draft = {
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [{ name: 'Base', cards: [{ number: '1' }] }]
	};
	await importRelease(collection, resolved(draft, 'r'));
	const rename = (name: string) =>
		saveRelease(collection, 'r', `to ${name}`, (release) => good({ ...release, name }));
	const outcomes = await Promise.all(['A', 'B', 'C', 'D'].map(rename));
	expect(outcomes.every(({ ok }) => ok)).toBe(true);
	expect((await loadRelease(collection.db, 'r'))?.release.name).toBe('D');
	await expect(
		saveRelease(collection, 'r', 'break', () => {
			throw new RangeError('on the way');
		})
	).rejects.toThrow('on the way');
	expect((await loadRelease(collection.db, 'r'))?.release.name).toBe('D');
	await undo(collection);
	expect((await loadRelease(collection.db, 'r'))?.release.name).toBe('C');
	expect(await rename('E')).toMatchObject({ ok: true });
	expect(await saveRelease(collection, 'nix', 'x', good)).toMatchObject({ ok: false });
});
