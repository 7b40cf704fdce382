import { group, sum } from 'd3-array';
import { inArray } from 'drizzle-orm';
import { middleOf } from '../../../core/worth/prices/price.ts';
import { neighbourPrices } from '../../../core/buying/prices/neighbour-price.ts';
import { typicalPrice } from '../../../core/buying/prices/typical-price.ts';
import { matchTrades, type TradeMatch } from '../../../core/buying/trades/match-trades.ts';
import { tradeOptions, type TradeCandidate } from '../../../core/buying/trades/trade-options.ts';
import { spareCards } from '../../../core/buying/trades/spare-cards.ts';
import { isAtHand, isBought } from '../../../core/copies/copy-record.ts';
import { resolveRules } from '../../../core/goal/goal-rules.ts';
import type { Problem } from '../../../core/problem.ts';
import { rowId, type CopyId } from '../../../core/row-id.ts';
import { formatCsv } from '../../../formats/csv-cells.ts';
import { outOf } from '../../copies/outings.ts';
import type { Reader } from '../../database/open.ts';
import { goalChoices, releases } from '../../database/tables/index.ts';
import { workOutGoals, type GoalState } from '../../goals/work-out-goals.ts';
import { cardsOfFriend, friendLines, listFriends } from '../../pile/friend-lists.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { finishSlots } from '../finish-slots.ts';
import { readPriceBook } from '../prices/read-price-book.ts';

/** What a trade is asked for. Money in minor units of the currency that is reckoned in. */
export interface TradeChoice {
	readonly friend: string | null;
	/** The most that what is given and what is taken may differ. */
	readonly toleranceMinor: number;
	/** What a card counts that nothing is known of; null: it is left out. */
	readonly unpricedMinor: number | null;
	/** Cards that have to be part of it, and cards that are left out, by their keys. */
	readonly fixed: readonly string[];
	readonly without: readonly string[];
}

/** A card that could change hands, once. */
export interface TradeOption {
	/** "give 17 0": the copy, or "take" and the version, and which of several. */
	readonly key: string;
	readonly version: string;
	readonly name: string;
	readonly release: string;
	/** The copy it is, of what could be given. */
	readonly copyId: CopyId | null;
	readonly minor: number | null;
	/** Its price is that of its neighbours. */
	readonly isEstimated: boolean;
}

type Valued = Omit<TradeOption, 'name' | 'release'>;

/** The most cards on one side that a trade is searched among: the rest are named. */
const MOST_CARDS = 400;

/** What could change hands with a friend, the fair exchange of most cards, and what is spare at all. */
export async function tradesView(db: Reader, choice: TradeChoice) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const friends = await listFriends(db);
	const friend = choice.friend !== null && friends.includes(choice.friend) ? choice.friend : null;
	const states = await workOutGoals(db, () => true);
	const spare = await spareCopies(db, states);
	const worth = await valuesOf(db, states, { currency, rates });
	const wants =
		friend === null ? new Map<string, number>() : await cardsOfFriend(db, 'want', friend);
	const gives =
		friend === null ? new Map<string, number>() : await cardsOfFriend(db, 'give', friend);
	const mine = await missingOf(db);
	const problems: Problem[] = [...worth.problems];
	const options = tradeOptions(
		{ want: wants, give: gives },
		spare.map(({ id, version, quantity }) => ({ copy: String(id), version, quantity })),
		mine
	);
	const valued = ({ key, version, copy }: TradeCandidate): Valued => ({
		...{ key, version, copyId: copy === null ? null : rowId(Number(copy)) },
		...worth.valueOf(version)
	});
	const [give, take] = [options.give.map(valued), options.take.map(valued)];
	const names = await nameVersions(
		db,
		[...give, ...take, ...spare].map(({ version }) => version)
	);
	const named = (some: readonly Valued[]): readonly TradeOption[] =>
		some.map((option) => {
			const { card: name = option.version, release = '' } = names.get(option.version) ?? {};
			return { ...option, name, release };
		});
	if (Math.max(give.length, take.length) > MOST_CARDS) {
		const message = `more than ${MOST_CARDS} cards could change hands: the first of them are looked at`;
		problems.push({ message, remedy: 'Shorten a list.' });
	}
	const priced = (some: readonly Valued[]) =>
		some.slice(0, MOST_CARDS).flatMap(({ key, minor }) => {
			const counts = minor ?? choice.unpricedMinor;
			if (counts === null || choice.without.includes(key)) return [];
			return [{ key, minor: counts, isFixed: choice.fixed.includes(key) }];
		});
	const [from, to] = [priced(give), priced(take)];
	const match: TradeMatch =
		from.length > 0 && to.length > 0
			? matchTrades(from, to, choice.toleranceMinor)
			: { best: null, others: [] };
	return {
		...{ currency, friends, friend, choice, problems, match },
		...{ give: named(give), take: named(take) },
		lists: {
			want: friend === null ? '' : await friendLines(db, 'want', friend),
			give: friend === null ? '' : await friendLines(db, 'give', friend)
		},
		spares: sparesToShare(spare, names)
	};
}
export type TradesView = Awaited<ReturnType<typeof tradesView>>;

