import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { compareKnowledge } from '../../core/knowledge/compare-knowledge.ts';
import type { Difference, Knowledge } from '../../core/knowledge/knowledge.ts';
import { good, type Outcome } from '../../core/problem.ts';
import { readKnowledge, type ReadKnowledge } from '../../formats/knowledge-file.ts';
import { findSameRelease } from '../checklists/import-release.ts';
import { fingerprintOf } from '../checklists/fingerprint.ts';
import type { Reader } from '../database/open.ts';
import { declinedKnowledge, releases } from '../database/tables/index.ts';
import { loadRelease, type StoredRelease } from '../releases/load-release.ts';

/** A difference, and whether it was seen and left when an earlier file of the same person came. */
export interface SeenDifference extends Difference {
	readonly wasLeft: boolean;
}

/** A file of knowledge beside what is known here. */
export interface KnowledgeView {
	readonly from: string;
	/** ISO 8601 day */
	readonly on: string;
	readonly release: { readonly key: string; readonly name: string };
	/** Whether the release is not in the collection: then it comes whole. */
	readonly isNew: boolean;
	readonly cards: number;
	readonly differences: readonly SeenDifference[];
	/** What they were compared with (`fingerprintOf`). */
	readonly seen: string;
}

/** What is in a file, what is known here, and in what they differ. */
export interface OpenedKnowledge {
	readonly read: ReadKnowledge;
	/** Null: the release is not in the collection. */
	readonly stored: StoredRelease | null;
	readonly differences: readonly Difference[];
}

const NOTHING: Knowledge = {
	checklist: { release: { name: '', maker: '', year: '' }, sections: [] },
	...{ pictures: [], prices: [], lookAlikes: [] }
};

/** Reads a file of knowledge, and finds what of it is not known here, or otherwise. */
export async function openKnowledge(
	db: Reader,
	bytes: Uint8Array,
	readMine: (stored: StoredRelease) => Promise<Knowledge>
): Promise<Outcome<OpenedKnowledge>> {
	const first = readKnowledge(bytes);
	if (!first.ok) return first;
	// A release that was made here by itself has another key, and the same name, maker and year.
	const stored =
		(await loadRelease(db, first.value.release.key)) ??
		(await findSameRelease(db, first.value.release, true));
	const read = stored ? readKnowledge(bytes, () => stored.release) : first;
	if (!read.ok) return read;
	const mine = stored ? await readMine(stored) : NOTHING;
	const { knowledge } = read.value;
	const differences = compareKnowledge(
		mine,
		stored ? knowledge : { ...NOTHING, ...withoutChecklist(knowledge) }
	);
	return good({ read: read.value, stored, differences });
}

const withoutChecklist = ({ pictures, prices, lookAlikes }: Knowledge) => ({
	...{ pictures, prices, lookAlikes }
});

/** What a page shows of it. */
export async function lookAtKnowledge(
	db: Reader,
	{ read, stored, differences }: OpenedKnowledge
): Promise<KnowledgeView> {
	const { from, on, release } = read;
	const left = new Set(
		stored
			? (
					await db
						.select({ fingerprint: declinedKnowledge.fingerprint })
						.from(declinedKnowledge)
						.where(
							and(eq(declinedKnowledge.releaseId, stored.id), eq(declinedKnowledge.from, from))
						)
				).map(({ fingerprint }) => fingerprint)
			: []
	);
	const [head] = stored
		? await db.select({ name: releases.name }).from(releases).where(eq(releases.id, stored.id))
		: [];
	return {
		...{ from, on, isNew: stored === null },
		release: { key: release.key, name: head?.name ?? release.name },
		cards: release.sections.reduce((sum, { cards }) => sum + cards.length, 0),
		differences: differences.map((each) => ({ ...each, wasLeft: left.has(fingerprint(each)) })),
		seen: fingerprintOf(stored?.release ?? null)
	};
}

/** A short word for a difference and what it says. */
export const fingerprint = ({ id, theirs }: Difference): string =>
	createHash('sha256').update(`${id}\n${theirs}`).digest('hex').slice(0, 24);
