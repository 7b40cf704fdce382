import { group } from 'd3-array';

/** Cards of a copy that can be taken, in the order in which they are to be; `key` says which. */
export interface StockPart<Key> {
	readonly key: Key;
	/** Version key */
	readonly version: string;
	readonly left: number;
}

export interface TakenCards<Key> {
	readonly found: readonly { readonly key: Key; readonly quantity: number }[];
	/** What was wanted and is not there. */
	readonly lacking: readonly { readonly version: string; readonly count: number }[];
}

/**
 * Takes wanted cards from stock, copy by copy in its order; no card is taken twice.
 *
 * @example takeFrom([{ key: 7, version: 'a', left: 2 }], [{ version: 'a', quantity: 3 }]) // { found: [{ key: 7, quantity: 2 }], lacking: [{ version: 'a', count: 1 }] }
 */
export function takeFrom<Key>(
	stock: readonly StockPart<Key>[],
	wanted: readonly { readonly version: string; readonly quantity: number }[]
): TakenCards<Key> {
	const found: { key: Key; quantity: number }[] = [];
	const lacking: { version: string; count: number }[] = [];
	const queues = new Map(
		[...group(stock, ({ version }) => version)].map(([version, parts]) => [
			version,
			parts.map(({ key, left }) => ({ key, left }))
		])
	);
	for (const { version, quantity } of wanted) {
		let needed = quantity;
		for (const part of queues.get(version) ?? []) {
			const taken = Math.min(needed, part.left);
			if (taken === 0) continue;
			found.push({ key: part.key, quantity: taken });
			part.left -= taken;
			needed -= taken;
		}
		if (needed > 0) lacking.push({ version, count: needed });
	}
	return { found, lacking };
}
