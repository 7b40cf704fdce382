import { createClient, type Client } from '@libsql/client';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { checkFile, standingOf } from '../database/collection-file.ts';
import { asStartProblem } from '../database/start-problem.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';

/** What is in a collection, in short. */
export interface CollectionDigest {
	readonly releases: number;
	readonly cards: number;
	/** Copies, piles counted out. */
	readonly copies: number;
	readonly photos: number;
	readonly goals: number;
	readonly binders: number;
	readonly boxes: number;
	/** What was done last; null: nothing. */
	readonly last: { readonly at: string; readonly label: string } | null;
	/** It was made by an earlier version, and is brought up to date when it is restored. */
	readonly isEarlier: boolean;
}

const COUNTS = {
	releases: 'SELECT count(*) FROM releases',
	cards: 'SELECT count(*) FROM cards',
	copies: 'SELECT coalesce(sum(quantity), 0) FROM copies',
	photos: 'SELECT count(*) FROM photos',
	goals: 'SELECT count(*) FROM goals',
	binders: 'SELECT count(*) FROM binders',
	boxes: 'SELECT count(*) FROM boxes'
} as const;

/** Reads a backup, or the collection itself, from end to end: what is in it, or why it cannot be used. */
export async function previewBackup(
	path: string,
	root: string
): Promise<Outcome<CollectionDigest>> {
	let client: Client | undefined;
	try {
		await checkFile(path);
		client = createClient({ url: pathToFileURL(path).href });
		const { isNew, pending } = await standingOf(client, resolve(root, 'drizzle'));
		const checked = await client.execute('PRAGMA integrity_check(1)');
		if (checked.rows[0]?.integrity_check !== 'ok') {
			return bad([{ message: 'this backup is damaged', remedy: 'Choose another one.' }]);
		}
		if (isNew) return bad([{ message: 'there is nothing in it', remedy: 'Choose another one.' }]);
		const counts = await readCounts(client);
		const last = await client.execute(
			`SELECT at, label FROM journal WHERE state = 'done' ORDER BY id DESC LIMIT 1`
		);
		const [row] = last.rows;
		return good({
			...counts,
			last: row ? { at: row.at as string, label: row.label as string } : null,
			isEarlier: pending > 0
		});
	} catch (error) {
		const problem = asStartProblem(error, 'this file');
		if (!problem) throw error;
		return bad([{ message: problem.message, remedy: problem.remedy }]);
	} finally {
		client?.close();
	}
}

/** Counts; 0 for what an earlier version did not have yet. */
async function readCounts(client: Client): Promise<Record<keyof typeof COUNTS, number>> {
	const { rows } = await client.execute(`SELECT name FROM sqlite_master WHERE type = 'table'`);
	const tables = new Set(rows.map(({ name }) => name as string));
	const counts = { releases: 0, cards: 0, copies: 0, photos: 0, goals: 0, binders: 0, boxes: 0 };
	for (const [name, sql] of Object.entries(COUNTS)) {
		if (!tables.has(name)) continue;
		const found = await client.execute(sql);
		counts[name as keyof typeof COUNTS] = Number(found.rows[0]?.[0] ?? 0);
	}
	return counts;
}
