import type { Problem } from '$lib/core/problem';
import type { SlipId } from '$lib/core/row-id';
import type { SlipState } from '$lib/core/storage/slips/slip-line';
import type { SlipLine } from '$lib/server/storage/slips/slips';
import { outbox } from '$lib/ui/offline/outbox.svelte';
import { refreshAll } from '$lib/ui/refresh';

/** What may be said of a line that waits. */
export type SlipAnswer = Exclude<SlipState, 'open'>;

interface SlipBookOptions {
	readonly slip: () => SlipId;
	/** As the server knows them: what waits, in walking order. */
	readonly lines: () => readonly SlipLine[];
}

/**
 * A slip that is walked through: each answer goes to the server at once, or waits for the network, and the next line is
 * there all the same.
 */
export function createSlipBook({ slip, lines }: SlipBookOptions) {
	let problems = $state.raw<readonly Problem[]>([]);
	const pathOf = (id: number) => `/api/slips/${slip()}/lines/${id}`;
	/** What was said of lines without a network. */
	const said = $derived(
		new Map(outbox.waiting.map(({ path, body }) => [path, (body as { state?: SlipAnswer }).state]))
	);
	const saidOf = (line: SlipLine) => said.get(pathOf(line.id));
	const todo = $derived.by(() => {
		const left = lines().filter((line) => saidOf(line) === undefined);
		const skipped = lines().filter((line) => saidOf(line) === 'skipped');
		return [...left, ...skipped.map((line): SlipLine => ({ ...line, state: 'skipped' }))];
	});
	const kept = $derived({
		done: lines().filter((line) => saidOf(line) === 'done').length,
		gone: lines().length - todo.length
	});
	return {
		get problems() {
			return problems;
		},
		/** Lines that wait, in walking order; those that were skipped come last. */
		get todo() {
			return todo;
		},
		/** Lines that were answered without a network. */
		get kept() {
			return kept;
		},
		async answer(line: SlipLine, state: SlipAnswer): Promise<void> {
			problems = [];
			const path = pathOf(line.id);
			// What was skipped without a network, and is done now, is sent once.
			const before = outbox.waitingFor(path);
			for (const { id } of before) outbox.drop(id);
			const divider = line.place?.dividerId ?? null;
			const delivery = await outbox.deliver({
				...{ what: `${line.card}: ${state}`, method: 'POST', path },
				body: () => ({ state, divider })
			});
			if (delivery.how === 'refused') ({ problems } = delivery);
			await refreshAll();
		}
	};
}
