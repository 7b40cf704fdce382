import { groups } from 'd3-array';
import { eq } from 'drizzle-orm';
import { at } from '../../core/at.ts';
import { findVersion } from '../../core/checklist/versions/find-version.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { checkCopy } from '../../core/copies/check-copy.ts';
import { nameVersion } from '../../core/copies/name-version.ts';
import type { LaidCard } from '../../core/pile/laid-card.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { CopyId, PileCardId, TrayId } from '../../core/row-id.ts';
import { addCopies } from '../copies/add-copies.ts';
import { readCopies } from '../copies/read-copies.ts';
import { addToSorting, countPile, movePile, nameOfDay } from '../copies/trays.ts';
import type { Collection, Reader, Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import { pileCards, trayPiles } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease, type StoredRelease } from '../releases/load-release.ts';
import { findPileCards, unlog } from './take-back.ts';

/** What is laid down at once. */
export interface Laying {
	/** What was typed. */
	readonly line: string;
	readonly cards: readonly LaidCard[];
	/** Cards laid down before, which these take the place of. */
	readonly instead?: readonly PileCardId[] | undefined;
	/** The pile to log that they come from, and the one to sort that they lie in; left out: the pile of the day. */
	readonly from?: TrayId | undefined;
	readonly pile?: TrayId | undefined;
	/** What is known of all cards of the pile. */
	readonly year?: string | undefined;
	readonly maker?: string | undefined;
}

/** What was laid down: the pile to sort they lie in, and each card with its copy. */
export interface Laid {
	readonly pile: TrayId;
	readonly cards: readonly { readonly id: PileCardId; readonly copyId: CopyId }[];
}

/** Logs cards that came off a pile, and keeps on which pile each lies, in one step; with any problem none. */
export function logPileCards(collection: Collection, laying: Laying): Promise<Outcome<Laid>> {
	return makeChange(collection, async (record, tx) => {
		const now = collection.now();
		const before = await findPileCards(tx, laying.instead ?? []);
		const stored = await releasesOf(tx, laying.cards);
		const problems = [
			...(before.ok ? [] : before.problems),
			...laying.cards.flatMap((card, i) => problemsOf(stored, card, i))
		];
		if (problems.length > 0 || !before.ok) return refused(problems);
		const [replaced] = before.value;
		const copyIds: CopyId[] = [];
		for (const [of, cards] of groups([...laying.cards.entries()], ([, card]) => releaseOf(card))) {
			const release = stored.get(of);
			if (!release) throw new RangeError(`logPileCards: no release "${of}"`);
			const additions = cards.map(([, { version, condition, serial, isPrintingUnseen }]) => ({
				version,
				quantity: 1,
				...(condition === undefined ? {} : { condition }),
				...(serial === undefined ? {} : { serial }),
				...(isPrintingUnseen ? { isPrintingUnseen } : {})
			}));
			const present = await readCopies(tx, release.id);
			const ids = await addCopies(record, release, present, additions, now);
			for (const [n, [i]] of cards.entries()) copyIds[i] = at(ids, n);
		}
		const pile = replaced ? replaced.pileId : await pileOf(record, tx, laying, now);
		const rows = await record.insert(
			pileCards,
			laying.cards.map(({ version, next, verdict }, i) => ({
				pileId: pile,
				copyId: at(copyIds, i),
				version,
				line: laying.line,
				next,
				verdict
			}))
		);
		if (replaced) {
			await unlog(record, tx, before.value);
			await countPile(record, tx, pile, rows.length - before.value.length);
		}
		return {
			value: good({ pile, cards: rows.map(({ id, copyId }) => ({ id, copyId })) }),
			label: labelOf(stored, laying)
		};
	});
}

const releaseOf = ({ version }: LaidCard) => parseVersionKey(version)?.release ?? '';

async function releasesOf(
	db: Reader,
	cards: readonly LaidCard[]
): Promise<ReadonlyMap<string, StoredRelease>> {
	const stored = new Map<string, StoredRelease>();
	for (const key of new Set(cards.map(releaseOf))) {
		const release = await loadRelease(db, key);
		if (release) stored.set(key, release);
	}
	return stored;
}

function problemsOf(
	stored: ReadonlyMap<string, StoredRelease>,
	card: LaidCard,
	place: number
): readonly Problem[] {
	const { version, condition, serial } = card;
	const release = stored.get(releaseOf(card))?.release;
	const found = release && findVersion(release, version);
	if (!found) {
		const message = `"${version}" is no version of this collection`;
		const remedy = 'Reload the page: the checklist may have changed.';
		return [{ pointer: `/cards/${place}/version`, field: 'version', message, remedy }];
	}
	const said = {
		...(condition === undefined ? {} : { condition }),
		...(serial === undefined ? {} : { serial })
	};
	return checkCopy({ quantity: 1, ...said }, found.printRun);
}

/** The pile to sort that the cards lie in; those that wait to be logged grow fewer. */
async function pileOf(
	record: Recorder,
	tx: Transaction,
	{ cards, from, pile, year = '', maker = '' }: Laying,
	now: string
): Promise<TrayId> {
	const moved = from === undefined ? null : await movePile(record, tx, from, cards.length, now);
	const id = moved ?? (await layInto(record, tx, pile, cards.length, now));
	// What was typed of the whole pile is kept for the next time.
	for (const tray of from === undefined ? [id] : [id, from]) {
		const [row] = await tx.select().from(trayPiles).where(eq(trayPiles.id, tray));
		if (row && ((row.year ?? '') !== year || (row.maker ?? '') !== maker)) {
			await record.update(trayPiles, tray, { year: year || null, maker: maker || null });
		}
	}
	return id;
}

async function layInto(
	record: Recorder,
	tx: Transaction,
	pile: TrayId | undefined,
	cards: number,
	now: string
): Promise<TrayId> {
	const [known] =
		pile === undefined ? [] : await tx.select().from(trayPiles).where(eq(trayPiles.id, pile));
	if (known?.tray === 'to sort') {
		await countPile(record, tx, known.id, cards);
		return known.id;
	}
	return addToSorting(record, tx, { name: nameOfDay(now) }, cards, now);
}

function labelOf(stored: ReadonlyMap<string, StoredRelease>, { cards, line }: Laying): string {
	const [first] = cards;
	const release = first && stored.get(releaseOf(first))?.release;
	if (!release) return '';
	const what = cards.length === 1 ? nameVersion(release, first.version) : line.slice(0, 60);
	return `${release.name}: log ${what}`;
}
