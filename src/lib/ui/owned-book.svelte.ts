import { parseVersionKey } from '$lib/core/checklist/versions/version-key';
import type { Condition } from '$lib/core/copies/condition';
import type { Wanted } from '$lib/core/goal/wall';
import { createReport } from './change-report.svelte';
import { refreshCopies } from './refresh';
import { asLaterOutcome, outbox } from './offline/outbox.svelte';

interface OwnedBookOptions {
	/** Version key → copies, as the server last said. */
	readonly owned: () => readonly (readonly [string, number])[];
	readonly condition?: () => Condition | undefined;
}

const PATH = /^\/api\/releases\/[^/]+\/owned$/;
const pathOf = (release: string) => `/api/releases/${release}/owned`;

/** "harbour-lights-1994: base-27 × 1" */
function whatOf(changes: readonly (Wanted & { readonly was: number })[]): string {
	const [first] = changes;
	const [release = '', card = ''] = (first?.version ?? '').split('/');
	const more = changes.length > 1 ? ` and ${changes.length - 1} more` : '';
	return `${release}: ${card} × ${first?.quantity ?? 0}${more}`;
}

/** What is owned, as it is shown: changes show at once, and go back if the server refuses them. */
export function createOwnedBook({ owned, condition }: OwnedBookOptions) {
	/** Changes on their way to the server. */
	let onTheWay = $state.raw<readonly Wanted[]>([]);
	const report = createReport();
	/** What waits for the network, since before the page was opened as well. */
	const kept = $derived(
		outbox.waiting
			.filter(({ path }) => PATH.test(path))
			.flatMap(({ body }) => (body as { readonly changes?: readonly Wanted[] }).changes ?? [])
	);
	const shown = $derived(
		new Map([
			...owned(),
			...[...kept, ...onTheWay].map(({ version, quantity }) => [version, quantity] as const)
		])
	);

	/** Shows changes until the server has answered and its own figures are there. */
	async function showUntil<Answer>(wanted: readonly Wanted[], answer: Promise<Answer>) {
		onTheWay = [...onTheWay, ...wanted];
		const outcome = await answer;
		await refreshCopies();
		onTheWay = onTheWay.filter((change) => !wanted.includes(change));
		return outcome;
	}

	return {
		showUntil,
		get owned(): ReadonlyMap<string, number> {
			return shown;
		},
		get problems() {
			return report.problems;
		},
		/** The changes are of one release. */
		async setOwned(wanted: readonly Wanted[]) {
			const release = parseVersionKey(wanted[0]?.version ?? '')?.release;
			if (release === undefined) return;
			const word = condition?.();
			// What is changed is the difference from what is shown: another window may have changed it meanwhile.
			const changes = wanted.map((change) => ({ ...change, was: shown.get(change.version) ?? 0 }));
			const delivery = outbox.deliver({
				...{ what: whatOf(changes), method: 'PUT', path: pathOf(release) },
				body: () => ({ changes, ...(word ? { condition: word } : {}) })
			});
			await showUntil(wanted, report.of(asLaterOutcome(delivery)));
		}
	};
}
