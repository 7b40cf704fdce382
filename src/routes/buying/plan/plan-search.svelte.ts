import type { NamedPlan, PlanTold, PlanView } from '$lib/server/buying/plan/plan-view';
import type { Problem } from '$lib/core/problem';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';
import { followWork } from '$lib/ui/follow-work.svelte';

/** A plan that is searched: how far it is, the best so far, and in the end all that stands beside it. */
export function createPlanSearch() {
	let best = $state.raw<NamedPlan | null>(null);
	/** Sellers of this plan that were ordered at. */
	let ordered = $state.raw<ReadonlySet<string>>(new Set());
	let problems = $state.raw<readonly Problem[]>([]);
	const work = followWork<PlanTold, PlanView>({
		path: '/api/buying/plan',
		stopped: 'The search was stopped: this is the best plan so far.',
		onTold: ({ plan }) => {
			if (plan) best = plan;
		},
		onView: ({ plan }) => (best = plan)
	});
	return {
		get told() {
			return work.told;
		},
		get best() {
			return best;
		},
		/** What stands beside the plan that is shown; null while another one is searched. */
		get view() {
			return work.view?.plan === best ? work.view : null;
		},
		get problem() {
			return work.problem;
		},
		get isRunning() {
			return work.isRunning;
		},
		get ordered() {
			return ordered;
		},
		get problems() {
			return problems;
		},
		run(query: string) {
			ordered = new Set();
			problems = [];
			return work.run(query);
		},
		/** Orders what the plan takes of a seller: from then on it is on its way. */
		async place({ seller, way, lines, bundles }: NamedPlan['orders'][number]) {
			const outcome = await send('POST', '/api/orders', {
				...{ seller: Number(seller), way },
				offers: lines.map(({ offer, quantity }) => ({ offer: Number(offer), quantity })),
				bundles: bundles.map((key) => Number(key.slice(1)))
			});
			problems = outcome.ok ? [] : outcome.problems;
			if (outcome.ok) ordered = new Set([...ordered, seller]);
			await refreshCopies();
		},
		cancel: work.cancel
	};
}
