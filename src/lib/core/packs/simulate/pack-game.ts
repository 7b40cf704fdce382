import { sum } from 'd3-array';
import { stepsOf } from '../odds/missing-chain.ts';
import { shareOf, slotsOf, type PackProfile, type Slot } from '../profile/pack-profile.ts';

/** So many packs of a kind that are opened together: a format of two ordinary packs and a bonus pack. */
export interface PackPart {
	readonly profile: PackProfile;
	readonly packs: number;
}

/** How friends trade. */
export interface TradeRules {
	/** Doubles of a group go for its missing cards, one for one. */
	readonly isWithinGroup: boolean;
	/** By group key: how many doubles of other groups go for one of its missing cards; left out: none do. */
	readonly othersFor: Readonly<Record<string, number>>;
}

/** The part of a group's cards that would fill something. */
function openPart({ isEven, missing, open, sums }: GroupState): number {
	if (missing === 0) return 0;
	return isEven ? missing / sums.length : open / (sums.at(-1) ?? 1);
}

/** By number missing: the chance of at most 0, 1, … new cards in a pack. */
function tablesOf(cards: number, lacking: number, count: number): readonly Float64Array[] {
	return stepsOf(cards, lacking, [{ count, chance: 1 }]).map((step) => {
		let all = 0;
		return step.map((chance) => (all += chance));
	});
}

/** Cards of a group while a run goes on. */
interface GroupState {
	readonly key: string;
	readonly lacking: Int32Array;
	readonly start: Int32Array;
	/** Its cards come equally often, and at most one of each is lacking: then only how many are missing is followed. */
	readonly isEven: boolean;
	/** By cards a pack and number missing: how many are new. */
	readonly tables: (readonly Float64Array[])[];
	/** Weights of the cards, added up. */
	readonly sums: Float64Array;
	missing: number;
	readonly whole: number;
	/** Weight of the cards that are missing. */
	open: number;
	readonly openAtStart: number;
	/** Copies that filled nothing. */
	copies: number;
}

/** What a kind of pack does to the groups. */
interface PackState {
	readonly packs: number;
	readonly fixed: readonly {
		readonly group: GroupState;
		readonly count: number;
		readonly isAllDifferent: boolean;
		readonly takers: readonly number[];
	}[];
	readonly slots: readonly {
		readonly slot: Slot;
		readonly groups: readonly {
			readonly group: GroupState;
			readonly share: number;
			readonly until: number;
		}[];
	}[];
	readonly packsPerBox: number;
	/** Of the box that is begun: packs opened, and cards of each slot found. */
	opened: number;
	readonly found: Int32Array;
	/** Packs until the slot is filled again, where chance alone decides. */
	readonly wait: Float64Array;
}

/**
 * A table of packs: `play` opens them until nothing is lacking, or friends have it for doubles, and says how many openings
 * that took (Infinity: more than the most); `groups` tell what is here then.
 */
