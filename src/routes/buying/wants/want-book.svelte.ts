import type { Priority } from '$lib/core/buying/wants/wants-list';
import type { Condition } from '$lib/core/copies/condition';
import { parseAmount } from '$lib/core/money/amount';
import { createReport } from '$lib/ui/change-report.svelte';
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
	const report = createReport();
	return {
		get problems() {
			return report.problems;
		},
		get told() {
			return report.told;
		},
		async mark(version: string, { most, ...said }: SaidOfWant) {
			const limit = most.trim() === '' ? null : parseAmount(most, currency());
			if (limit && !limit.ok) {
				report.refuse(limit.problems);
				return;
			}
			const mostMinor = limit ? limit.value.minor : null;
			const body = { ...said, version, mostMinor, currency: currency() };
			await report.of(send('PUT', '/api/wants', body));
			await refreshCopies();
		},
		async copy(text: string) {
			try {
				await navigator.clipboard.writeText(text);
				report.say(`Copied: ${text}`);
			} catch {
				report.say(`Select and copy it by hand: ${text}`);
			}
		}
	};
}
