import { ROUNDING } from '../offers/postage-rule.ts';
import { LEFT, TAKEN, type Fixing } from './fixing.ts';
import type { HubStep } from './hub-steps.ts';
import { BY_HUB, DIRECT, type BuyingModel, type Mode } from './model.ts';
import { lowerHull, withAmount, withinLoad, type Limited, type Part } from './seller-parts.ts';

/**
 * Makes the problem of each seller alone, for one step of the hub: what it takes at best when every want pays a price for
 * each card. Exact where postage is so much a card; steps, thresholds and lots are relaxed to their convex hull. What was
 * taken last is in `tried`, and what `keep` kept in `kept`: buffers that are used again.
 */
export function makeSellerProblem(model: BuyingModel, step: HubStep | null) {
	const { sellers, offersOf, firstArc, arcWant, bundles } = model;
	const { offerCost, offerPieces, offerGrams } = model;
	const isByGrams = step !== null && step.grams < Infinity;
	/** Whether n of an offer cost n times one. */
	const isPlain = Uint8Array.from(offerCost, (costs, o) =>
		costs.every((cost, n) => cost === n * (costs[1] as number) && offerPieces[o]?.[n] === n) ? 1 : 0
	);
	const isQuick = isPlain.map((plain, o) =>
		plain === 1 && (firstArc[o + 1] as number) - (firstArc[o] as number) === 1 ? 1 : 0
	);
	const unit = Float64Array.from(offerCost, (costs) => costs[1] ?? Infinity);
	const kept = new Float64Array(arcWant.length);
	const tried = new Float64Array(arcWant.length);
	const keptBundle = new Float64Array(bundles.length);
	const triedBundle = new Float64Array(bundles.length);
	const bundlesOf = sellers.map((_, s) =>
		bundles.flatMap((bundle, b) => (bundle.seller === s ? [{ ...bundle, b }] : []))
	);

	return { ofClosed, ofOpen, keep, kept, keptBundle, bundlesOf };

	/** A closed seller takes nothing: impossible where something of it is fixed. */
	function ofClosed(s: number, fixing: Fixing): number {
		for (const o of offersOf[s] as Int32Array) {
			for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
				if ((fixing.least[a] as number) > 0) return Infinity;
			}
		}
		return (bundlesOf[s] ?? []).some(({ b }) => fixing.bundle[b] === TAKEN) ? Infinity : 0;
	}

	function keep(s: number): void {
		const offers = offersOf[s] as Int32Array;
		for (let k = 0; k < offers.length; k++) {
			const o = offers[k] as number;
			for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
				kept[a] = tried[a] as number;
			}
		}
		for (const { b } of bundlesOf[s] ?? []) keptBundle[b] = triedBundle[b] as number;
	}

	/** What an open seller takes at best: below 0 where that pays for its postage. */
	function ofOpen(s: number, mode: Mode, price: Float64Array, hub: number, fixing: Fixing): number {
		const seller = sellers[s];
		const rule = mode === DIRECT ? seller?.direct : seller?.toHub;
		if (!seller || !rule) return Infinity;
		const perCard = mode === BY_HUB ? (step?.perCard ?? 0) + (isByGrams ? 0 : hub) : 0;
		const perGram = mode === BY_HUB && isByGrams ? hub : 0;
		const least = seller.leastOrderMinor;
		const free = rule.freeFromMinor;
		const threshold = free === undefined ? Infinity : Math.max(free, least);
		const all = (onTop: number) => takeAll(s, price, onTop, perGram, fixing, null, null);
		if (rule.sort === 'each') {
			const { firstMinor, furtherMinor } = rule;
			const onTop = perCard + furtherMinor;
			const base = firstMinor - furtherMinor;
			let paid = all(onTop) + base;
			if (least > 0 && paid < Infinity && amountOf(s) < least) {
				paid = limited(s, price, onTop, perGram, fixing, least) + base;
			}
			if (free === undefined) return paid;
			// Or it goes free: what is taken must cost so much. It cannot be better than without asking that.
			const without = all(perCard);
			if (without < paid) {
				const freeValue =
					amountOf(s) >= threshold
						? without
						: limited(s, price, perCard, perGram, fixing, threshold);
				if (freeValue < paid) return freeValue;
			}
			if (least > 0) limited(s, price, onTop, perGram, fixing, least);
			else all(onTop);
			return paid;
		}
		const value = all(perCard);
		if (value === Infinity) return Infinity;
		const load = loadOf(s, rule.by);
		const [first] = rule.tiers;
		if (first && least === 0 && (first.to === null || load <= first.to + ROUNDING)) {
			// All fits the first step; free, it would only be better still.
			if (free === undefined) return value + first.minor;
			if (amountOf(s) >= free) return value;
		}
		const parts = partsOf(s, price, perCard, perGram, fixing);
		let best = Infinity;
		let chosen = null as Limited | null;
		const offer = (found: Limited | null, fee: number) => {
			if (!found || found.value + fee >= best) return;
			best = found.value + fee;
			chosen = found;
		};
		if (free !== undefined) offer(withAmount(parts, threshold), 0);
		for (const { to, minor } of rule.tiers) {
			const isWhole = to === null || parts[rule.by] <= to + ROUNDING;
			// Less of it never brings more.
			if (value + (free === undefined ? minor : 0) >= best) continue;
			const found = isWhole ? withAmount(parts, least) : withinLoad(parts, rule.by, to + ROUNDING);
			offer(found, minor);
			if (free !== undefined && !isWhole) offer(found, 0);
		}
		if (chosen) apply(chosen);
		return best;
	}

	/** What is taken now costs so much, and weighs so much or is so many cards. */
	function amountOf(s: number): number {
		let amount = 0;
		for (const o of offersOf[s] as Int32Array)
			amount += (offerCost[o] as Float64Array)[countOf(o)] as number;
		for (const { b, minor } of bundlesOf[s] ?? []) if (triedBundle[b] !== 0) amount += minor;
		return amount;
	}
	function loadOf(s: number, by: 'cards' | 'grams'): number {
		let load = 0;
		for (const o of offersOf[s] as Int32Array) {
			const pieces = (offerPieces[o] as Int32Array)[countOf(o)] as number;
			load += by === 'cards' ? pieces : pieces * (offerGrams[o] as number);
		}
		for (const { b, pieces, grams } of bundlesOf[s] ?? []) {
			if (triedBundle[b] !== 0) load += by === 'cards' ? pieces : grams;
		}
		return load;
	}
	function countOf(o: number): number {
		let count = 0;
		for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++)
			count += tried[a] as number;
		return count;
	}

	/** The best value with cards for at least so much, parts applied; Infinity where there are not so many. */
	function limited(
		s: number,
		price: Float64Array,
		perCard: number,
		perGram: number,
		fixing: Fixing,
		asked: number
	): number {
		const found = withAmount(partsOf(s, price, perCard, perGram, fixing), asked);
		if (!found) return Infinity;
		apply(found);
		return found.value;
	}

	function apply({ shares }: Limited): void {
		for (const [{ arcs, count, bundle }, share] of shares) {
			for (const a of arcs) tried[a] = (tried[a] as number) + share * count;
			if (bundle >= 0) triedBundle[bundle] = (triedBundle[bundle] as number) + share;
		}
	}

	function partsOf(
		s: number,
		price: Float64Array,
		perCard: number,
		perGram: number,
		fixing: Fixing
	) {
		const [taking, left]: [Part[], Part[]] = [[], []];
		const value = takeAll(s, price, perCard, perGram, fixing, taking, left);
		const [cards, grams] = [loadOf(s, 'cards'), loadOf(s, 'grams')];
		return { value, cards, grams, amount: amountOf(s), taken: taking, left };
	}

	/**
	 * Takes of a seller's offers and bundles what pays for itself when a card costs so much on top; gives the sum. Where
	 * lists are given they get the parts that could be left out, and those that could be added.
	 */
	function takeAll(
		s: number,
		price: Float64Array,
		perCard: number,
		perGram: number,
		fixing: Fixing,
		taking: Part[] | null,
		leaving: Part[] | null
	): number {
		let sum = 0;
		const offers = offersOf[s] as Int32Array;
		const { least, most } = fixing;
		for (let k = 0; k < offers.length; k++) {
			const o = offers[k] as number;
			if (isQuick[o] === 1 && !taking) {
				// Most offers are of one want, at one price.
				const a = firstArc[o] as number;
				const loss =
					(unit[o] as number) +
					perCard +
					perGram * (offerGrams[o] as number) -
					(price[arcWant[a] as number] as number);
				const n = (loss < 0 ? most[a] : least[a]) as number;
				if (n < (least[a] as number)) return Infinity;
				tried[a] = n;
				sum += n * loss;
				continue;
			}
			const costs = offerCost[o] as Float64Array;
			const pieces = offerPieces[o] as Int32Array;
			const each = perCard + perGram * (offerGrams[o] as number);
			const begin = firstArc[o] as number;
			const end = firstArc[o + 1] as number;
			if (end - begin === 1) {
				const low = fixing.least[begin] as number;
				const high = fixing.most[begin] as number;
				const pays = price[arcWant[begin] as number] as number;
				let [best, many] = [Infinity, low];
				for (let n = low; n <= high; n++) {
					const found = (costs[n] as number) + (pieces[n] as number) * each - n * pays;
					if (found < best) [best, many] = [found, n];
				}
				if (best === Infinity) return Infinity;
				tried[begin] = many;
				sum += best;
				if (!taking || !leaving || high === low) continue;
				if (isPlain[o] === 1) {
					// All cards of it are alike: one part.
					const isTaken = many > low;
					const count = isTaken ? many - low : high - many;
					const value = count * ((costs[1] as number) + each - pays);
					const grams = count * (offerGrams[o] as number);
					const amount = count * (costs[1] as number);
					const part = { value, cards: count, grams, amount, arcs: [begin], count, bundle: -1 };
					(isTaken ? taking : leaving).push(part);
					continue;
				}
				const points = Array.from({ length: high - low + 1 }, (_, k) => {
					const n = low + k;
					return { y: (costs[n] as number) + (pieces[n] as number) * each - n * pays, n };
				});
				split(o, points, many - low, (n) => ({ arcs: [begin], count: n }), taking, leaving);
				continue;
			}
			sum += takeShared(o, price, each, fixing, taking, leaving);
		}
		for (const { b, minor, pieces, grams, wants } of bundlesOf[s] ?? []) {
			const state = fixing.bundle[b];
			triedBundle[b] = 0;
			if (state === LEFT) continue;
			let found = minor + pieces * perCard + grams * perGram;
			for (const { want, count } of wants) found -= count * (price[want] as number);
			const part = {
				value: found,
				cards: pieces,
				grams,
				amount: minor,
				arcs: [],
				count: 0,
				bundle: b
			};
			if (found < 0 || state === TAKEN) {
				triedBundle[b] = 1;
				sum += found;
				if (state !== TAKEN) taking?.push(part);
			} else leaving?.push(part);
		}
		return sum;
	}

	/** An offer of several wants: those that pay most come first. */
	function takeShared(
		o: number,
		price: Float64Array,
		each: number,
		fixing: Fixing,
		taking: Part[] | null,
		leaving: Part[] | null
	): number {
		const costs = offerCost[o] as Float64Array;
		const pieces = offerPieces[o] as Int32Array;
		const queue: { readonly a: number; readonly pays: number }[] = [];
		let [low, fixed] = [0, 0];
		for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
			const least = fixing.least[a] as number;
			const pays = price[arcWant[a] as number] as number;
			tried[a] = least;
			low += least;
			fixed += least * pays;
			for (let n = least; n < (fixing.most[a] as number); n++) queue.push({ a, pays });
		}
		queue.sort((x, y) => y.pays - x.pays);
		const high = Math.min(costs.length - 1, low + queue.length);
		if (low > high) return Infinity;
		const points: { y: number; n: number }[] = [];
		let paid = fixed;
		let [best, many] = [Infinity, low];
		for (let n = low; n <= high; n++) {
			if (n > low) paid += queue[n - low - 1]?.pays ?? 0;
			const found = (costs[n] as number) + (pieces[n] as number) * each - paid;
			points.push({ y: found, n });
			if (found < best) [best, many] = [found, n];
		}
		for (let n = low; n < many; n++) {
			const { a = 0 } = queue[n - low] ?? {};
			tried[a] = (tried[a] as number) + 1;
		}
		if (taking && leaving && high > low) {
			const arcsBetween = (count: number, from: number) => ({
				arcs: queue.slice(from, from + count).map(({ a }) => a),
				count: 1
			});
			split(o, points, many - low, arcsBetween, taking, leaving);
		}
		return best;
	}

	/** Cuts what an offer may give into parts along the lower hull: before what is taken, and behind it. */
	function split(
		o: number,
		points: readonly { readonly y: number; readonly n: number }[],
		at: number,
		arcsOf: (count: number, from: number) => Pick<Part, 'arcs' | 'count'>,
		taking: Part[],
		leaving: Part[]
	): void {
		const costs = offerCost[o] as Float64Array;
		const pieces = offerPieces[o] as Int32Array;
		const cut = (list: Part[], from: number, to: number, x: (n: number) => number) => {
			const some = points.slice(from, to + 1);
			const corners = lowerHull(some.map(({ y, n }) => ({ x: x(n), y })));
			for (let c = 1; c < corners.length; c++) {
				const a = some[corners[c - 1] as number];
				const b = some[corners[c] as number];
				if (!a || !b) continue;
				const cards = (pieces[b.n] as number) - (pieces[a.n] as number);
				list.push({
					value: b.y - a.y,
					cards,
					grams: cards * (offerGrams[o] as number),
					amount: (costs[b.n] as number) - (costs[a.n] as number),
					...arcsOf(b.n - a.n, a.n - (points[0]?.n ?? 0)),
					bundle: -1
				});
			}
		};
		cut(taking, 0, at, (n) => pieces[n] as number);
		cut(leaving, at, points.length - 1, (n) => costs[n] as number);
	}
}
