import { count, eq } from 'drizzle-orm';
import { BINDER_KINDS, type BinderKind } from '../../core/binder/binder-kind.ts';
import { PAGE_KINDS, type PageKind } from '../../core/binder/page-kind.ts';
import { BOX_KINDS, type BoxKind } from '../../core/storage/kinds/box-kind.ts';
import { HOLDER_KINDS, type HolderKind } from '../../core/storage/kinds/holder-kind.ts';
import { freeKey, slug } from '../../core/checklist/slug.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { binders, boxes, copies, ownKinds } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';

export type NewKind =
	| { readonly sort: 'page'; readonly kind: Omit<PageKind, 'key'> }
	| { readonly sort: 'binder'; readonly kind: Omit<BinderKind, 'key'> }
	| { readonly sort: 'box'; readonly kind: Omit<BoxKind, 'key'> }
	| { readonly sort: 'holder'; readonly kind: Omit<HolderKind, 'key'> };
type Sort = NewKind['sort'];
type Kind = PageKind | BinderKind | BoxKind | HolderKind;

const COMES_WITH: Readonly<Record<Sort, readonly Kind[]>> = {
	page: PAGE_KINDS,
	binder: BINDER_KINDS,
	box: BOX_KINDS,
	holder: HOLDER_KINDS
};

/** Adds a kind of one's own; its key follows from its name. */
export function addKind(
	collection: Collection,
	{ sort, kind }: NewKind
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const added = await tx.select().from(ownKinds).where(eq(ownKinds.sort, sort));
		const known = [...COMES_WITH[sort], ...added.map((row) => row.kind)];
		const name = kind.name.trim();
		if (known.some((other) => other.name.toLowerCase() === name.toLowerCase())) {
			return refused([
				{ field: 'name', message: `"${name}" is there already`, remedy: 'Give it another name.' }
			]);
		}
		const key = freeKey(`own-${slug(name)}`, new Set(known.map((other) => other.key)));
		await record.insert(ownKinds, [{ sort, key, kind: { ...kind, name, key } }]);
		return { value: good({ key }), label: `Add ${sort} kind ${name}` };
	});
}

/** Takes a kind of one's own away; refused while something uses it. */
export function removeKind(
	collection: Collection,
	sort: Sort,
	key: string
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const rows = await tx.select().from(ownKinds).where(eq(ownKinds.key, key));
		const row = rows.find((kind) => kind.sort === sort);
		if (!row) return refused([{ message: 'there is no such kind', remedy: 'Reload the page.' }]);
		const users = await usersOf(tx, sort, key);
		if (users.length > 0) {
			return refused(
				users.map((message) => ({
					message,
					remedy: 'Choose another kind there first.'
				}))
			);
		}
		await record.remove(ownKinds, [row.id]);
		return { value: good({ key }), label: `Take away ${sort} kind ${row.kind.name}` };
	});
}

/** What uses a kind, in words: binders and boxes by name, copies by their number. */
async function usersOf(tx: Transaction, sort: Sort, key: string): Promise<readonly string[]> {
	if (sort === 'box') {
		const users = await tx.select({ name: boxes.name }).from(boxes).where(eq(boxes.kind, key));
		return users.map(({ name }) => `${name} uses it`);
	}
	if (sort === 'holder') {
		const [held] = await tx.select({ count: count() }).from(copies).where(eq(copies.holder, key));
		const number = held?.count ?? 0;
		return number === 0 ? [] : [number === 1 ? 'a copy is in it' : `${number} copies are in it`];
	}
	return (await tx.select().from(binders))
		.filter(({ layout }) => (sort === 'page' ? layout.pageKind : layout.binderKind) === key)
		.map(({ name }) => `${name} uses it`);
}
