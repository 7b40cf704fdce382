import TinyQueue from 'tinyqueue';

/** A cost of several parts, the first of which outweighs all later ones together. */
export type Cost = readonly number[];

/** One way in which a unit of a supply may serve a demand. */
export interface Fit {
	readonly supply: number;
	readonly demand: number;
	readonly cost: Cost;
	/** How many units may go this way; left out: any number. */
	readonly most?: number;
}

interface Edge {
	readonly to: number;
	left: number;
	/** All parts in one number: see `scaled`. */
	readonly cost: bigint;
	/** Place of the reverse edge among those of `to`. */
	readonly back: number;
}

type Graph = readonly Edge[][];

/**
 * Gives supplies to demands: as many units as can be given, and among those ways the cheapest; costs
 * are compared part by part. The primal-dual method (Ford and Fulkerson, 1957): potentials keep all
 * costs from being negative (Edmonds and Karp, 1972), Dijkstra's search finds what the next cheapest
 * unit costs, and all units at that cost go at once, by shortest layers (Dinitz, 1970). Exact.
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
	const source = supplies.length + demands.length;
	const sink = source + 1;
	const graph: Edge[][] = Array.from({ length: sink + 1 }, () => []);
	const connect = (from: number, to: number, left: number, cost: bigint): Edge => {
		const forward = graph[from] as Edge[];
		const back = graph[to] as Edge[];
		const edge: Edge = { to, left, cost, back: back.length };
		back.push({ to: from, left: 0, cost: -cost, back: forward.length });
		forward.push(edge);
		return edge;
	};
	supplies.forEach((units, i) => connect(source, i, units, 0n));
	const costs = scaled(
		fits.map(({ cost }) => cost),
		graph.length
	);
	const ways = fits.map(({ supply, demand, most = Infinity }, i) =>
		connect(supply, supplies.length + demand, most, costs[i] as bigint)
	);
	demands.forEach((units, i) => connect(supplies.length + i, sink, units, 0n));
	const potentials = firstPotentials(graph, supplies.length, source, sink);
	while (raisePotentials(graph, potentials, source, sink)) {
		while (sendAtNoCost(graph, potentials, source, sink));
	}
	return ways.map((way) => graph[way.to]?.[way.back]?.left ?? 0);
}

/** Distances from the source while nothing flows: source → supplies → demands → sink. */
function firstPotentials(graph: Graph, supplies: number, source: number, sink: number): bigint[] {
	const potentials = graph.map(() => 0n);
	const isReached = new Set<number>();
	const relax = (from: number) => {
		for (const { to, left, cost } of graph[from] ?? []) {
			if (left === 0) continue;
			const by = (potentials[from] as bigint) + cost;
			if (isReached.has(to) && (potentials[to] as bigint) <= by) continue;
			isReached.add(to);
			potentials[to] = by;
		}
	};
	relax(source);
	for (let i = 0; i < supplies; i++) relax(i);
	for (let i = supplies; i < source; i++) if (isReached.has(i)) relax(i);
	return isReached.has(sink) ? potentials : graph.map(() => 0n);
}

/** What an edge costs over the difference of its ends' potentials: never less than nothing. */
function overCost(potentials: readonly bigint[], from: number, { to, cost }: Edge): bigint {
	return cost + (potentials[from] as bigint) - (potentials[to] as bigint);
}

/** Adds to each potential how far its node is; false where the sink is out of reach. */
function raisePotentials(
	graph: Graph,
	potentials: bigint[],
	source: number,
	sink: number
): boolean {
	const far: (bigint | undefined)[] = graph.map(() => undefined);
	const isSettled = graph.map(() => false);
	far[source] = 0n;
	const queue = new TinyQueue<{ readonly node: number; readonly at: bigint }>(
		[{ node: source, at: 0n }],
		(a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)
	);
	for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
		const { node, at } = next;
		if (isSettled[node]) continue;
		isSettled[node] = true;
		if (node === sink) break;
		for (const edge of graph[node] ?? []) {
			if (edge.left === 0 || isSettled[edge.to]) continue;
			const by = at + overCost(potentials, node, edge);
			const known = far[edge.to];
			if (known !== undefined && known <= by) continue;
			far[edge.to] = by;
			queue.push({ node: edge.to, at: by });
		}
	}
	const end = far[sink];
	if (end === undefined || !isSettled[sink]) return false;
	potentials.forEach((potential, node) => {
		potentials[node] = potential + (isSettled[node] ? (far[node] as bigint) : end);
	});
	return true;
}

/** Sends what goes along edges that cost nothing over the potentials, by shortest layers; false: nothing. */
function sendAtNoCost(
	graph: Graph,
	potentials: readonly bigint[],
	source: number,
	sink: number
): boolean {
	const isFree = (from: number, edge: Edge) =>
		edge.left > 0 && overCost(potentials, from, edge) === 0n;
	const free = graph.map((edges, from) => edges.filter((edge) => isFree(from, edge)));
	const layer = graph.map(() => -1);
	layer[source] = 0;
	const queue = [source];
	for (let at = 0; at < queue.length; at++) {
		const node = queue[at] as number;
		// Reverse edges open while units are sent; they lead back a layer and wait for the next round.
		for (const { to } of free[node] ?? []) {
			if (layer[to] !== -1) continue;
			layer[to] = (layer[node] as number) + 1;
			queue.push(to);
		}
	}
	if (layer[sink] === -1) return false;
	const tried = graph.map(() => 0);
	let isSent = false;
	for (let path = findPath(); path !== null; path = findPath()) {
		const units = path.reduce((least, { left }) => Math.min(least, left), Infinity);
		for (const edge of path) {
			edge.left -= units;
			const reverse = graph[edge.to]?.[edge.back];
			if (reverse) reverse.left += units;
		}
		isSent = true;
	}
	return isSent;

	/** A way through the layers; an edge that leads nowhere is not tried again. */
	function findPath(): Edge[] | null {
		const path: Edge[] = [];
		const nodes = [source];
		for (let node = source; node !== sink;) {
			const edges = free[node] as Edge[];
			const at = tried[node] as number;
			const edge = edges[at];
			if (edge === undefined) {
				path.pop();
				nodes.pop();
				const before = nodes.at(-1);
				if (before === undefined) return null;
				tried[before] = (tried[before] as number) + 1;
				node = before;
			} else if (edge.left > 0 && layer[edge.to] === (layer[node] as number) + 1) {
				path.push(edge);
				nodes.push(edge.to);
				node = edge.to;
			} else tried[node] = at + 1;
		}
		return path;
	}
}

/**
 * Costs of several parts as one number each, so that sums along any path compare part by part: a path
 * passes each node once, so a part's sum stays below nodes × its largest value, and twice that many
 * steps, up and down, are left to it.
 */
function scaled(costs: readonly Cost[], nodes: number): readonly bigint[] {
	const [first = []] = costs;
	const bits = first.map((_, part) => {
		const largest = costs.reduce((most, cost) => Math.max(most, Math.abs(cost[part] ?? 0)), 0);
		return BigInt(Math.ceil(Math.log2(4 * nodes * largest + 2)) + 1);
	});
	return costs.map((cost) =>
		cost.reduce((sum, part, i) => (sum << (bits[i] as bigint)) + BigInt(part), 0n)
	);
}
