import { makeAssign } from './assign-wants.ts';
import { costOfSelection } from './cost-of-selection.ts';
import {
	arcsOfOffer,
	BY_HUB,
	CLOSED,
	copySelection,
	DIRECT,
	emptySelection,
	type BuyingModel,
	type Mode,
	type Selection
} from './model.ts';

/** Plans that people make by hand. */
export const RIVALS = {
	cheapest: {
		name: 'The cheapest copy of each',
		meaning: 'Each card where it costs least, whatever the postage comes to.'
	},
	fullest: {
		name: 'The fullest seller first',
		meaning: 'All that the seller with most of it has, then the next fullest for the rest.'
	}
} as const;
export type RivalKey = keyof typeof RIVALS;

/** Each want at its cheapest offer; every seller sends the way that is cheaper for it. */
export function cheapestCopies(model: BuyingModel): Selection {
	const selection = emptySelection(model);
	openAll(model, selection);
	// Postage does not count: no slope, the hub's neither.
	makeAssign(withoutPostage(model))(selection, 0);
	return cheaperWays(model, selection);
}

/** The seller with most of what is still wanted gives all of it, until nobody has any of the rest. */
export function fullestFirst(model: BuyingModel): Selection {
	const selection = emptySelection(model);
	openAll(model, selection);
	const left = model.need.slice();
	const isDone = new Uint8Array(model.sellers.length);
	for (;;) {
		let [fullest, most] = [-1, 0];
		for (let s = 0; s < model.sellers.length; s++) {
			if (isDone[s] === 1) continue;
			const count = countAt(s, left, null);
			if (count > most) [fullest, most] = [s, count];
		}
		if (fullest < 0) break;
		isDone[fullest] = 1;
		countAt(fullest, left, selection);
	}
	return cheaperWays(model, selection);

	/** How many of the rest a seller has; with a selection they are taken there. */
	function countAt(s: number, rest: Int32Array, into: Selection | null): number {
		const asked = into ? rest : rest.slice();
		let count = 0;
		for (const o of model.offersOf[s] as Int32Array) {
			let have = model.offerMost[o] as number;
			for (const a of arcsOfOffer(model, o)) {
				const i = model.arcWant[a] as number;
				const many = Math.min(have, asked[i] as number);
				if (many === 0) continue;
				have -= many;
				asked[i] = (asked[i] as number) - many;
				count += many;
				if (into) into.take[a] = many;
			}
		}
		return count;
	}
}

function openAll(model: BuyingModel, { mode }: Selection): void {
	for (const [s, { direct, toHub }] of model.sellers.entries()) {
		mode[s] = direct ? DIRECT : toHub && model.hub ? BY_HUB : CLOSED;
	}
}

function withoutPostage(model: BuyingModel): BuyingModel {
	const free = { sort: 'each', firstMinor: 0, furtherMinor: 0 } as const;
	return {
		...model,
		sellers: model.sellers.map((seller) => ({
			...seller,
			direct: seller.direct && free,
			toHub: seller.toHub && free
		}))
	};
}

/** Each seller's way is chosen by what all of it costs then; orders below their least are not made. */
function cheaperWays(model: BuyingModel, selection: Selection): Selection {
	let best = copySelection(selection);
	for (const [s, { direct, toHub, leastOrderMinor }] of model.sellers.entries()) {
		const arcs = [...(model.offersOf[s] as Int32Array)].flatMap((o) => arcsOfOffer(model, o));
		const paid = [...(model.offersOf[s] as Int32Array)].reduce((sum, o) => {
			const count = arcsOfOffer(model, o).reduce((n, a) => n + (best.take[a] as number), 0);
			return sum + ((model.offerCost[o] as Float64Array)[count] as number);
		}, 0);
		if (paid === 0 || paid < leastOrderMinor) {
			for (const a of arcs) best.take[a] = 0;
			best.mode[s] = CLOSED;
			continue;
		}
		const ways: Mode[] = [
			...(direct ? [DIRECT] : []),
			...(toHub && model.hub ? [BY_HUB] : [])
		] as Mode[];
		const tried = ways.map((way) => {
			const other = copySelection(best);
			other.mode[s] = way;
			return { other, value: costOfSelection(model, other).value };
		});
		const least = tried.reduce<(typeof tried)[number] | null>(
			(a, b) => (a && a.value <= b.value ? a : b),
			null
		);
		if (least) best = least.other;
	}
	return best;
}
