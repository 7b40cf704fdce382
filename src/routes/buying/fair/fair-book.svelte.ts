import { parseAmount } from '$lib/core/money/amount';
import type { Problem } from '$lib/core/problem';
import { outbox } from '$lib/ui/offline/outbox.svelte';
import { refreshJournal } from '$lib/ui/refresh';

interface Purchase {
	readonly version: string;
	/** In words. */
	readonly called: string;
	/** As it was typed. */
	readonly total: string;
	readonly currency: string;
	readonly from: string;
}

const PATH = '/api/bought';

/** The day here, as a calendar has it: a fair ends before the network is back. */
function today(): string {
	const now = new Date();
	const two = (n: number) => String(n).padStart(2, '0');
	return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** What is bought at a fair: recorded at once, or when the network is back. */
export function createFairBook() {
	let problems = $state.raw<readonly Problem[]>([]);
	let bought = $state.raw<ReadonlySet<string>>(new Set());
	const waiting = $derived(
		new Set(
			outbox.waiting
				.filter(({ path }) => path === PATH)
				.map(({ body }) => (body as { version?: string }).version)
		)
	);
	return {
		get problems() {
			return problems;
		},
		isBought: (version: string) => bought.has(version) || waiting.has(version),
		/** False where it was refused. */
		async buy({ called, total, ...rest }: Purchase): Promise<boolean> {
			problems = [];
			const amount = parseAmount(total, rest.currency);
			if (!amount.ok) {
				({ problems } = amount);
				return false;
			}
			const body = { ...rest, total: total.trim(), on: today() };
			const delivery = await outbox.deliver({
				...{ what: `Bought: ${called}, ${total.trim()}`, method: 'POST', path: PATH },
				body: () => body
			});
			if (delivery.how === 'refused') {
				({ problems } = delivery);
				return false;
			}
			// One that waits is told by what waits: taken back there, it is wanted again.
			if (delivery.how === 'made') bought = new Set([...bought, rest.version]);
			await refreshJournal();
			return true;
		}
	};
}
