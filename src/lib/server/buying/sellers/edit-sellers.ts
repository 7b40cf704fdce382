import { eq } from 'drizzle-orm';
import { parsePostage } from '../../../core/buying/offers/parse-postage.ts';
import type { PostageRule } from '../../../core/buying/offers/postage-rule.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { SellerId } from '../../../core/row-id.ts';
import { parseAmount } from '../../../core/money/amount.ts';
import type { Collection } from '../../database/open.ts';
import { offerBundles, offerRows, offers, orders, sellers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { HUB, type KeptHub } from '../../preferences/hub.ts';
import { writePreference } from '../../preferences/preferences.ts';

/** A seller as it is typed; what is empty is not known. */
export interface SellerDraft {
	readonly name: string;
	readonly currency: string;
	/** As `parsePostage` reads it: "5 + 0.10". */
	readonly direct: string;
	readonly toHub: string;
	readonly leastOrder: string;
	readonly days: number | null;
	readonly daysToHub: number | null;
	readonly trust: number | null;
	/** All of their list was looked through. Left out: it was not. */
	readonly isListWhole?: boolean;
	readonly note: string;
}

/** Keeps a seller, a new one where no id is given; with any problem nothing is changed. */
export function saveSeller(
	collection: Collection,
	id: SellerId | null,
	draft: SellerDraft
): Promise<Outcome<{ readonly id: SellerId }>> {
	return makeChange(collection, async (record, tx) => {
		const name = draft.name.trim();
		const read = readSeller(draft);
		const problems = [...(read.ok ? [] : read.problems)];
		const [same] = await tx.select().from(sellers).where(eq(sellers.name, name));
		if (name === '') problems.push({ field: 'name', message: 'the seller has no name' });
		else if (same && same.id !== id) {
			const message = `there is a seller called "${name}" already`;
			problems.push({ field: 'name', message, remedy: 'Choose another name, or change that one.' });
		}
		if (!read.ok || problems.length > 0) return refused(problems);
		const values = { name, ...read.value };
		if (id === null) {
			const [row] = await record.insert(sellers, [values]);
			if (!row) throw new RangeError(`saveSeller: ${name} was not stored`);
			return { value: good({ id: row.id }), label: `Seller ${name}` };
		}
		const [row] = await tx.select().from(sellers).where(eq(sellers.id, id));
		if (!row) return refused([{ message: 'there is no such seller', remedy: 'Reload the page.' }]);
		await record.update(sellers, id, values);
		return { value: good({ id }), label: `Change seller ${name}` };
	});
}

/** A draft's postage, least order and the rest, with all that is wrong with it by field. */
function readSeller(draft: SellerDraft): Outcome<Omit<typeof sellers.$inferInsert, 'name'>> {
	const problems: Problem[] = [];
	const currency = draft.currency.trim().toUpperCase();
	if (!/^[A-Z]{3}$/.test(currency)) {
		const message = `"${draft.currency}" is no currency`;
		return bad([{ field: 'currency', message, remedy: 'Three letters, as EUR or USD.' }]);
	}
	const postage = (field: 'direct' | 'toHub'): PostageRule | null => {
		if (draft[field].trim() === '') return null;
		const read = parsePostage(draft[field], currency);
		if (read.ok) return read.value;
		problems.push(...read.problems.map((problem) => ({ ...problem, field })));
		return null;
	};
	const [direct, toHub] = [postage('direct'), postage('toHub')];
	const least = draft.leastOrder.trim() === '' ? null : parseAmount(draft.leastOrder, currency);
	if (least && !least.ok) {
		problems.push(...least.problems.map((problem) => ({ ...problem, field: 'leastOrder' })));
	}
	if (problems.length > 0) return bad(problems);
	const { days, daysToHub, trust, isListWhole = false } = draft;
	return good({
		...{ currency, direct, toHub, days, daysToHub, trust, isListWhole },
		leastOrderMinor: least?.ok ? least.value.minor : null,
		note: draft.note.trim() === '' ? null : draft.note.trim()
	});
}

/** Removes a seller with all they offer; undo brings it back. */
export function removeSeller(
	collection: Collection,
	id: SellerId
): Promise<Outcome<{ readonly removed: SellerId }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(sellers).where(eq(sellers.id, id));
		if (!row) return refused([{ message: 'there is no such seller', remedy: 'Reload the page.' }]);
		for (const table of [offers, offerBundles, offerRows] as const) {
			const rows = await tx.select({ id: table.id }).from(table).where(eq(table.sellerId, id));
			await record.remove(
				table,
				rows.map((each) => each.id)
			);
		}
		// What was bought there stays, and says from whom.
		for (const { id: order } of await tx.select().from(orders).where(eq(orders.sellerId, id))) {
			await record.update(orders, order, { sellerId: null });
		}
		await record.remove(sellers, [id]);
		return { value: good({ removed: id }), label: `Remove seller ${row.name}` };
	});
}

/** Keeps the hub; an empty name takes it away. */
export function saveHub(
	collection: Collection,
	draft: {
		readonly name: string;
		readonly currency: string;
		readonly forwarding: string;
		readonly days: number | null;
	}
): Promise<Outcome<{ readonly hub: KeptHub }>> {
	return makeChange<Outcome<{ readonly hub: KeptHub }>>(collection, async (record, tx) => {
		const name = draft.name.trim();
		if (name === '') {
			await writePreference(record, tx, HUB, null);
			return { value: good({ hub: null }), label: 'No hub' };
		}
		const currency = draft.currency.trim().toUpperCase();
		const forwarding = /^[A-Z]{3}$/.test(currency)
			? parsePostage(draft.forwarding, currency)
			: bad([
					{
						message: `"${draft.currency}" is no currency`,
						remedy: 'Three letters, as EUR or USD.'
					}
				]);
		if (!forwarding.ok) {
			return refused(forwarding.problems.map((problem) => ({ ...problem, field: 'forwarding' })));
		}
		const rule = forwarding.value;
		// Kept as the schema has it: with lists that may be changed.
		const kept =
			rule.sort === 'tiers'
				? { ...rule, tiers: rule.tiers.map((tier) => ({ ...tier })) }
				: { ...rule };
		const hub = { name, currency, forwarding: kept, days: draft.days };
		await writePreference(record, tx, HUB, hub);
		return { value: good({ hub }), label: `Hub ${name}` };
	});
}
