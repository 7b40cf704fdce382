import type { NamedPlan, PlanTold, PlanView } from '$lib/server/buying/plan/plan-view';
import { followWork } from '$lib/ui/follow-work.svelte';

/** A plan that is searched: how far it is, the best so far, and in the end all that stands beside it. */
export function createPlanSearch() {
	let best = $state.raw<NamedPlan | null>(null);
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
		run: work.run,
		cancel: work.cancel
	};
}
