import { eq } from 'drizzle-orm';
import { BINDER_KINDS, type BinderKind } from '../../core/binder/binder-kind.ts';
import { PAGE_KINDS, type PageKind } from '../../core/binder/page-kind.ts';
import { freeKey, slug } from '../../core/checklist/slug.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection } from '../database/open.ts';
import { binders, ownKinds } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readOwnKinds } from './read-binder.ts';

export type NewKind =
	| { readonly sort: 'page'; readonly kind: Omit<PageKind, 'key'> }
	| { readonly sort: 'binder'; readonly kind: Omit<BinderKind, 'key'> };

/** Adds a page or binder kind of one's own; its key follows from its name. */
export function addKind(
	collection: Collection,
	{ sort, kind }: NewKind
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const own = await readOwnKinds(tx);
		const known: readonly { readonly key: string; readonly name: string }[] =
			sort === 'page' ? [...PAGE_KINDS, ...own.pageKinds] : [...BINDER_KINDS, ...own.binderKinds];
		const name = kind.name.trim();
		if (known.some((one) => one.name.toLowerCase() === name.toLowerCase())) {
			return refused([
				{ field: 'name', message: `"${name}" is there already`, remedy: 'Give it another name.' }
			]);
		}
		const key = freeKey(`own-${slug(name)}`, new Set(known.map((one) => one.key)));
		await record.insert(ownKinds, [
			{ sort, key, kind: { ...kind, name, key } as PageKind | BinderKind }
		]);
		return { value: good({ key }), label: `Add ${sort} kind ${name}`, touches: [] };
	});
}

/** Takes a kind of one's own away; refused while a binder uses it. */
export function removeKind(
	collection: Collection,
	sort: 'page' | 'binder',
	key: string
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const rows = await tx.select().from(ownKinds).where(eq(ownKinds.key, key));
		const row = rows.find((one) => one.sort === sort);
		if (!row) return refused([{ message: 'there is no such kind', remedy: 'Reload the page.' }]);
		const users = (await tx.select().from(binders)).filter(
			({ layout }) => (sort === 'page' ? layout.pageKind : layout.binderKind) === key
		);
		if (users.length > 0) {
			return refused(
				users.map(({ name }) => ({
					message: `${name} uses it`,
					remedy: 'Choose another kind there first.'
				}))
			);
		}
		await record.remove(ownKinds, [row.id]);
		return { value: good({ key }), label: `Take away ${sort} kind ${row.kind.name}`, touches: [] };
	});
}
