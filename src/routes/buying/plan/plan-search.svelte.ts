import { linesOf } from '$lib/ui/lines-of';
import type { NamedPlan, PlanTold, PlanView } from '$lib/server/buying/plan/plan-view';

/** A plan that is searched: how far it is, the best so far, and in the end all that stands beside it. */
export function createPlanSearch() {
	let told = $state.raw<PlanTold | null>(null);
	let best = $state.raw<NamedPlan | null>(null);
	let view = $state.raw<PlanView | null>(null);
	let problem = $state('');
	let isRunning = $state(false);
	let control: AbortController | null = null;

	async function run(query: string) {
		control?.abort();
		const running = new AbortController();
		control = running;
		[isRunning, problem, told, view] = [true, '', null, null];
		try {
			const response = await fetch(`/api/buying/plan?${query}`, { signal: running.signal });
			for await (const line of linesOf(response)) {
				const said = JSON.parse(line) as PlanTold & {
					readonly view?: PlanView;
					readonly problem?: string;
				};
				if (said.problem !== undefined) problem = said.problem;
				else if (said.view) [view, best] = [said.view, said.view.plan];
				else {
					told = said;
					if (said.plan) best = said.plan;
				}
			}
		} catch {
			if (control !== running) return;
			problem = running.signal.aborted
				? 'The search was stopped: this is the best plan so far.'
				: 'The server does not answer; nothing was changed.';
		}
		if (control === running) isRunning = false;
	}

	return {
		get told() {
			return told;
		},
		get best() {
			return best;
		},
		get view() {
			return view;
		},
		get problem() {
			return problem;
		},
		get isRunning() {
			return isRunning;
		},
		run,
		cancel: () => control?.abort()
	};
}
