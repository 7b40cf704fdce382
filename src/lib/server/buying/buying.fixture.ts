import type { GoalId, SellerId } from '../../core/row-id.ts';
import { makeGoal } from '../goals/make-goal.ts';
import type { withGulls } from '../gulls.fixture.ts';
import { chooseGoal } from './finish/choose-goals.ts';
import { sayOffers } from './offers/say-offers.ts';
import { planView, type PlanTold } from './plan/plan-view.ts';
import { readPlanChoice } from './plan/read-plan-choice.ts';
import { saveSeller, type SellerDraft } from './sellers/edit-sellers.ts';

/** A seller who sends straight for 5 and of whom nothing else is known, but for what is said. */
export const draft = (name: string, more: Partial<SellerDraft> = {}): SellerDraft => ({
	...{ name, currency: 'EUR', direct: '5', toHub: '', leastOrder: '', note: '' },
	...{ days: null, daysToHub: null, trust: null },
	...more
});

/** Sellers with their offers, goals to finish, and plans, in a collection of gulls. */
export function buyingOn(gulls: ReturnType<typeof withGulls>) {
	const seller = async (
		name: string,
		line: string,
		more: Partial<SellerDraft> = {}
	): Promise<SellerId> => {
		const saved = await saveSeller(gulls.collection, null, draft(name, more));
		if (!saved.ok) throw new RangeError(JSON.stringify(saved.problems));
		const said = await sayOffers(gulls.collection, saved.value.id, { release: 'gulls-1996', line });
		if (!said.ok) throw new RangeError(JSON.stringify(said.problems));
		return saved.value.id;
	};
	const goal = async (sets = 1): Promise<GoalId> => {
		const made = await makeGoal(gulls.collection, {
			...{ release: 'gulls-1996', name: '', rules: { preset: 'base', sets } }
		});
		if (!made.ok) throw new RangeError(JSON.stringify(made.problems));
		const decided = { choice: 'finish', priority: 2, mostMinor: null, currency: null } as const;
		await chooseGoal(gulls.collection, made.value.id, decided);
		return made.value.id;
	};
	const plan = async (query = '') => {
		const told: PlanTold[] = [];
		const choice = readPlanChoice(new URLSearchParams(query), 'EUR');
		if (!choice.ok) throw new RangeError(JSON.stringify(choice.problems));
		const view = await planView(gulls.collection.db, choice.value, (state) => told.push(state));
		const orders = view.plan.orders.map(({ seller: key, way, lines, bundles }) =>
			[
				view.plan.names.sellers[key],
				way,
				...lines.map(({ want }) => view.plan.names.wants[want]?.name),
				...bundles
			].join(' ')
		);
		return { view, orders, told };
	};
	return { seller, goal, plan };
}
