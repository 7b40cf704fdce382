import { eq } from 'drizzle-orm';
import { parseAmount } from '../../core/money/amount.ts';
import type { GoalId, OrderId } from '../../core/row-id.ts';
import type { BuyingDemo } from '../../schemas/buying-demo.ts';
import { chooseGoal } from '../buying/finish/choose-goals.ts';
import { sayPrices } from '../buying/prices/say-prices.ts';
import { sayOffers } from '../buying/offers/say-offers.ts';
import { saveHub, saveSeller } from '../buying/sellers/edit-sellers.ts';
import { placeBid } from '../buying/orders/bids.ts';
import { changeOrder } from '../buying/orders/move-order.ts';
import { placeOrder } from '../buying/orders/place-order.ts';
import { recordPickUp } from '../buying/orders/record-pick-up.ts';
import { markWant } from '../buying/wants/mark-want.ts';
import type { Collection } from '../database/open.ts';
import { goals, offers, sellers as sellerRows } from '../database/tables/index.ts';
import { setFriend } from '../pile/friend-lists.ts';
import { USUAL_CURRENCY as currency } from '../places/holder-tiers.ts';
import type { DemoStep } from './demo-step.ts';
import { must } from './must.ts';

/** What the demo's collector decided to finish, and the prices heard. */
export function buyingSteps({
	choices,
	prices,
	marks,
	sellers,
	hub,
	orders,
	pickUps,
	bids,
	friends
}: BuyingDemo): readonly DemoStep[] {
	return [
		...choices.map(({ at, goal, choice, priority, most }): DemoStep => ({
			when: at,
			take: async (then) => {
				const mostMinor = limitOf(most);
				const decided = { choice, priority, mostMinor };
				const money = { currency: mostMinor === null ? null : currency };
				must(await chooseGoal(then, await goalNamed(then, goal), { ...decided, ...money }));
			}
		})),
		...prices.map(({ at, goal, ...said }): DemoStep => ({
			when: at,
			take: async (then) => must(await sayPrices(then, await goalNamed(then, goal), said))
		})),
		{
			when: hub.at,
			take: async (then) => must(await saveHub(then, { ...hub, currency }))
		},
		...sellers.map(({ at, lines, ...seller }): DemoStep => ({
			when: at,
			take: async (then) => {
				const { id } = must(await saveSeller(then, null, { ...seller, currency }));
				for (const line of lines) must(await sayOffers(then, id, line));
			}
		})),
		...orders.flatMap(({ at, seller, way, versions, then: states }): readonly DemoStep[] => {
			const placed: OrderId[] = [];
			return [
				{
					when: at,
					take: async (then) => {
						const draft = { way, bundles: [], ...(await offersNamed(then, seller, versions)) };
						placed.push(must(await placeOrder(then, draft)).id);
					}
				},
				...states.map(({ at: when, state }): DemoStep => ({
					when,
					take: async (then) => {
						for (const id of placed) must(await changeOrder(then, id, { state }));
					}
				}))
			];
		}),
		...friends.map(({ at, friend, ...lists }): DemoStep => ({
			when: at,
			take: async (then) => must(await setFriend(then, friend, lists))
		})),
		...pickUps.map(({ at, release, line, ...pickUp }): DemoStep => ({
			when: at,
			take: async (then) =>
				must(
					await recordPickUp(then, {
						...{ ...pickUp, currency, by: 'share' },
						cards: { release, line }
					})
				)
		})),
		...bids.map(({ at, ...bid }): DemoStep => ({
			when: at,
			take: async (then) => must(await placeBid(then, { ...bid, currency }))
		})),
		...marks.map(({ at, version, isFavourite, most }): DemoStep => ({
			when: at,
			take: async (then) => {
				const mostMinor = limitOf(most);
				const limit = mostMinor === null ? {} : { mostMinor };
				must(await markWant(then, version, { isFavourite, currency, ...limit }));
			}
		}))
	];
}

function limitOf(most: string): number | null {
	return most === '' ? null : must(parseAmount(most, currency)).minor;
}

/** A seller's offers of some versions, one card of each. */
async function offersNamed({ db }: Collection, name: string, versions: readonly string[]) {
	const [seller] = await db.select().from(sellerRows).where(eq(sellerRows.name, name));
	if (!seller) throw new RangeError(`demo: there is no seller "${name}"`);
	const some = await db.select().from(offers).where(eq(offers.sellerId, seller.id));
	return {
		seller: seller.id,
		offers: versions.map((version) => {
			const offer = some.find((each) => each.version === version);
			if (!offer) throw new RangeError(`demo: ${name} does not offer ${version}`);
			return { offer: offer.id, quantity: 1 };
		})
	};
}

async function goalNamed({ db }: Collection, name: string): Promise<GoalId> {
	const [goal] = await db.select({ id: goals.id }).from(goals).where(eq(goals.name, name));
	if (!goal) throw new RangeError(`demo: there is no goal "${name}"`);
	return goal.id;
}
