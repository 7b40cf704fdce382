/** A group as it lies on a page. */
export interface LabelledGroup {
	readonly key: string;
	readonly size: number;
	readonly label?: string;
}

/** Of so few groups all ways to lay them are gone through. */
const FEW = 9;
/** Groups of two pages that are laid anew together: in every way there is. */
const MOST_TOGETHER = 10;
/** Pairs of pages that are laid anew, a few hundredths of a millisecond each; past it the best so far is taken. */
const MOST_PAIRS = 4000;

/**
 * How well labels lie together: on each page, groups less the different labels among them. Groups without a
 * label are each of their own.
 *
 * @example likeness([[{ key: 'a', size: 4, label: 'N' }, { key: 'b', size: 5, label: 'N' }]]) // 1
 */
export function likeness(pages: readonly (readonly LabelledGroup[])[]): number {
	return pages.reduce((sum, page) => sum + likenessOf(page), 0);
}

function likenessOf(page: readonly LabelledGroup[]): number {
	const labels = new Set(
		page.map(({ key, label }) => (label === undefined ? `key ${key}` : `label ${label}`))
	);
	return page.length - labels.size;
}

/**
 * Lays groups of one label together as far as that takes no further page: exact for few groups; for many, two
 * pages at a time are laid anew in the best way, until no two can be bettered. Pages keep their number, and
 * lie as they did where nothing is bettered.
 *
 * @param pages none fuller than `capacity`
 */
export function preferLabels<Group extends LabelledGroup>(
	pages: readonly (readonly Group[])[],
	capacity: number
): readonly (readonly Group[])[] {
	const all = pages.flat();
	const counts = new Map<string, number>();
	for (const { label } of all)
		if (label !== undefined) counts.set(label, (counts.get(label) ?? 0) + 1);
	if (![...counts.values()].some((count) => count > 1)) return pages;
	if (all.length <= FEW) return bestOf(all, pages, capacity);
	const laid = pages.map((page) => [...page]);
	let looked = 0;
	for (let isBetter = true; isBetter && looked < MOST_PAIRS;) {
		isBetter = false;
		const withLabel = pagesByLabel(laid);
		for (let i = 0; i < laid.length && looked < MOST_PAIRS; i++) {
			const near = new Set((laid[i] ?? []).flatMap(({ label }) => withLabel.get(label) ?? []));
			for (const j of near) {
				const [left = [], right = []] = [laid[i], laid[j]];
				if (j <= i || left.length + right.length > MOST_TOGETHER || !shareLabel(left, right))
					continue;
				if (++looked > MOST_PAIRS) break;
				const best = bestOf([...left, ...right], [left, right], capacity);
				if (likeness(best) <= likenessOf(left) + likenessOf(right)) continue;
				[laid[i], laid[j]] = [[...(best[0] ?? [])], [...(best[1] ?? [])]];
				isBetter = true;
			}
		}
	}
	return laid.filter((page) => page.length > 0);
}

/** Pages on which each label lies, in their order. */
function pagesByLabel(
	pages: readonly (readonly LabelledGroup[])[]
): ReadonlyMap<string | undefined, readonly number[]> {
	const found = new Map<string | undefined, number[]>();
	for (const [i, page] of pages.entries()) {
		for (const label of new Set(page.map((group) => group.label))) {
			if (label === undefined) continue;
			const list = found.get(label);
			if (list) list.push(i);
			else found.set(label, [i]);
		}
	}
	return found;
}

const shareLabel = (left: readonly LabelledGroup[], right: readonly LabelledGroup[]) =>
	left.some(({ label }) => label !== undefined && right.some((other) => other.label === label));

/** The best of all ways to lay groups on at most as many pages; as they lie where none is better. */
function bestOf<Group extends LabelledGroup>(
	groups: readonly Group[],
	now: readonly (readonly Group[])[],
	capacity: number
): readonly (readonly Group[])[] {
	// Large ones first: a page that is too full is seen early.
	const ordered = [...groups].sort((a, b) => b.size - a.size);
	let best = now;
	let most = likeness(now);
	const pages: Group[][] = [];
	const room: number[] = [];
	const place = (i: number, score: number) => {
		// Each group that is left may join one of its label at best.
		if (score + ordered.length - i <= most) return;
		const group = ordered[i];
		if (!group) {
			most = score;
			best = pages.map((page) => [...page]);
			return;
		}
		for (const [p, page] of pages.entries()) {
			if ((room[p] ?? 0) < group.size) continue;
			const joins = group.label !== undefined && page.some(({ label }) => label === group.label);
			page.push(group);
			room[p] = (room[p] ?? 0) - group.size;
			place(i + 1, score + (joins ? 1 : 0));
			room[p] += group.size;
			page.pop();
		}
		if (pages.length === now.length) return;
		pages.push([group]);
		room.push(capacity - group.size);
		place(i + 1, score);
		pages.pop();
		room.pop();
	};
	place(0, 0);
	return best;
}
