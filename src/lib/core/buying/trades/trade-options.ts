/** A card that could change hands, once. */
export interface TradeCandidate {
	/** Names it: side, version or copy, and which of several. */
	readonly key: string;
	readonly version: string;
	/** The copy it is, of what could be given; null: it is the friend's. */
	readonly copy: string | null;
}

/**
 * What each side could give. A friend gets spares of what they want, as many as they want. What a friend has is taken for
 * what goals lack: goals share their cards, so one that several goals lack is taken once, as often as one of them lacks
 * it, and any of several versions that would do fills a want.
 *
 * @param theirs versions that the friend wants, and has to give, with how many
 * @param spares copies with how many of them are spare, those to be given first in front
 * @param wants what goals lack: versions that would do, and how many
 */
export function tradeOptions(
	theirs: {
		readonly want: ReadonlyMap<string, number>;
		readonly give: ReadonlyMap<string, number>;
	},
	spares: readonly { readonly copy: string; readonly version: string; readonly quantity: number }[],
	wants: readonly { readonly versions: readonly string[]; readonly quantity: number }[]
): { readonly give: readonly TradeCandidate[]; readonly take: readonly TradeCandidate[] } {
	const asked = new Map(theirs.want);
	const give = spares.flatMap(({ copy, version, quantity }) => {
		const count = Math.min(quantity, asked.get(version) ?? 0);
		asked.set(version, (asked.get(version) ?? 0) - count);
		return Array.from({ length: count }, (_, i) => ({
			...{ key: `give ${copy} ${i}`, version, copy }
		}));
	});
	const taken = new Map<string, number>();
	const countOf = (version: string) => taken.get(version) ?? 0;
	for (const { versions, quantity } of wants) {
		let left = quantity - versions.reduce((sum, version) => sum + countOf(version), 0);
		for (const version of versions) {
			const more = Math.min(Math.max(0, left), (theirs.give.get(version) ?? 0) - countOf(version));
			if (more <= 0) continue;
			taken.set(version, countOf(version) + more);
			left -= more;
		}
	}
	const take = [...taken].flatMap(([version, count]) =>
		Array.from({ length: count }, (_, i) => ({ key: `take ${version} ${i}`, version, copy: null }))
	);
	return { give, take };
}
