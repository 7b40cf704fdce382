import { refreshJournal } from '$lib/ui/refresh';
import type { NumberedCard } from '$lib/core/checklist/numbering';
import type { Release } from '$lib/core/checklist/release';
import { variantsOf, type Variant } from '$lib/core/checklist/variant';
import { parseVersionKey } from '$lib/core/checklist/versions/version-key';
import type { Condition } from '$lib/core/copies/condition';
import { judgeCard, seatCard, type StackSlot, type Verdict } from '$lib/core/goal/judge-card';
import type { Problem } from '$lib/core/problem';
import { indexCards } from '$lib/core/shorthand/card-index';
import { readShorthand } from '$lib/core/shorthand/read-shorthand';
import { vocabularyOf } from '$lib/core/shorthand/vocabulary';
import { send } from '$lib/ui/send';

/** A card that was taken off the pile. */
export interface StackCard {
	readonly id: number;
	readonly line: string;
	readonly cardKey: string;
	readonly number: string;
	readonly title: string;
	readonly group: string;
	readonly finish: string;
	readonly verdict: Verdict;
	/** Variations that bear the same number: look which one it is. */
	readonly alerts: readonly Variant[];
	/** `failed`: the server refused it; it is not logged. */
	readonly state: 'on the way' | 'logged' | 'failed';
}

interface StackOptions {
	readonly release: Release;
	readonly owned: readonly (readonly [string, number])[];
	readonly slots: readonly StackSlot[];
	readonly synonyms: ReadonlyMap<string, string>;
	readonly pile: number | undefined;
	readonly numberingKey: () => string | null;
	readonly parallelKey: () => string | null;
	readonly condition: () => Condition | undefined;
}

/** A pile that is gone through card by card: judged at once in the page, logged behind it in order. */
export function createStackBook(options: StackOptions) {
	const { release, synonyms, pile } = options;
	const index = indexCards(release);
	const vocabulary = vocabularyOf(release);
	let owned: ReadonlyMap<string, number> = new Map(options.owned);
	let slots = options.slots;
	let taken = $state.raw<readonly StackCard[]>([]);
	let problems = $state.raw<readonly Problem[]>([]);
	let next = 0;
	/** What was before each line, so that it can be taken back. */
	const steps: {
		readonly owned: typeof owned;
		readonly slots: typeof slots;
		readonly ids: readonly number[];
		/** The step of the journal; null where the line was not logged. */
		readonly logged: Promise<number | null>;
	}[] = [];
	const read = (line: string) =>
		readShorthand(line, {
			release,
			index,
			vocabulary,
			synonyms,
			owned,
			numberingKey: options.numberingKey(),
			parallelKey: options.parallelKey(),
			condition: options.condition()
		});

	const settle = (ids: readonly number[], state: StackCard['state']) => {
		taken = taken.map((card) => (ids.includes(card.id) ? { ...card, state } : card));
	};

	return {
		get taken() {
			return taken;
		},
		get last() {
			return taken[0];
		},
		get problems() {
			return problems;
		},
		countOf: (kind: Verdict['kind']) =>
			taken.filter(({ verdict, state }) => verdict.kind === kind && state !== 'failed').length,
		/** Takes what a line names off the pile; false where it is not understood. */
		take(line: string): boolean {
			const reading = read(line);
			problems = reading.problems;
			if (reading.problems.length > 0 || reading.form !== 'list') return false;
			const before = { owned, slots };
			const cards = reading.additions.flatMap((addition) =>
				Array.from({ length: Math.min(addition.quantity, 200) }, () => judge(line, addition))
			);
			const ids = cards.map(({ id }) => id);
			taken = [...cards.reverse(), ...taken];
			steps.push({ ...before, ids, logged: log(line, ids) });
			return true;
		},
		/** Takes back the line that was logged last, and judges as before it. */
		async undo() {
			const step = steps.pop();
			if (!step) return;
			const id = await step.logged;
			const outcome = id === null ? null : await send<unknown>('DELETE', `/api/journal/${id}`);
			if (outcome && !outcome.ok) {
				steps.push(step);
				problems = outcome.problems;
				return;
			}
			({ owned, slots } = step);
			taken = taken.filter(({ id }) => !step.ids.includes(id));
			await refreshJournal();
		}
	};

	function judge(
		line: string,
		{ version, condition }: { readonly version: string; readonly condition?: Condition }
	): StackCard {
		const name = parseVersionKey(version);
		const found = index.numberings
			.flatMap(({ cards }) => cards)
			.find(({ card }) => card.key === name?.card);
		const verdict = judgeCard(version, { condition }, slots, owned.get(version) ?? 0);
		slots = seatCard(slots, verdict, { condition });
		owned = new Map(owned).set(version, (owned.get(version) ?? 0) + 1);
		return {
			id: next++,
			line,
			cardKey: name?.card ?? '',
			number: found?.card.number ?? '',
			title: found?.card.title ?? '',
			group: found?.card.group ?? '',
			finish: release.parallels.find(({ key }) => key === name?.parallel)?.name ?? '',
			verdict,
			alerts: found && !name?.variant ? alertsOf(release, found) : [],
			state: 'on the way'
		};
	}

	async function log(line: string, ids: readonly number[]) {
		const condition = options.condition();
		const outcome = await send<{ step: number | null }>(
			'POST',
			`/api/releases/${release.key}/log`,
			{
				line,
				numbering: options.numberingKey(),
				parallel: options.parallelKey(),
				...(condition ? { condition } : {}),
				...(pile === undefined ? {} : { pile })
			}
		);
		settle(ids, outcome.ok ? 'logged' : 'failed');
		if (!outcome.ok) problems = outcome.problems;
		await refreshJournal();
		return outcome.ok ? outcome.value.step : null;
	}
}

function alertsOf(release: Release, { section, card }: NumberedCard): readonly Variant[] {
	return variantsOf(release.variants, section, card).filter(
		({ kind }) => kind !== 'piece' && kind !== 'uncorrected'
	);
}

export type StackBook = ReturnType<typeof createStackBook>;
