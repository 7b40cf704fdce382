import { asc, eq } from 'drizzle-orm';
import { keepingOf, type Keeping } from '../../core/storage/classes/keeping.ts';
import type { HolderKind } from '../../core/storage/kinds/holder-kind.ts';
import type { Reader } from '../database/open.ts';
import { ownKinds } from '../database/tables/index.ts';
import { EXCHANGE_RATES } from '../preferences/exchange-rates.ts';
import { readPreference } from '../preferences/preferences.ts';
import { STORAGE_CLASSES } from '../preferences/storage-classes.ts';
import { HOLDER_RULES, USUAL_CURRENCY } from './holder-tiers.ts';

/** By which rules the copies of the collection are kept. */
export async function readKeeping(db: Reader): Promise<Keeping> {
	const { tiers, currency = USUAL_CURRENCY } = await readPreference(db, HOLDER_RULES);
	return keepingOf({
		classes: await readPreference(db, STORAGE_CLASSES),
		tiers,
		currency,
		rates: await readPreference(db, EXCHANGE_RATES),
		holders: await readHolderKinds(db)
	});
}

/** Kinds of holders that one has besides the usual ones, oldest first. */
export async function readHolderKinds(db: Reader): Promise<readonly HolderKind[]> {
	const rows = await db
		.select({ kind: ownKinds.kind })
		.from(ownKinds)
		.where(eq(ownKinds.sort, 'holder'))
		.orderBy(asc(ownKinds.id));
	return rows.map(({ kind }) => kind as HolderKind);
}
