import { inArray } from 'drizzle-orm';
import { checkTiers } from '../../../core/storage/holders/check-tiers.ts';
import { holderUses, type SupplyUse } from '../../../core/storage/supplies/supply.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import { chunks } from '../../database/chunks.ts';
import type { Collection } from '../../database/open.ts';
import { copies } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { writePreference } from '../../preferences/preferences.ts';
import { HOLDER_RULES, type HolderRules } from '../../places/holder-tiers.ts';
import { readHolderKinds } from '../../places/keeping.ts';
import { useSupplies } from '../supplies/stock.ts';
import { measureAnew } from '../../places/measure-anew.ts';
import type { CopyId } from '../../../core/row-id.ts';

/** Records that copies are in other holders now; what is used up leaves the supplies on hand. */
export function setHolders(
	collection: Collection,
	moves: readonly { readonly copyId: CopyId; readonly to: string | null }[]
): Promise<Outcome<{ readonly moved: number }>> {
	return makeChange(collection, async (record, tx) => {
		const rowOf = new Map<CopyId, typeof copies.$inferSelect>();
		for (const some of chunks(moves, 5000)) {
			const ids = some.map(({ copyId }) => copyId);
			for (const row of await tx.select().from(copies).where(inArray(copies.id, ids)))
				rowOf.set(row.id, row);
		}
		if (moves.some(({ copyId }) => !rowOf.has(copyId))) {
			return refused([{ message: 'a copy is gone', remedy: 'Look at the list as it is now.' }]);
		}
		const holders = await readHolderKinds(tx);
		const uses: SupplyUse[] = [];
		const changed: { readonly id: CopyId; readonly values: { readonly holder: string | null } }[] =
			[];
		for (const { copyId, to } of moves) {
			const row = rowOf.get(copyId);
			if (!row || row.holder === to) continue;
			changed.push({ id: row.id, values: { holder: to } });
			uses.push(...holderUses({ from: row.holder, to, quantity: row.quantity }, holders));
		}
		await record.updateMany(copies, changed);
		const ids = changed.map(({ id }) => id);
		for (const some of chunks(ids, 5000)) await measureAnew(record, tx, some);
		await useSupplies(record, tx, uses);
		const label =
			moves.length === 1
				? 'A card into another holder'
				: `${moves.length} cards into other holders`;
		return { value: good({ moved: moves.length }), label };
	});
}

/** Sets tiers and rules by name. */
export function setHolderRules(
	collection: Collection,
	rules: HolderRules
): Promise<Outcome<{ readonly tiers: number }>> {
	return makeChange(collection, async (record, tx) => {
		const problems = checkTiers(rules.tiers, rules.names);
		if (problems.length > 0) return refused(problems);
		await writePreference(record, tx, HOLDER_RULES, rules);
		return { value: good({ tiers: rules.tiers.length }), label: 'Holders' };
	});
}
