import { PRESETS, presetOf, type PresetKey } from '$lib/core/goal/preset';
import { resolveRules, type GoalChoice, type GoalRules } from '$lib/core/goal/goal-rules';
import type { JobSize } from '$lib/core/goal/job-size';
import type { Problem } from '$lib/core/problem';
import type { GoalOptions } from '$lib/server/goals/goal-options';
import { ask } from '$lib/ui/send';

/** The slots that the rules make, as the server counts them. */
export interface SlotCount {
	readonly slots: number;
	readonly skipped: number;
	readonly rows: readonly { readonly name: string; readonly count: number }[];
	/** How big a job it is. */
	readonly size: Omit<JobSize, 'slots'>;
}

/** Rules being decided, with the slots they would make. */
export function createRulesBook(options: () => GoalOptions, start?: GoalChoice) {
	let choice = $state.raw<GoalChoice>(start ?? { preset: 'complete' });
	let counted = $state.raw<SlotCount | null>(null);
	let lacks = $state.raw<readonly Problem[]>([]);
	const rules = $derived(resolveRules(choice));
	let asked = 0;

	$effect(() => {
		const body = { release: options().release.key, rules: choice };
		const mine = ++asked;
		const timer = setTimeout(async () => {
			const outcome = await ask<SlotCount>('POST', '/api/goals/slots', body);
			// An answer to what was asked before comes too late.
			if (mine !== asked) return;
			counted = outcome.ok ? outcome.value : null;
			lacks = outcome.ok ? [] : outcome.problems;
		}, 120);
		return () => clearTimeout(timer);
	});

	return {
		get choice() {
			return choice;
		},
		get rules() {
			return rules;
		},
		get counted() {
			return counted;
		},
		/** What is still to be chosen before there are any slots. */
		get lacks() {
			return lacks;
		},
		/** Takes a school with what it needs chosen for a start. */
		take(preset: PresetKey) {
			const { parallels, cards, subjects, groups } = options();
			const first = {
				nothing: {},
				parallel: { parallels: parallels.slice(0, 1).map(({ key }) => key) },
				card: { picked: cards.slice(0, 1).map(({ key }) => key) },
				subject: { subject: subjects[0] ?? '' },
				group: { group: groups[0] ?? '' },
				cards: { picked: [] }
			}[presetOf(preset).asks];
			choice = { preset, ...first };
		},
		set(change: Partial<GoalRules>) {
			choice = { ...choice, ...change };
		},
		/** Whether a school can be chosen here at all. */
		isPossible(preset: PresetKey): boolean {
			const { parallels, subjects, groups, cards } = options();
			const lists = { parallel: parallels, subject: subjects, group: groups, card: cards, cards };
			const { asks } = presetOf(preset);
			return asks === 'nothing' || lists[asks].length > 0;
		},
		presets: PRESETS
	};
}

export type RulesBook = ReturnType<typeof createRulesBook>;
