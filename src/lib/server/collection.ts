import { openCollection, type Collection } from './database/open.ts';
import { loadDemo } from './demo/load-demo.ts';
import { readSettings } from './settings.ts';

let opening: Promise<Collection> | undefined;

/** The collection of this process: opened once, at start. */
export function theCollection(): Promise<Collection> {
	opening ??= open();
	return opening;
}

async function open(): Promise<Collection> {
	const settings = readSettings(process.env);
	const collection = await openCollection(settings);
	if (settings.demo) await loadDemo(collection);
	return collection;
}
