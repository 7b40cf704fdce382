import { error } from '@sveltejs/kit';
import { rm } from 'node:fs/promises';
import { bad, good, type Outcome } from '../core/problem.ts';
import { guardAtStart } from './access/at-start.ts';
import { carryAccess } from './access/carry-access.ts';
import { folderOf, pathOfBackup } from './backups/backup-folder.ts';
import { makeBackup, scheduleBackups, type WriteBackup } from './backups/make-backup.ts';
import { putInPlace } from './backups/put-in-place.ts';
import {
	refreshEditionCards,
	releasesWithoutEditionCards
} from './checklists/refresh-edition-cards.ts';
import { pathOfDatabase } from './database/collection-file.ts';
import type { Collection } from './database/open.ts';
import { readSettings } from './database/settings.ts';
import { whyUnwritten } from './database/why-unwritten.ts';
import { goalsWithoutNext } from './goals/read-goals.ts';
import { refreshProgress } from './goals/refresh-progress.ts';
import { releasesWithoutTotals } from './releases/refresh-totals.ts';
import { openCollection } from './upkeep/open-collection.ts';
import { moveSteps, weighMove, type JournalMove } from './journal/move-steps.ts';
import type { Step } from './journal/undo.ts';
import type { ChangeName, Changes, TellChange } from './workers/changes.ts';
import { runChange, runTask } from './workers/run-task.ts';

let opening: Promise<Collection> | undefined;

/** The collection of this process: opened once, at start, and anew when a backup takes its place. */
export function theCollection(): Promise<Collection> {
	if (!opening) {
		opening = openFirst();
		const settings = readSettings(process.env);
		// A clock that stands still is for the sample and for tests: nothing of it happens by itself.
		if (settings.fixedNow === null) scheduleBackups(theCollection, settings, writeAside);
	}
	return opening;
}

/** Nobody is served before it is known who may look. */
async function openFirst(): Promise<Collection> {
	const collection = await open();
	await guardAtStart(collection, readSettings(process.env));
	return collection;
}

/** In a worker: it takes a second for a hundred megabytes. */
export const writeAside: WriteBackup = (folder, name) => runTask('writeBackup', { folder, name });

type ValueOf<Written> = Written extends { readonly kind: 'done'; readonly value: infer Value }
	? Value
	: never;

/**
 * Makes a change in a worker, so that nobody waits for it but the caller and the changes after it.
 *
 * @param tell is told how far it is
 * @throws TooMuch when it was given up: then nothing of it was written
 */
export async function changeAside<Name extends ChangeName>(
	change: Name,
	argument: Parameters<Changes[Name]>[0]['argument'],
	signal?: AbortSignal,
	tell?: TellChange
): Promise<ValueOf<Awaited<ReturnType<Changes[Name]>>>> {
	const { aside, news } = await theCollection();
	const written = await runChange(change, argument, aside, signal, tell);
	if (written.kind === 'unwritten') error(written.why.status, written.why.message);
	for (const announcement of written.told) news.tell(announcement);
	return written.value as ValueOf<Awaited<ReturnType<Changes[Name]>>>;
}

/** Bytes of the journal that are read, and turned, while others wait: some 20 ms. */
const LIGHT_MOVE = 500_000;

/** Undo and redo, of whatever size: what is large is done in a worker. */
export async function moveJournal(asked: JournalMove): Promise<Outcome<Step>> {
	const collection = await theCollection();
	const bytes = await weighMove(collection.db, asked);
	return bytes > LIGHT_MOVE ? changeAside('moveSteps', asked) : moveSteps(collection, asked);
}

/**
 * Puts a backup in the place of the collection, after a backup of what is there. Requests that come meanwhile wait. Where it
 * cannot be opened, what was there before is put back.
 *
 * @param file the name of a file in the folder of backups
 */
export function restoreBackup(file: string): Promise<Outcome<{ readonly before: string }>> {
	const done = restoring.then(() => restoreNow(file));
	restoring = done.catch(() => undefined);
	return done;
}

/** One after the other. */
let restoring: Promise<unknown> = Promise.resolve();

async function restoreNow(file: string): Promise<Outcome<{ readonly before: string }>> {
	const settings = readSettings(process.env);
	const folder = folderOf(settings);
	const path = pathOfDatabase(settings.databaseUrl);
	const backup = folder && (await pathOfBackup(folder, file));
	if (!backup || path === null) {
		return bad([{ message: 'there is no such backup', remedy: 'Choose one of the list.' }]);
	}
	const seen = await runTask('previewBackup', { path: backup });
	if (!seen.ok) return seen;
	const present = await theCollection();
	const before = await makeBackup(present, settings, 'before restoring', writeAside);
	const opened = exchange(present, backup, path);
	opening = opened.then(({ collection }) => collection);
	const { problem } = await opened;
	return problem
		? bad([{ message: problem, remedy: 'What was there before is there again.' }])
		: good({ before: before ?? '' });
}

async function exchange(present: Collection, backup: string, path: string) {
	let putBack: (() => Promise<void>) | null = null;
	try {
		const carry = await carryAccess(present.db);
		await present.close();
		putBack = await putInPlace(backup, path);
		const collection = await open();
		await carry(collection).catch(async (error: unknown) => {
			await collection.close();
			throw error;
		});
		await rm(`${path}.before`, { force: true });
		return { collection, problem: null };
	} catch (error) {
		console.error(error);
		await putBack?.();
		return { collection: await open(), problem: (error as Error).message };
	}
}

/** Says now and then how far the sample is. */
function tell(done: number, of: number): void {
	if (done % Math.ceil(of / 5) === 0)
		console.log(`loading the sample: ${Math.round((100 * done) / of)} %`);
}

async function open(): Promise<Collection> {
	const settings = readSettings(process.env);
	const collection = await openCollection(settings);
	// A collection of an earlier version: what its lists show is worked out once.
	const repeating = await releasesWithoutEditionCards(collection.db);
	if (repeating.length > 0) {
		await collection.write((tx) => refreshEditionCards(tx, repeating));
	}
	const stale = [
		...(await goalsWithoutNext(collection.db)),
		...(await releasesWithoutTotals(collection.db))
	];
	if (stale.length > 0) {
		await collection.write((tx) => refreshProgress(tx, stale, collection.now()));
	}
	if (settings.demo) {
		const { loadDemo } = await import('./demo/load-demo.ts');
		await loadDemo(collection, tell);
	}
	return { ...collection, write: (change) => collection.write(change).catch(tellWhy) };
}

/** A disk that is full is no fault of the program: it is said in words. */
function tellWhy(cause: unknown): never {
	const why = whyUnwritten(cause);
	if (!why) throw cause;
	console.error(cause);
	error(why.status, why.message);
}
