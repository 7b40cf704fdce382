/** A cost of several parts, the first of which outweighs all later ones together. */
export type Cost = readonly number[];

/** One way in which a unit of a supply may serve a demand. */
export interface Fit {
	readonly supply: number;
	readonly demand: number;
	readonly cost: Cost;
}

interface Edge {
	readonly to: number;
	left: number;
	readonly cost: Cost;
	readonly back: number;
}

/**
 * Gives supplies to demands: as many units as can be given, and among those ways the cheapest; costs
 * are compared part by part. Successive shortest paths (Ford and Fulkerson; Busacker and Gowen, 1961)
 * with the label-correcting search of Bellman and Ford, since costs may be negative; vectors in this
 * order form an ordered group, so the proof for numbers holds. Exact.
 *
 * @param supplies units of each supply
 * @param demands units that each demand takes
 * @returns for each fit how many units go that way
 */
export function assign(
	supplies: readonly number[],
	demands: readonly number[],
	fits: readonly Fit[]
): readonly number[] {
	const zero: Cost = (fits[0]?.cost ?? []).map(() => 0);
	const source = supplies.length + demands.length;
	const sink = source + 1;
	const graph: Edge[][] = Array.from({ length: sink + 1 }, () => []);
	const connect = (from: number, to: number, left: number, cost: Cost): Edge => {
		const edge: Edge = { to, left, cost, back: graph[to]?.length ?? 0 };
		const reverse: Edge = {
			to: from,
			left: 0,
			cost: cost.map((part) => -part),
			back: graph[from]?.length ?? 0
		};
		graph[from]?.push(edge);
		graph[to]?.push(reverse);
		return edge;
	};
	supplies.forEach((units, i) => connect(source, i, units, zero));
	const ways = fits.map(({ supply, demand, cost }) =>
		connect(supply, supplies.length + demand, Infinity, cost)
	);
	const flow = ways.map(() => 0);
	demands.forEach((units, i) => connect(supplies.length + i, sink, units, zero));
	while (augment(graph, source, sink, zero));
	ways.forEach((way, i) => (flow[i] = graph[way.to]?.[way.back]?.left ?? 0));
	return flow;
}

/** Sends as many units as fit along the cheapest path; false where there is none. */
function augment(graph: readonly Edge[][], source: number, sink: number, zero: Cost): boolean {
	const best: (Cost | undefined)[] = graph.map(() => undefined);
	const cameBy: (Edge | undefined)[] = graph.map(() => undefined);
	best[source] = zero;
	const queue = [source];
	const isQueued = new Set(queue);
	for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
		isQueued.delete(at);
		const here = best[at] ?? zero;
		for (const edge of graph[at] ?? []) {
			if (edge.left === 0) continue;
			const cost = add(here, edge.cost);
			const known = best[edge.to];
			if (known !== undefined && compare(known, cost) <= 0) continue;
			best[edge.to] = cost;
			cameBy[edge.to] = edge;
			if (!isQueued.has(edge.to)) {
				queue.push(edge.to);
				isQueued.add(edge.to);
			}
		}
	}
	if (best[sink] === undefined) return false;
	const path: Edge[] = [];
	for (let at = sink; at !== source;) {
		const edge = cameBy[at];
		if (!edge) throw new RangeError('assign: the path is broken');
		path.push(edge);
		at = graph[edge.to]?.[edge.back]?.to ?? source;
	}
	const units = path.reduce((least, { left }) => Math.min(least, left), Infinity);
	for (const edge of path) {
		edge.left -= units;
		const reverse = graph[edge.to]?.[edge.back];
		if (reverse) reverse.left += units;
	}
	return true;
}

function add(a: Cost, b: Cost): Cost {
	return a.map((part, i) => part + (b[i] ?? 0));
}

function compare(a: Cost, b: Cost): number {
	for (let i = 0; i < a.length; i++) {
		const difference = (a[i] ?? 0) - (b[i] ?? 0);
		if (difference !== 0) return difference;
	}
	return 0;
}
