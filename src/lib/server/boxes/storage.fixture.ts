import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach } from 'vitest';
import { resolveRelease } from '../../core/checklist/resolve-release.ts';
import type { CardFormat } from '../../core/checklist/section.ts';
import { logLine } from '../copies/log.ts';
import { openCollection, type Collection } from '../database/open.ts';
import { importRelease } from '../releases/import-release.ts';
import { readSettings } from '../settings.ts';

/** For tests: before each, an empty collection; `release` imports one, `log` puts cards in. */
export function withStorage() {
	let folder: string;
	let collection: Collection;

	beforeEach(async () => {
		folder = mkdtempSync(join(tmpdir(), 'jade-boxes-'));
		const settings = readSettings({ JADE_DATA: folder, JADE_NOW: '1996-10-06T09:00:00.000Z' });
		collection = await openCollection(settings);
	});
	afterEach(() => {
		collection.close();
		rmSync(folder, { recursive: true, force: true });
	});

	return {
		get collection() {
			return collection;
		},
		/** A release of numbered cards 1 … count, with a parallel. */
		async release(key: string, year: string, count: number, format?: CardFormat): Promise<void> {
			const outcome = resolveRelease({
				release: { key, name: key.toUpperCase(), maker: 'M', year },
				sections: [
					{
						name: 'Base',
						...(format ? { format } : {}),
						cards: Array.from({ length: count }, (_, i) => ({
							number: String(i + 1),
							title: `Card ${i + 1}`
						}))
					}
				],
				parallels: [{ name: 'Brass', runs: [{ sections: ['base'] }] }]
			});
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			await importRelease(collection, outcome.value);
		},
		async log(release: string, line: string): Promise<void> {
			const done = await logLine(collection, release, { line, numbering: null, parallel: null });
			if (!done.ok) throw new RangeError(JSON.stringify(done.problems));
		}
	};
}