export function makeGame(parts: readonly PackPart[], trades: TradeRules, random: () => number) {
	const groups = new Map<string, GroupState>();
	for (const { profile } of parts) {
		for (const { key, classes } of profile.groups) {
			if (groups.has(key)) continue;
			const cards = classes.flatMap(({ cards: count, weight, lacking }) =>
				Array.from({ length: count }, () => ({ weight, lacking }))
			);
			const isEven = cards.every(
				({ weight, lacking }) => weight === cards[0]?.weight && weight > 0 && lacking <= 1
			);
			const sums = new Float64Array(cards.length);
			let weight = 0;
			for (const [i, card] of cards.entries()) sums[i] = weight += card.weight;
			const start = Int32Array.from(cards, ({ lacking }) => lacking);
			const whole = sum(start);
			const openAtStart = sum(cards, (card) => (card.lacking > 0 ? card.weight : 0));
			groups.set(key, {
				...{ open: openAtStart, openAtStart },
				...{ key, start, lacking: start.slice(), sums, whole, missing: whole, copies: 0 },
				...{ isEven, tables: [] }
			});
		}
	}
	const all = [...groups.values()];
	const packs = parts.map((part): PackState => {
		const slots = slotsOf(part.profile);
		const stateOf = (key: string) => groups.get(key) as GroupState;
		return {
			packs: part.packs,
			fixed: part.profile.groups.flatMap(({ key, comes }) =>
				comes.sort === 'odds'
					? []
					: [
							{
								...{ group: stateOf(key), count: comes.count },
								isAllDifferent: comes.isAllDifferent,
								takers: [...slots.keys()].filter((s) => slots[s]?.takesPlaceOf === key)
							}
						]
			),
			slots: slots.map((slot) => {
				let until = 0;
				return {
					slot,
					groups: slot.groups.map((group) => {
						const share = shareOf(group, slot);
						return { group: stateOf(group.key), share, until: (until += share) };
					})
				};
			}),
			packsPerBox: part.profile.packsPerBox ?? 1,
			...{ opened: 0, found: new Int32Array(slots.length), wait: new Float64Array(slots.length) }
		};
	});
	const hasTrades = trades.isWithinGroup || Object.keys(trades.othersFor).length > 0;
	const [first] = packs;
	/** The only kind of pack, where what brings nothing new may be passed over. */
	const single =
		!hasTrades &&
		packs.length === 1 &&
		first?.packs === 1 &&
		first.slots.every(({ slot }) => slot.perBox === null)
			? first
			: undefined;
	const filled = packs.map(({ slots }) => new Uint8Array(slots.length));

	/** Packs until one has the slot filled, that one counted. */
	const waitFor = (chance: number): number =>
		chance >= 1
			? 1
			: chance <= 0
				? Infinity
				: 1 + Math.floor(Math.log1p(-random()) / Math.log1p(-chance));

	function play(most: number): number {
		for (const group of all) {
			if (!group.isEven) group.lacking.set(group.start);
			group.missing = group.whole;
			group.open = group.openAtStart;
			group.copies = 0;
		}
		for (const pack of packs) {
			pack.opened = 0;
			pack.found.fill(0);
			for (const [s, { slot }] of pack.slots.entries()) {
				pack.wait[s] = slot.perBox === null ? waitFor(slot.chance) : 0;
			}
		}
		let openings = 0;
		while (!isComplete()) {
			if (openings >= most) return Infinity;
			if (single?.fixed.every(({ group }) => group.missing === 0)) {
				return openings + finishBySlots(single, most - openings);
			}
			openings++;
			for (const [p, pack] of packs.entries()) {
				for (let n = 0; n < pack.packs; n++) openPack(pack, filled[p] as Uint8Array);
			}
		}
		return openings;
	}

	/**
	 * Where nothing but cards of slots is missing: from new card to new card, each after as many packs as the geometric law
	 * says; what comes between fills nothing.
	 */
	function finishBySlots({ slots }: PackState, most: number): number {
		const rates = slots.map(({ slot, groups: some }) => slot.chance * newPart(some));
		const waits = rates.map(waitFor);
		for (let packs = 0; ;) {
			const next = waits.reduce((least, wait) => Math.min(least, wait), Infinity);
			packs += next;
			if (packs > most) return Infinity;
			for (let s = 0; s < slots.length; s++) {
				const wait = (waits[s] as number) - next;
				waits[s] = wait;
				const { slot, groups: some } = slots[s] as PackState['slots'][number];
				if (wait > 0) continue;
				takeNew(some);
				rates[s] = slot.chance * newPart(some);
				waits[s] = waitFor(rates[s] as number);
			}
			if (isComplete()) return packs;
		}
	}

	/** The part of a slot's cards that would fill something. */
	function newPart(some: PackState['slots'][number]['groups']): number {
		let part = 0;
		for (const { group, share } of some) part += share * openPart(group);
		return part;
	}

	/** A card of a slot that fills something, each as often as it comes. */
	function takeNew(some: PackState['slots'][number]['groups']): void {
		let at = some.length === 1 ? 0 : random() * newPart(some);
		const found =
			some.find(({ group, share }) => (at -= share * openPart(group)) < 0) ??
			some.findLast(({ group }) => group.missing > 0);
		if (!found) return;
		const { group } = found;
		if (group.isEven) {
			takeEven(group, 1, 1);
			return;
		}
		const { lacking, sums } = group;
		let place = random() * group.open;
		for (let card = 0, last = -1; ; card++) {
			if (card === lacking.length) {
				take(group, last);
				return;
			}
			if ((lacking[card] as number) === 0) continue;
			last = card;
			place -= (sums[card] as number) - (sums[card - 1] ?? 0);
			if (place >= 0) continue;
			take(group, card);
			return;
		}
	}

	function openPack(pack: PackState, full: Uint8Array): void {
		if (pack.opened === pack.packsPerBox) {
			pack.opened = 0;
			pack.found.fill(0);
		}
		for (let s = 0; s < pack.slots.length; s++) {
			full[s] = 0;
			const { slot, groups: some } = pack.slots[s] as PackState['slots'][number];
			if (slot.perBox === null) {
				const wait = (pack.wait[s] as number) - 1;
				pack.wait[s] = wait > 0 ? wait : waitFor(slot.chance);
				if (wait > 0) continue;
			} else {
				const left = slot.perBox - (pack.found[s] as number);
				if (random() * (pack.packsPerBox - pack.opened) >= left) continue;
				pack.found[s] = (pack.found[s] as number) + 1;
			}
			full[s] = 1;
			const at = some.length === 1 ? 0 : random();
			const found = some.find(({ until }) => at < until) ?? some.at(-1);
			if (found) draw(found.group, 1, false);
		}
		for (const { group, count, isAllDifferent, takers } of pack.fixed) {
			let places = count;
			for (const s of takers) places -= full[s] as number;
			draw(group, places, isAllDifferent);
		}
		pack.opened++;
	}

	function draw(group: GroupState, count: number, isAllDifferent: boolean): void {
		if (!group.isEven) drawByWeight(group, count, isAllDifferent);
		else if (isAllDifferent) takeEven(group, newOf(group, count), count);
		else {
			for (let k = 0; k < count; k++) {
				takeEven(group, random() * group.sums.length < group.missing ? 1 : 0, 1);
			}
		}
	}

	/** How many new cards are among so many different ones of equal cards. */
	function newOf(group: GroupState, count: number): number {
		const known = group.tables[count] ?? tablesOf(group.sums.length, group.whole, count);
		group.tables[count] = known;
		const table = known[group.missing] as Float64Array;
		const at = random();
		let h = 0;
		while (h < table.length - 1 && at >= (table[h] as number)) h++;
		return h;
	}

	function takeEven(group: GroupState, fresh: number, count: number): void {
		group.missing -= fresh;
		group.copies += count - fresh;
	}

	function drawByWeight(group: GroupState, count: number, isAllDifferent: boolean): void {
		const { sums } = group;
		const taken: number[] = [];
		while (taken.length < count) {
			const at = random() * (sums.at(-1) ?? 0);
			let [low, high] = [0, sums.length - 1];
			while (low < high) {
				const middle = (low + high) >> 1;
				if ((sums[middle] as number) > at) high = middle;
				else low = middle + 1;
			}
			if (isAllDifferent && taken.includes(low)) continue;
			taken.push(low);
			take(group, low);
		}
	}

	function take(group: GroupState, card: number): void {
		const lacking = group.lacking[card] as number;
		if (lacking > 0) {
			group.lacking[card] = lacking - 1;
			group.missing--;
			if (lacking === 1) {
				group.open -= (group.sums[card] as number) - (group.sums[card - 1] ?? 0);
			}
		} else group.copies++;
	}

	/** Nothing is missing, or friends have it for doubles. */
	function isComplete(): boolean {
		if (!hasTrades) {
			for (let g = 0; g < all.length; g++) if ((all[g] as GroupState).missing > 0) return false;
			return true;
		}
		let [pool, asked] = [0, 0];
		for (const { key, missing, copies } of all) {
			const within = trades.isWithinGroup ? Math.min(missing, copies) : 0;
			pool += copies - within;
			const open = missing - within;
			if (open === 0) continue;
			const rate = trades.othersFor[key];
			if (rate === undefined) return false;
			asked += open * rate;
		}
		return asked <= pool;
	}

	return { play, groups: all };
}
