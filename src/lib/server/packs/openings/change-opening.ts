import { eq } from 'drizzle-orm';
import type { PackType } from '../../../core/checklist/release.ts';
import { parseShareRules, formatShareRules } from '../../../core/packs/openings/share-rules.ts';
import { packsIn } from '../../../core/packs/sealed/sealed-unit.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { OpeningId, SealedLotId } from '../../../core/row-id.ts';
import { parseAnyAmount } from '../../../core/money/amount.ts';
import { addCopies } from '../../copies/add-copies.ts';
import { readCopies } from '../../copies/read-copies.ts';
import type { Collection } from '../../database/open.ts';
import { openedPiles, openings, releases, sealedLots } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease, type StoredRelease } from '../../releases/load-release.ts';
import { groupsOf, readOpening, sharesOf } from './read-opening.ts';

/** An opening as it is begun. */
export interface OpeningDraft {
	/** "release pack": keys. */
	readonly pack: string;
	/** Left out: named after the pack and the day. */
	readonly name: string;
	/** What a pack cost, as it is typed; empty: nobody knows. */
	readonly price: string;
	readonly currency: string;
}

export const noOpening: Problem = {
	message: 'there is no such opening',
	remedy: 'Reload the page.'
};
const noLot: Problem = { message: 'it is not here any more', remedy: 'Reload the page.' };

/** Begins an opening: a record of what packs hold, pack by pack or box by box. */
export function beginOpening(
	collection: Collection,
	draft: OpeningDraft
): Promise<Outcome<{ readonly id: OpeningId }>> {
	return makeChange(collection, async (record, tx) => {
		const [releaseKey = '', packKey = ''] = draft.pack.split(' ');
		const stored = await loadRelease(tx, releaseKey);
		const pack = stored?.release.packTypes.find(({ key }) => key === packKey);
		const price = draft.price.trim() === '' ? null : parseAnyAmount(draft.price, draft.currency);
		const problems: Problem[] = [
			...(stored && pack
				? []
				: [{ field: 'pack', message: 'there are no such packs', remedy: 'Choose some.' }]),
			...(price && !price.ok
				? price.problems.map((problem) => ({ ...problem, field: 'price' }))
				: [])
		];
		if (!stored || !pack || problems.length > 0) return refused(problems);
		const openedOn = collection.now().slice(0, 10);
		const [row] = await record.insert(openings, [
			{
				...{ releaseId: stored.id, packType: pack.key, openedOn },
				name: draft.name.trim() || nameOf(stored, pack),
				packMinor: price?.ok ? price.value.minor : null,
				currency: price?.ok ? price.value.currency : draft.currency
			}
		]);
		if (!row) throw new RangeError('beginOpening: it was not stored');
		return { value: good({ id: row.id }), label: `Open ${row.name}` };
	});
}

const nameOf = ({ release }: StoredRelease, { name }: PackType) => `${release.name}, ${name}`;

/** Takes one of a sealed lot and begins to open it. */
export function openSealed(
	collection: Collection,
	id: SealedLotId
): Promise<Outcome<{ readonly id: OpeningId }>> {
	return makeChange(collection, async (record, tx) => {
		const [lot] = await tx
			.select({ lot: sealedLots, key: releases.key })
			.from(sealedLots)
			.innerJoin(releases, eq(releases.id, sealedLots.releaseId))
			.where(eq(sealedLots.id, id));
		const stored = lot && (await loadRelease(tx, lot.key));
		const pack = stored?.release.packTypes.find(({ key }) => key === lot?.lot.packType);
		if (!lot || !stored || !pack) return refused([noLot]);
		const { quantity, unit, costMinor, currency } = lot.lot;
		const packs = packsIn(unit, pack);
		if (quantity > 1) await record.update(sealedLots, id, { quantity: quantity - 1 });
		else await record.remove(sealedLots, [id]);
		const [row] = await record.insert(openings, [
			{
				...{ releaseId: stored.id, packType: pack.key, currency },
				name: `${nameOf(stored, pack)} ${unit === 'pack' ? 'pack' : unit}`,
				openedOn: collection.now().slice(0, 10),
				packMinor: costMinor === null || packs === null ? null : Math.round(costMinor / packs)
			}
		]);
		if (!row) throw new RangeError('openSealed: it was not stored');
		return { value: good({ id: row.id }), label: `Open ${row.name}` };
	});
}