/** What goals that are not let go lack, and is not on its way: the same card once, as often as a goal lacks it. */
async function missingOf(db: Reader) {
	const letGo = new Set(
		(await db.select().from(goalChoices))
			.filter(({ choice }) => choice === 'let go')
			.map(({ goalId }) => goalId)
	);
	const states = await workOutGoals(db, ({ id }) => !letGo.has(id), isBought);
	const wants = new Map<
		string,
		{ readonly versions: readonly string[]; readonly quantity: number }
	>();
	for (const { slots, filling } of states) {
		const slotOf = new Map(slots.map((slot) => [slot.key, slot]));
		const lacking = new Map<string, { versions: readonly string[]; quantity: number }>();
		for (const { slot, quantity } of filling.missing) {
			const { versions = [] } = slotOf.get(slot) ?? {};
			const name = versions.join(' ');
			lacking.set(name, { versions, quantity: (lacking.get(name)?.quantity ?? 0) + quantity });
		}
		for (const [name, want] of lacking) {
			if (want.quantity > (wants.get(name)?.quantity ?? 0)) wants.set(name, want);
		}
	}
	return [...wants.values()];
}

/** Copies that no goal needs, of what is at hand and not out; those that are spare or to sell come first. */
async function spareCopies(db: Reader, states: readonly GoalState[]) {
	const copies = new Map(
		states.flatMap((state) => state.copies.map((copy) => [copy.key, copy] as const))
	);
	const left = spareCards(
		[...copies.values()],
		states.map(({ goal, filling }) => ({
			keepsOwn: resolveRules(goal.rules).keepsOwn,
			placements: filling.placements
		}))
	);
	const out = await outOf(db);
	const rank = { spare: 0, 'to sell': 1, kept: 2, incoming: 3 } as const;
	return [...copies.values()]
		.filter((copy) => isAtHand(copy) || copy.status === 'to sell')
		.map(({ id, key, version, status }) => ({
			...{ id, version, status },
			quantity: (left.get(key) ?? 0) - (out.get(id) ?? 0)
		}))
		.filter(({ quantity }) => quantity > 0)
		.sort((a, b) => rank[a.status] - rank[b.status]);
}

/** What a version is worth: by the price book, or by its neighbours. */
async function valuesOf(
	db: Reader,
	states: readonly GoalState[],
	money: Parameters<typeof finishSlots>[2]
) {
	const keys = [...new Set(states.flatMap((state) => state.releases.map(({ key }) => key)))];
	const heads = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, keys));
	const { points, lumps, problems } = await readPriceBook(
		db,
		new Map(heads.map(({ id, key }) => [id, key])),
		money.currency
	);
	const slots = states.flatMap((state) => finishSlots(state, points, money));
	const estimate = neighbourPrices(slots, [...lumps.values()].flat());
	const slotOf = new Map(
		slots.flatMap((slot) => slot.versions.map((each) => [each, slot] as const))
	);
	const valueOf = (version: string): Pick<TradeOption, 'minor' | 'isEstimated'> => {
		const said = typicalPrice(points.get(version) ?? [], { versions: [version] });
		if (said) return { minor: Math.round(middleOf(said)), isEstimated: false };
		const slot = slotOf.get(version);
		const near = slot ? estimate(slot) : null;
		return { minor: near && Math.round(middleOf(near)), isEstimated: near !== null };
	};
	return { valueOf, problems };
}

/** All spares, as lines "release: cards" and as CSV, to send to friends. */
function sparesToShare(
	all: readonly { readonly version: string; readonly quantity: number }[],
	names: Awaited<ReturnType<typeof nameVersions>>
) {
	const counts = new Map<string, number>();
	for (const { version, quantity } of all) {
		counts.set(version, (counts.get(version) ?? 0) + quantity);
	}
	const rows = [...counts].map(([version, quantity]) => {
		const { card = version, release = '' } = names.get(version) ?? {};
		return { release, card, quantity };
	});
	const byRelease = group(rows, ({ release }) => release);
	const text = [...byRelease]
		.map(
			([release, some]) =>
				`${release}: ${some.map(({ card, quantity }) => (quantity > 1 ? `${card} × ${quantity}` : card)).join(', ')}`
		)
		.join('\n');
	const csv = formatCsv([
		['release', 'card', 'quantity'],
		...rows.map(({ release, card, quantity }) => [release, card, String(quantity)])
	]);
	return { cards: sum(rows, ({ quantity }) => quantity), text, csv };
}
