import fc from 'fast-check';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { describe, expect, test } from 'vitest';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import {
	BACKUP_REASONS,
	formatBackupName,
	parseBackupName
} from '../database/backups/backup-name.ts';
import { writeBackup } from '../database/backups/write-backup.ts';
import { listBackups, pathOfBackup, pruneBackups } from './backup-folder.ts';
import { bringBackup } from './bring-backup.ts';
import { makeBackup, lastStepAt } from './make-backup.ts';
import { previewBackup } from './preview-backup.ts';
import { putInPlace } from './put-in-place.ts';
import { isDue } from './retention.ts';
import { readSettings } from '../database/settings.ts';
import { openCollection } from '../upkeep/open-collection.ts';

const name = (at: string, reason: (typeof BACKUP_REASONS)[number] = 'by schedule') => ({
	at,
	reason
});

test('for all names: parse(format(x)) = x', () => {
	const moment = fc
		.date({ min: new Date('1990-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
		.map((date) => `${date.toISOString().slice(0, 19)}Z`);
	fc.assert(
		fc.property(moment, fc.constantFrom(...BACKUP_REASONS), (at, reason) => {
			expect(parseBackupName(formatBackupName({ at, reason }))).toEqual({ at, reason });
		})
	);
	for (const other of [
		'jade.db',
		'jade-1996-10-06-090000-for-fun.db',
		'../jade.db',
		'jade-1996-13-06-090000-by-hand.db'
	])
		expect(parseBackupName(other)).toBeNull();
});

test.each<[string, string[], number, string | null, boolean]>([
	['nothing was ever done', [], 1, null, false],
	['something was done, and there is none', [], 1, '1996-10-01T08:00:00Z', true],
	['nothing was done since', ['1996-10-02T08:00:00Z'], 1, '1996-10-01T08:00:00Z', false],
	['done since, a day ago', ['1996-10-05T09:00:00Z'], 1, '1996-10-05T10:00:00Z', true],
	['done since, not a day ago', ['1996-10-05T09:00:01Z'], 1, '1996-10-05T10:00:00Z', false],
	['never', [], 0, '1996-10-01T08:00:00Z', false]
])('when one is due: %s', (_, made, everyDays, lastStep, due) => {
	const backups = made.map((at) => name(at));
	expect(isDue(backups, { everyDays, keep: 7 }, lastStep, '1996-10-06T09:00:00Z')).toBe(due);
});

test('one that was brought in does not put off the next', () => {
	const brought = [name('1996-10-06T08:00:00Z', 'brought in')];
	const rules = { everyDays: 1, keep: 7 };
	expect(isDue(brought, rules, '1996-10-05T10:00:00Z', '1996-10-06T09:00:00Z')).toBe(true);
});

describe('a folder of backups', () => {
	const at = withCollection();
	const folder = () => {
		const made = mkdtempSync(join(tmpdir(), 'jade-backups-'));
		return made;
	};

	test('what has outlived the rules goes, what was made by hand and other files never', async () => {
		const of = folder();
		const days = Array.from({ length: 9 }, (_, i) => `1996-10-0${i + 1}T08:00:00Z`);
		const files = [
			...days.map((day) => formatBackupName(name(day))),
			...days.map((day) => formatBackupName(name(day, 'before an update'))),
			...days.map((day) => formatBackupName(name(day, 'by hand'))),
			'holiday.txt'
		];
		for (const file of files) writeFileSync(join(of, file), 'x');
		await pruneBackups(of, { everyDays: 1, keep: 3 });
		const left = await listBackups(of);
		const count = (reason: string) => left.filter((each) => each.reason === reason).length;
		expect([count('by schedule'), count('before an update'), count('by hand')]).toEqual([3, 5, 9]);
		expect(left[0]?.at).toBe(days[8]);
		expect(readdirSync(of)).toContain('holiday.txt');
		expect(await pathOfBackup(of, '../holiday.txt')).toBeNull();
		expect(await pathOfBackup(of, 'holiday.txt')).toBeNull();
		rmSync(of, { recursive: true });
	});

	test('one is made while changes go on, says what is in it, and takes the place of what is there', async () => {
		await importRelease(at.collection, sampleRelease());
		await at.line('1-3 5x2');
		const data = mkdtempSync(join(tmpdir(), 'jade-place-'));
		const url = pathToFileURL(join(data, 'jade.db')).href;
		const settings = readSettings({ JADE_DATA: data, DATABASE_URL: url });
		const first = await openCollection(settings);
		await importRelease(first, sampleRelease());
		const file = await makeBackup(first, settings, 'by hand', async (to, named) => {
			const path = await writeBackup(url, to, named);
			return path.slice(to.length + 1);
		});
		const twin = await writeBackup(url, join(data, 'backups'), {
			at: '1996-10-06T09:00:00Z',
			reason: 'by hand'
		});
		const next = await writeBackup(url, join(data, 'backups'), {
			at: '1996-10-06T09:00:00Z',
			reason: 'by hand'
		});
		expect([twin, next].map((made) => made.slice(-21))).toEqual(
			['090000-by-hand.db', '090001-by-hand.db'].map((end) => `-06-${end}`)
		);
		expect(await lastStepAt(first)).not.toBeNull();
		await first.close();
		const path = join(data, 'backups', file ?? '');
		expect(await previewBackup(path, '.')).toMatchObject({
			ok: true,
			value: {
				releases: 1,
				cards: 25,
				copies: 0,
				isEarlier: false,
				last: { label: expect.stringContaining('R') as string }
			}
		});
		const elsewhere = join(data, 'jade.db');
		writeFileSync(elsewhere, 'what was there');
		const putBack = await putInPlace(path, elsewhere);
		const again = await openCollection(settings);
		await again.close();
		await putBack();
		// What cannot be copied leaves the present one in its place.
		await expect(putInPlace(join(data, 'no such file'), elsewhere)).rejects.toThrow(/ENOENT/);
		expect(readdirSync(data)).toEqual(['backups', 'jade.db', 'jade.db.lock']);
		rmSync(data, { recursive: true });
	});

	test.each<[string, (path: string) => void, RegExp]>([
		['a text', (path) => writeFileSync(path, 'number,title\n1,Ada'), /is no collection/],
		['nothing', (path) => writeFileSync(path, ''), /is empty/],
		['a folder', (path) => mkdirSync(path), /is a folder/]
	])('%s is no backup: it says so', async (_, make, says) => {
		const of = folder();
		const path = join(of, 'x.db');
		make(path);
		const seen = await previewBackup(path, '.');
		expect(seen.ok ? '' : seen.problems[0]?.message).toMatch(says);
		rmSync(of, { recursive: true });
	});

	test('a file from another disk comes under a name of ours; an empty one does not', async () => {
		const of = folder();
		const brought = await bringBackup(of, new Uint8Array([1, 2]), '1996-10-06T09:00:00.000Z');
		expect(brought).toMatchObject({ value: { file: 'jade-1996-10-06-090000-brought-in.db' } });
		if (brought.ok) await brought.value.takeAway();
		expect((await bringBackup(of, new Uint8Array(), '1996-10-06T09:00:00.000Z')).ok).toBe(false);
		expect(readdirSync(of)).toEqual([]);
		rmSync(of, { recursive: true });
	});
});
