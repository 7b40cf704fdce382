import { and, eq } from 'drizzle-orm';
import { checkRelease } from '../../core/checklist/draft/check-release.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import type { Release } from '../../core/checklist/release.ts';
import { findVersion } from '../../core/checklist/versions/find-version.ts';
import type { Knowledge } from '../../core/knowledge/knowledge.ts';
import { idOfPicture } from '../../core/knowledge/compare-knowledge.ts';
import { takeKnowledge } from '../../core/knowledge/take-knowledge.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { rowId, type ReleaseId } from '../../core/row-id.ts';
import { lookAlike } from '../../core/telling/look-alike.ts';
import type { ReadKnowledge } from '../../formats/knowledge-file.ts';
import { changedSince } from '../checklists/fingerprint.ts';
import { findOrphans } from '../checklists/save-release.ts';
import { insertRelease, writeRelease } from '../checklists/write-release.ts';
import { placeOf } from '../copies/copy-rows.ts';
import type { Collection, Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import {
	declinedKnowledge,
	lookAlikes,
	media,
	pricePoints,
	referencePictures
} from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { preparePhoto } from '../media/photos.ts';
import { fingerprint, openKnowledge } from './look-at-knowledge.ts';
import { readMine } from './read-mine.ts';

type PreparedPicture = typeof media.$inferInsert;

/** What was taken in. */
export interface TakenKnowledge {
	readonly release: string;
	readonly taken: number;
	readonly left: number;
}

/**
 * Takes in what was chosen of a file of knowledge, in one step; a release that is not here comes whole, with what was
 * chosen beside it. Nothing that is owned loses its version, or all is refused. What was left is remembered, so that a
 * later file of the same person shows it last.
 *
 * @param ids of the differences that are taken
 * @param seen what they were compared with: where it has changed since, nothing is taken
 */
export async function takeInKnowledge(
	collection: Collection,
	bytes: Uint8Array,
	ids: ReadonlySet<string>,
	seen: string
): Promise<Outcome<TakenKnowledge>> {
	const opened = await openKnowledge(collection.db, bytes, (stored) =>
		readMine(collection.db, stored)
	);
	if (!opened.ok) return bad(opened.problems);
	const pictures = await preparePictures(opened.value.read, ids);
	if (!pictures.ok) return bad(pictures.problems);
	return makeChange(collection, async (record, tx) => {
		const now = await openKnowledge(tx, bytes, (stored) => readMine(tx, stored));
		if (!now.ok) return refused(now.problems);
		const { read, stored, differences } = now.value;
		const stale = changedSince(seen, stored?.release ?? null);
		const unknown = [...ids].filter((id) => !differences.some((each) => each.id === id));
		if (stale.length > 0) return refused(stale);
		if (unknown.length > 0) return refused([noSuch(unknown[0] ?? '')]);
		const mine: Knowledge = stored
			? await readMine(tx, stored)
			: { checklist: read.knowledge.checklist, pictures: [], prices: [], lookAlikes: [] };
		const merged = takeKnowledge(mine, read.knowledge, ids);
		const resolved = resolveRelease(merged.checklist);
		if (!resolved.ok) return refused(resolved.problems.map(dependent));
		const release = resolved.value;
		const problems = [
			...checkRelease(release),
			...(stored ? await findOrphans(tx, stored.id, release) : []),
			...unplaced(release, merged)
		];
		if (problems.length > 0) return refused(problems);
		const id: ReleaseId = stored?.id ?? rowId(await insertRelease(record, tx, release));
		if (stored) await writeRelease(record, tx, id, release);
		await insertBeside(record, tx, id, merged, pictures.value);
		const left = differences.filter((each) => !ids.has(each.id));
		await rememberLeft(record, tx, id, read.from, left.map(fingerprint));
		return {
			value: good({ release: release.key, taken: ids.size, left: left.length }),
			label: `${release.name}: what ${read.from} has learnt`
		};
	});
}

const noSuch = (id: string): Problem => ({
	message: `the file has no such difference any more: ${id.slice(0, 80)}`,
	remedy: 'Look at the file again.'
});

/** A line that stands on another that was left. */
const dependent = (problem: Problem): Problem => ({
	...problem,
	remedy: `${problem.remedy ?? ''} Take the line it stands on as well, or leave this one.`.trim()
});

/** Pictures and prices of what is not on the checklist. */
function unplaced(release: Release, { pictures, prices }: Knowledge): readonly Problem[] {
	const remedy = 'Take the line of it as well, or leave this one.';
	return [
		...pictures
			.filter(({ of }) => !lookAlike(release, of))
			.map(({ of }) => ({ message: `there is no ${of} to be shown by a picture`, remedy })),
		...prices
			.filter(({ version }) => !findVersion(release, version))
			.map(({ version }) => ({ message: `there is no ${version} to have a price`, remedy }))
	].slice(0, 50);
}

async function preparePictures(
	{ knowledge, files }: ReadKnowledge,
	ids: ReadonlySet<string>
): Promise<Outcome<ReadonlyMap<string, PreparedPicture>>> {
	const wanted = knowledge.pictures.filter((picture) => ids.has(idOfPicture(picture)));
	const prepared = new Map<string, PreparedPicture>();
	const problems: Problem[] = [];
	for (const { hash, of } of wanted) {
		if (prepared.has(hash)) continue;
		const picture = await preparePhoto(files.get(hash) ?? new Uint8Array());
		if (picture.ok) prepared.set(hash, picture.value);
		else problems.push(...picture.problems.map((each) => ({ ...each, field: of })));
	}
	return problems.length > 0 ? bad(problems) : good(prepared);
}

async function insertBeside(
	record: Recorder,
	tx: Transaction,
	releaseId: ReleaseId,
	{ pictures, prices, lookAlikes: alike }: Knowledge,
	prepared: ReadonlyMap<string, PreparedPicture>
): Promise<void> {
	for (const picture of prepared.values())
		await tx.insert(media).values(picture).onConflictDoNothing();
	await record.insert(
		referencePictures,
		pictures.map(({ of, side, hash, source = null }) => ({
			...{ releaseId, of, side, source },
			hash: prepared.get(hash)?.hash ?? hash
		}))
	);
	await record.insert(
		pricePoints,
		prices.map(({ version, isAuthentic = false, ...price }) => ({
			...{ ...placeOf(releaseId, version), isAuthentic, ...price }
		}))
	);
	await record.insert(
		lookAlikes,
		alike.map(({ name, keys, note = null }) => ({ name, keys, note }))
	);
}

async function rememberLeft(
	record: Recorder,
	tx: Transaction,
	releaseId: ReleaseId,
	from: string,
	left: readonly string[]
): Promise<void> {
	const before = await tx
		.select({ id: declinedKnowledge.id })
		.from(declinedKnowledge)
		.where(and(eq(declinedKnowledge.releaseId, releaseId), eq(declinedKnowledge.from, from)));
	await record.remove(
		declinedKnowledge,
		before.map(({ id }) => id)
	);
	await record.insert(
		declinedKnowledge,
		left.map((each) => ({ releaseId, from, fingerprint: each }))
	);
}
