import { qualityRank, type Condition } from '../../core/copies/condition.ts';
import { isPlain } from '../../core/copies/copy-record.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { copies } from '../database/tables/index.ts';
import type { Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import type { StoredRelease } from '../releases/load-release.ts';
import type { StoredCopy } from './read-copies.ts';
import { removeCopyRows } from '../removal/remove-copy-rows.ts';
import type { CopyId } from '../../core/row-id.ts';

/** How many copies of a version there shall be. */
export interface OwnedChange {
	readonly version: string;
	readonly quantity: number;
	/** How many were seen when it was asked for: what has come or gone since stays so. Left out: it is the count, whatever there was. */
	readonly was?: number;
}

/** The same where somebody else changed the count meanwhile: what was asked for is a difference. */
export function onTopOf(owned: ReadonlyMap<string, number>, wanted: OwnedChange): OwnedChange {
	const { version, quantity, was } = wanted;
	const present = owned.get(version) ?? 0;
	return {
		version,
		quantity: was === undefined ? quantity : Math.max(0, present + quantity - was)
	};
}

/**
 * Brings the copies of each version to the wanted quantity. Added ones join the pile of their
 * condition; what is taken away comes from plain piles first, of them the worst, so that the best stays.
 * Versions must be of the release (checked by the caller).
 */
export async function setOwned(
	record: Recorder,
	tx: Transaction,
	stored: StoredRelease,
	present: readonly StoredCopy[],
	wanted: readonly OwnedChange[],
	how: { readonly condition?: Condition; readonly loggedAt: string }
): Promise<void> {
	const piles = new Map<string, StoredCopy[]>();
	for (const copy of present.filter(({ status }) => status !== 'incoming'))
		piles.set(copy.version, [...(piles.get(copy.version) ?? []), copy]);
	const fresh: (typeof copies.$inferInsert)[] = [];
	const gone: CopyId[] = [];
	for (const { version, quantity } of wanted) {
		const sameVersion = piles.get(version) ?? [];
		const before = sameVersion.reduce((sum, pile) => sum + pile.quantity, 0);
		if (quantity > before) {
			const pile = sameVersion.find((same) => same.condition === how.condition && isPlain(same));
			const added = quantity - before;
			if (pile) await record.update(copies, pile.id, { quantity: pile.quantity + added });
			else
				fresh.push({
					...nameOf(stored, version),
					quantity: added,
					condition: how.condition ?? null,
					loggedAt: how.loggedAt
				});
		} else gone.push(...(await takeAway(record, sameVersion, before - quantity)));
	}
	await record.insert(copies, fresh);
	await removeCopyRows(record, tx, gone);
}

/** Lessens piles, worst first; returns the rows that come to nothing. */
async function takeAway(
	record: Recorder,
	piles: readonly StoredCopy[],
	count: number
): Promise<CopyId[]> {
	const gone: CopyId[] = [];
	let left = count;
	const worstFirst = [...piles].sort(
		(a, b) =>
			Number(isPlain(b)) - Number(isPlain(a)) || qualityRank(a) - qualityRank(b) || b.id - a.id
	);
	for (const pile of worstFirst) {
		if (left === 0) break;
		const taken = Math.min(left, pile.quantity);
		left -= taken;
		if (taken === pile.quantity) gone.push(pile.id);
		else await record.update(copies, pile.id, { quantity: pile.quantity - taken });
	}
	return gone;
}

function nameOf(stored: StoredRelease, version: string) {
	const name = parseVersionKey(version);
	if (name?.release !== stored.release.key) {
		throw new RangeError(`setOwned: no version "${version}" in ${stored.release.key}`);
	}
	const { card: cardKey, parallel: parallelKey, variant: variantKey } = name;
	return { releaseId: stored.id, cardKey, parallelKey, variantKey };
}
