import { insertOne } from '../database/record.ts';
import { eq } from 'drizzle-orm';
import { nameVersion } from '../../core/copies/name-version.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Release } from '../../core/checklist/release.ts';
import { repeatedSerials } from '../../core/copies/check-copy.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { readHolderKinds } from '../places/keeping.ts';
import { measureAnew } from '../places/measure-anew.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { copies } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';
import { fieldsAsRow, placeAsked, placeOf, readCopy, type CopyFields } from './copy-rows.ts';
import { problemsOf } from './check-copy-row.ts';
import { readCopies } from './read-copies.ts';
import { splitOff } from './split-off.ts';
import { removeCopyRows } from '../removal/remove-copy-rows.ts';
import type { CopyId, ReleaseId } from '../../core/row-id.ts';

type Done = Outcome<{ readonly id: CopyId }>;
const noCopy: Problem = {
	message: 'there is no such copy',
	remedy: 'It may have been taken out; undo brings it back.'
};

/** Records a copy with all that is known of it, apart from the piles. */
export function addCopy(
	collection: Collection,
	version: string,
	fields: CopyFields
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const releaseKey = parseVersionKey(version)?.release ?? '';
		const stored = await loadRelease(tx, releaseKey);
		if (!stored) return refused([{ message: 'this release is not in the collection' }]);
		const { id: releaseId, release } = stored;
		const row = {
			...placeOf(releaseId, version),
			quantity: 1,
			loggedAt: collection.now(),
			...fieldsAsRow(fields)
		};
		const problems = problemsOf(release, version, row, await readHolderKinds(tx));
		if (problems.length > 0) return refused(problems);
		const copy = await insertOne(record, copies, row);
		return {
			value: good({ id: copy.id }, await warningsOf(tx, releaseId, version)),
			label: `Record a copy: ${titleOf(release, version)}`
		};
	});
}

/** Changes what is known of a copy, its version too. */
export function editCopy(
	collection: Collection,
	id: CopyId,
	fields: CopyFields,
	version?: string
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const found = await readCopy(tx, id);
		if (!found) return refused([noCopy]);
		const { releaseId, release } = found;
		const wanted = version ?? found.copy.version;
		const [before] = await tx.select().from(copies).where(eq(copies.id, id));
		const row = { ...placeAsked(releaseId, wanted), ...fieldsAsRow(fields) };
		const problems = problemsOf(release, wanted, { ...before, ...row }, await readHolderKinds(tx));
		if (problems.length > 0) return refused(problems);
		await record.update(copies, id, row);
		await measureAnew(record, tx, [id]);
		return {
			value: good({ id }, await warningsOf(tx, releaseId, wanted)),
			label: `Change a copy: ${titleOf(release, wanted)}`
		};
	});
}

/** Takes one card off a pile, as a copy of its own with the same fields. */
export function splitCopy(collection: Collection, id: CopyId): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(copies).where(eq(copies.id, id));
		if (!row) return refused([noCopy]);
		if (row.quantity < 2) {
			return refused([{ message: 'this is a single card', remedy: 'Only a pile can be split.' }]);
		}
		const single = await splitOff(record, tx, row, 1);
		return {
			value: good({ id: single }),
			label: `Split a card off a pile`
		};
	});
}

/** Takes a copy, or a whole pile, out of the collection with its photos. */
export function removeCopy(collection: Collection, id: CopyId): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const found = await readCopy(tx, id);
		if (!found) return refused([noCopy]);
		await removeCopyRows(record, tx, [id]);
		return {
			value: good({ id }),
			label: `Take out a copy: ${titleOf(found.release, found.copy.version)}`
		};
	});
}

/** "Harbour Lights 1994, 27, Verdigris" */
function titleOf(release: Release, version: string): string {
	return `${release.name}, ${nameVersion(release, version)}`;
}

/** Serial numbers that stand on two copies: a warning, for people do find misprints. */
async function warningsOf(
	tx: Transaction,
	releaseId: ReleaseId,
	version: string
): Promise<readonly Problem[]> {
	const ofVersion = (await readCopies(tx, releaseId)).filter((copy) => copy.version === version);
	return repeatedSerials(ofVersion).map(({ serial, copies: count }) => ({
		field: 'serial',
		message: `${count} copies bear the serial number ${serial}`,
		remedy: 'One of them may be misread, or not genuine.'
	}));
}