/** Changes what an opening is called and what its packs cost. */
export function changeOpening(
	collection: Collection,
	id: OpeningId,
	draft: Omit<OpeningDraft, 'pack'>
): Promise<Outcome<{ readonly id: OpeningId }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(openings).where(eq(openings.id, id));
		if (!row) return refused([noOpening]);
		const price = draft.price.trim() === '' ? null : parseAnyAmount(draft.price, draft.currency);
		if (price && !price.ok) {
			return refused(price.problems.map((problem) => ({ ...problem, field: 'price' })));
		}
		await record.update(openings, id, {
			name: draft.name.trim() || row.name,
			packMinor: price?.ok ? price.value.minor : null,
			currency: price?.ok ? price.value.currency : row.currency
		});
		return { value: good({ id }), label: `Change the opening ${row.name}` };
	});
}

/** Forgets an opening; the cards that came out of it stay in the collection. */
export function removeOpening(
	collection: Collection,
	id: OpeningId
): Promise<Outcome<{ readonly id: OpeningId }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(openings).where(eq(openings.id, id));
		if (!row) return refused([noOpening]);
		const piles = await tx
			.select({ id: openedPiles.id })
			.from(openedPiles)
			.where(eq(openedPiles.openingId, id));
		await record.remove(
			openedPiles,
			piles.map((pile) => pile.id)
		);
		await record.remove(openings, [id]);
		return { value: good({ id }), label: `Forget the opening ${row.name}` };
	});
}

/** The rules by which a group opening is shared out, agreed before anything is opened. */
export function agreeShares(
	collection: Collection,
	id: OpeningId,
	said: { readonly rules: string; readonly keeper: string }
): Promise<Outcome<{ readonly id: OpeningId }>> {
	return makeChange(collection, async (record, tx) => {
		const opening = await readOpening(tx, id);
		if (!opening) return refused([noOpening]);
		const { row, stored, piles } = opening;
		const isNone = said.rules.trim() === '';
		const isAgreed = row.shareRules !== null;
		if (piles.length > 0 && !isAgreed && !isNone) {
			const message = 'packs were opened before it was agreed how they are shared out';
			return refused([
				{ message, remedy: 'Begin another opening; its cards are in the collection already.' }
			]);
		}
		if (row.sharedOn !== null || (piles.length > 0 && isNone && isAgreed)) {
			const message = 'it is being shared out by the rules that were agreed';
			return refused([{ message, remedy: 'Undo what was opened since, or begin another one.' }]);
		}
		if (isNone) {
			await record.update(openings, id, { shareRules: null, keeper: null });
			return { value: good({ id }), label: `${row.name} is shared with nobody` };
		}
		const rules = parseShareRules(said.rules, groupsOf(stored.release));
		const keeper = said.keeper.trim();
		const problems: Problem[] = rules.ok
			? []
			: rules.problems.map((problem) => ({ ...problem, field: 'rules' }));
		const sharer = rules.ok && rules.value.sharers.find(({ name }) => name === keeper);
		if (rules.ok && !sharer) {
			problems.push({
				field: 'keeper',
				message: keeper === '' ? 'nobody is said to be you' : `"${keeper}" is none of them`,
				remedy: `Write one of ${rules.value.sharers.map(({ name }) => name).join(', ')}.`
			});
		}
		if (!rules.ok || problems.length > 0) return refused(problems);
		await record.update(openings, id, { shareRules: formatShareRules(rules.value), keeper });
		return { value: good({ id }), label: `Agree how ${row.name} is shared out` };
	});
}

/** Brings the keeper's share of a group opening into the collection. */
export function takeShare(
	collection: Collection,
	id: OpeningId
): Promise<Outcome<{ readonly cards: number }>> {
	return makeChange(collection, async (record, tx) => {
		const opening = await readOpening(tx, id);
		if (!opening) return refused([noOpening]);
		const { row, stored } = opening;
		if (row.sharedOn !== null) {
			return refused([{ message: 'your share is here already', remedy: 'Reload the page.' }]);
		}
		const share = (await sharesOf(tx, opening)).find(({ name }) => name === row.keeper);
		if (!share || share.cards.length === 0) {
			return refused([{ message: 'nothing of it is yours', remedy: 'Open some packs first.' }]);
		}
		const present = await readCopies(tx, stored.id);
		await addCopies(record, stored, present, share.cards, collection.now());
		await record.update(openings, id, { sharedOn: collection.now().slice(0, 10) });
		return { value: good({ cards: share.count }), label: `Your share of ${row.name}` };
	});
}
