import { error } from '@sveltejs/kit';
import { whyUnwritten } from './database/why-unwritten.ts';
import type { Collection } from './database/open.ts';
import { openCollection } from './upkeep/open-collection.ts';
import { goalsWithoutNext } from './goals/read-goals.ts';
import { refreshProgress } from './goals/refresh-progress.ts';
import { releasesWithoutTotals } from './releases/refresh-totals.ts';
import {
	refreshEditionCards,
	releasesWithoutEditionCards
} from './checklists/refresh-edition-cards.ts';
import { loadDemo } from './demo/load-demo.ts';
import { readSettings } from './database/settings.ts';

let opening: Promise<Collection> | undefined;

/** The collection of this process: opened once, at start. */
export function theCollection(): Promise<Collection> {
	opening ??= open();
	return opening;
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
	if (settings.demo) await loadDemo(collection, tell);
	return { ...collection, write: (change) => collection.write(change).catch(tellWhy) };
}

/** A disk that is full is no fault of the program: it is said in words. */
function tellWhy(cause: unknown): never {
	const why = whyUnwritten(cause);
	if (!why) throw cause;
	console.error(cause);
	error(why.status, why.message);
}
