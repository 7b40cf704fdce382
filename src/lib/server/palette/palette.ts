import { asc, eq, inArray } from 'drizzle-orm';
import { deepEqual } from 'fast-equals';
import {
	finishOf,
	followPalette,
	PALETTE_FIELDS,
	sharedFinishes,
	takeFinish,
	type PaletteFinish
} from '../../core/checklist/palette.ts';
import type { Parallel } from '../../core/checklist/parallel.ts';
import { freeKey, slug } from '../../core/checklist/slug.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Reader, Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import { paletteFinishes, parallels, releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { toParallel } from '../releases/load-release.ts';

type ParallelRow = typeof parallels.$inferSelect;

const noFinish: Problem = {
	message: 'there is no such finish in the palette',
	remedy: 'It may have been taken away; undo brings it back.'
};

/** A finish of the palette with the parallels that are it. */
export interface UsedFinish {
	readonly finish: PaletteFinish;
	readonly uses: readonly {
		readonly release: string;
		readonly releaseName: string;
		readonly parallel: string;
		readonly name: string;
		/** The runs that are stamped on its cards, each once: 120, 75. */
		readonly runs: readonly number[];
	}[];
}

/** The palette, by name. */
export async function readPalette(db: Reader): Promise<readonly PaletteFinish[]> {
	const rows = await db.select().from(paletteFinishes).orderBy(asc(paletteFinishes.name));
	return rows.map(toFinish);
}

/** The palette with what uses it, and the finishes that several releases have and that could join it. */
export async function readPaletteUse(db: Reader) {
	const palette = await readPalette(db);
	const rows = await db
		.select({ row: parallels, release: releases.key, releaseName: releases.name })
		.from(parallels)
		.innerJoin(releases, eq(parallels.releaseId, releases.id))
		.orderBy(asc(releases.year), asc(releases.name));
	const used = palette.map((finish): UsedFinish => ({
		finish,
		uses: rows
			.filter(({ row }) => row.palette === finish.key)
			.map(({ row, release, releaseName }) => ({
				release,
				releaseName,
				parallel: row.key,
				name: row.name,
				runs: [...new Set(row.runs.flatMap(({ printRun }) => printRun ?? []))]
			}))
	}));
	const known = new Set(palette.map(({ key }) => key));
	const shared = sharedFinishes(
		rows.map(({ row, release }) => {
			const { palette: key, ...parallel } = toParallel(row);
			return {
				release,
				parallel: key !== undefined && known.has(key) ? { ...parallel, palette: key } : parallel
			};
		})
	);
	return { palette: used, shared };
}

/** Adds a finish to the palette, or changes one; parallels that agreed with it follow, in the same step. */
export function saveFinish(
	collection: Collection,
	{ key, ...said }: Partial<Pick<PaletteFinish, 'key'>> & Omit<PaletteFinish, 'key'>
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const rows = await tx.select().from(paletteFinishes);
		const row = rows.find((known) => known.key === key);
		if (key !== undefined && !row) return refused([noFinish]);
		const isSame = (name: string) => name.toLowerCase() === said.name.toLowerCase();
		if (rows.some((other) => other !== row && isSame(other.name))) {
			return refused([
				{
					field: 'name',
					message: `"${said.name}" is in the palette already`,
					remedy: 'Change that, or give this another name.'
				}
			]);
		}
		if (!row) {
			const finish = { ...said, key: newKey(said.name, rows) };
			await record.insert(paletteFinishes, [finish]);
			return { value: good({ key: finish.key }), label: `Palette: ${said.name}` };
		}
		const [before, after] = [toFinish(row), { ...said, key: row.key }];
		if (PALETTE_FIELDS.some((field) => !deepEqual(before[field], after[field]))) {
			await record.update(paletteFinishes, row.id, asRow(after));
		}
		const users = await tx.select().from(parallels).where(eq(parallels.palette, row.key));
		await writeParallels(record, tx, users, (parallel) => followPalette(parallel, before, after));
		return { value: good({ key: row.key }), label: `Palette: ${said.name}` };
	});
}

/** Enters a finish that several releases have once, as the first of them tells it; all of them are it then. */
export function shareFinish(
	collection: Collection,
	name: string
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const rows = await tx.select().from(paletteFinishes);
		const known = rows.find((row) => row.name.toLowerCase() === name.toLowerCase());
		const users = (await tx.select().from(parallels)).filter(
			(row) => row.name.trim().toLowerCase() === name.toLowerCase()
		);
		const [first] = users;
		if (!first) {
			return refused([
				{ message: `no release has a finish "${name}"`, remedy: 'Reload the page.' }
			]);
		}
		const finish = known ? toFinish(known) : finishOf(toParallel(first), newKey(name, rows));
		if (!known) await record.insert(paletteFinishes, [finish]);
		await writeParallels(record, tx, users, (parallel) => takeFinish(parallel, finish));
		return { value: good({ key: finish.key }), label: `Palette: ${finish.name} entered once` };
	});
}

/** Takes a finish out of the palette; the parallels that are it keep what they say. */
export function removeFinish(
	collection: Collection,
	key: string
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(paletteFinishes).where(eq(paletteFinishes.key, key));
		if (!row) return refused([noFinish]);
		const users = await tx.select().from(parallels).where(eq(parallels.palette, key));
		await writeParallels(record, tx, users, ({ palette: _, ...parallel }) => parallel);
		await record.remove(paletteFinishes, [row.id]);
		return { value: good({ key }), label: `Palette without ${row.name}` };
	});
}

/** Writes those parallels that a change makes other than they are, unless two of a release would be called the same. */
async function writeParallels(
	record: Recorder,
	tx: Transaction,
	rows: readonly ParallelRow[],
	change: (parallel: Parallel) => Parallel
): Promise<void> {
	const others =
		rows.length === 0
			? []
			: await tx
					.select({ id: parallels.id, releaseId: parallels.releaseId, name: parallels.name })
					.from(parallels)
					.where(
						inArray(parallels.releaseId, [...new Set(rows.map(({ releaseId }) => releaseId))])
					);
	for (const row of rows) {
		const changed = change(toParallel(row));
		const isTaken = others.some(
			(other) =>
				other.id !== row.id && other.releaseId === row.releaseId && other.name === changed.name
		);
		const { look, howToTell, tells, channel, stockPt, shape, palette } = changed;
		const next = {
			name: isTaken ? row.name : changed.name,
			look: look ?? null,
			howToTell: howToTell ?? null,
			tells: tells ?? null,
			channel: channel ?? null,
			stockPt: stockPt ?? null,
			shape: shape ?? null,
			palette: palette ?? null
		};
		const isSame = Object.entries(next).every(([field, value]) =>
			deepEqual(value, Reflect.get(row, field))
		);
		if (!isSame) await record.update(parallels, row.id, next);
	}
}

function newKey(name: string, rows: readonly { readonly key: string }[]): string {
	return freeKey(slug(name), new Set(rows.map(({ key }) => key)));
}

function toFinish(row: typeof paletteFinishes.$inferSelect): PaletteFinish {
	const { id: _, key, name, ...rest } = row;
	const said = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== null));
	return { ...said, key, name };
}

function asRow({ name, look, howToTell, tells, channel, stockPt, shape }: PaletteFinish) {
	return {
		name,
		look: look ?? null,
		howToTell: howToTell ?? null,
		tells: tells ?? null,
		channel: channel ?? null,
		stockPt: stockPt ?? null,
		shape: shape ?? null
	};
}
