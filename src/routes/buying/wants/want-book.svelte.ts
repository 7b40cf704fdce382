import type { Priority } from '$lib/core/buying/wants/wants-list';
import type { Condition } from '$lib/core/copies/condition';
import { parseAmount } from '$lib/core/money/amount';
import { createReport } from '$lib/ui/change-report.svelte';
import { refreshCopies } from '$lib/ui/refresh';
import { asOutcome, outbox } from '$lib/ui/offline/outbox.svelte';

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
		/** @param called what the want is called, for whoever reads later that it waits */
		async mark(version: string, called: string, { most, ...said }: SaidOfWant) {
			const limit = most.trim() === '' ? null : parseAmount(most, currency());
			if (limit && !limit.ok) {
				report.refuse(limit.problems);
				return;
			}
			const mostMinor = limit ? limit.value.minor : null;
			const body = { ...said, version, mostMinor, currency: currency() };
			const what = `Wants: ${called}${limit ? `, at most ${most}` : ''}`;
			const delivery = outbox.deliver({
				...{ what, method: 'PUT', path: '/api/wants', body: () => body }
			});
			await report.of(asOutcome(delivery));
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
