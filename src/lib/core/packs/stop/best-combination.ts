/** How many of a kind are bought together, and the most there are. */
interface CombinedOption {
	readonly packsTogether: number;
	readonly most: number;
}

/**
 * The best number of each kind: from the best of one kind, more or fewer of any, or one kind for another, as long as that
 * costs less.
 *
 * @param alone packs that are best of each kind, were it the only one
 */
export function bestCombination(
	options: readonly CombinedOption[],
	costOf: (packs: readonly number[]) => { readonly total: number },
	alone: readonly number[]
): { readonly packs: readonly number[]; readonly total: number } {
	const none = options.map(() => 0);
	const starts = [none, ...alone.map((packs, t) => none.map((_, u) => (u === t ? packs : 0)))];
	let best = { packs: none as readonly number[], total: costOf(none).total };
	for (const start of starts) {
		let here = { packs: start as readonly number[], total: costOf(start).total };
		for (let stride = 64; stride >= 1;) {
			const found = neighbours(options, here.packs, stride)
				.map((packs) => ({ packs, total: costOf(packs).total }))
				.reduce((least, each) => (each.total < least.total - 1e-9 ? each : least), here);
			if (found === here) stride = Math.floor(stride / 2);
			else here = found;
		}
		if (here.total < best.total - 1e-9) best = here;
	}
	return best;
}

/** A kind more or less by so many units; or one more, and another less by as many packs, or up to three units about that. */
function neighbours(
	options: readonly CombinedOption[],
	packs: readonly number[],
	stride: number
): readonly (readonly number[])[] {
	const moved = (changes: ReadonlyMap<number, number>) => {
		const next = packs.map(
			(count, t) => count + (changes.get(t) ?? 0) * (options[t]?.packsTogether ?? 1)
		);
		return next.every((count, t) => count >= 0 && count <= (options[t]?.most ?? 0)) ? [next] : [];
	};
	const together = (t: number) => options[t]?.packsTogether ?? 1;
	const kinds = [...options.keys()];
	return kinds.flatMap((t) =>
		[stride, -stride].flatMap((units) => [
			...moved(new Map([[t, units]])),
			...kinds.flatMap((u) => {
				if (u === t) return [];
				const asMany = Math.round((units * together(t)) / together(u));
				return ABOUT.flatMap((more) =>
					moved(
						new Map([
							[t, units],
							[u, more - asMany]
						])
					)
				);
			})
		])
	);
}
const ABOUT = [-3, -2, -1, 0, 1, 2, 3];
