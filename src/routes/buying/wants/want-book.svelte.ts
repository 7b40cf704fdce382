import type { Priority } from '$lib/core/buying/wants/wants-list';
import type { Condition } from '$lib/core/copies/condition';
import type { Problem } from '$lib/core/problem';
import { parseAmount } from '$lib/core/worth/amount';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';

/** What is said of a want itself. */
export interface SaidOfWant {
	readonly isFavourite: boolean;
	readonly priority: Priority | null;
	/** As it is typed; empty: no limit of its own. */
	readonly most: string;
	readonly leastCondition: Condition | null;
}

/** Marks on wants, sent as they are made. */
export function createWantBook({ currency }: { readonly currency: () => string }) {
	let problems = $state.raw<readonly Problem[]>([]);
	let told = $state('');
	return {
		get problems() {
			return problems;
		},
		get told() {
			return told;
		},
		async mark(version: string, { most, ...said }: SaidOfWant) {
			const limit = most.trim() === '' ? null : parseAmount(most, currency());
			if (limit && !limit.ok) {
				problems = limit.problems;
				return;
			}
			const outcome = await send('PUT', '/api/wants', {
				...said,
				version,
				mostMinor: limit ? limit.value.minor : null,
				currency: currency()
			});
			problems = outcome.ok ? [] : outcome.problems;
			await refreshCopies();
		},
		async copy(text: string) {
			try {
				await navigator.clipboard.writeText(text);
				told = `Copied: ${text}`;
			} catch {
				told = `Select and copy it by hand: ${text}`;
			}
		}
	};
}
