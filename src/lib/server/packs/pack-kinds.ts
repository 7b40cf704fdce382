import { asc } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';

/** A kind of pack that can be chosen. */
export interface PackKind {
	/** "release pack": keys. */
	readonly key: string;
	readonly name: string;
}

/** Kinds of packs of all releases that hold cards themselves, by release; and formats made of them, if asked for. */
export async function packKinds(db: Reader, withFormats = false): Promise<readonly PackKind[]> {
	const rows = await db
		.select({ key: releases.key, name: releases.name, packTypes: releases.packTypes })
		.from(releases)
		.orderBy(asc(releases.name));
	return rows.flatMap(({ key, name, packTypes }) =>
		packTypes
			.filter(({ packs }) => withFormats || packs === undefined)
			.map((pack) => ({ key: `${key} ${pack.key}`, name: `${name}: ${pack.name}` }))
	);
}
