import type { Release } from '$lib/core/checklist/release';
import type { Condition } from '$lib/core/copies/condition';
import type { StackSlot } from '$lib/core/goal/judge-card';
import type { Narrowing } from '$lib/core/pile/find-on-pile';
import { countPiles } from '$lib/core/pile/count-piles';
import { indexPile } from '$lib/core/pile/pile-index';
import {
	afterTaking,
	judgePileCard,
	slotsByVersion,
	type PileChoice,
	type PileJudgement,
	type PileState
} from '$lib/core/pile/judge-pile-card';
import type { Problem } from '$lib/core/problem';
import { readPileRun } from '$lib/core/pile/read-pile-run';
import type { ClassRule } from '$lib/core/storage/classes/storage-class';
import { refreshJournal } from '$lib/ui/refresh';
import { ask, send } from '$lib/ui/send';
import type { PileView } from '$lib/server/pile/read-pile';

/** A card that was taken off the pile. */
export interface TakenCard {
	readonly id: number;
	/** What was typed for it. */
	readonly line: string;
	readonly choice: PileChoice;
	/** What else the line may have meant, this one included. */
	readonly choices: readonly PileChoice[];
	/** `failed`: the server refused it; it is not logged. */
	readonly state: 'on the way' | 'logged' | 'failed';
}

interface PileOptions {
	readonly view: PileView;
	readonly synonyms: ReadonlyMap<string, string>;
	readonly classes: () => readonly ClassRule[];
	/** Id of the pile in the tray. */
	readonly pile: number | undefined;
	readonly narrowing: () => Narrowing;
	readonly condition: () => Condition | undefined;
}

/** A line that was taken, so that it can be taken back. */
interface Step {
	readonly ids: readonly number[];
	/** The step of the journal; null where the line was not logged. */
	readonly logged: Promise<number | null>;
}

/** A mixed pile that is gone through: judged at once in the page, logged behind it in order. */
export function createPileBook({
	view,
	synonyms,
	classes,
	pile,
	narrowing,
	condition
}: PileOptions) {
	let releases = $state.raw<readonly Release[]>(view.releases);
	let owned = $state.raw<ReadonlyMap<string, number>>(new Map(view.owned));
	let slots = $state.raw<readonly StackSlot[]>(view.slots);
	let taken = $state.raw<readonly TakenCard[]>([]);
	let problems = $state.raw<readonly Problem[]>([]);
	let line = $state('');
	let isSearching = $state(false);
	const index = $derived(indexPile(releases));
	const byVersion = $derived(slotsByVersion(slots));
	/** What came off the pile, in the order in which it came; what the server refused did not. */
	const put = $derived(
		taken.toReversed().flatMap(({ choice, state }) => (state === 'failed' ? [] : [choice]))
	);
	const progress = $derived(afterTaking(put));
	const judgement = $derived(judge(line));
	const steps: Step[] = [];
	let next = 0;
	/** Whether another choice is about to take the place of the last one. */
	let isChanging = false;

	function state(): PileState {
		const known = condition();
		return {
			slots: byVersion,
			owned,
			...progress,
			classes: classes(),
			narrowing: narrowing(),
			synonyms,
			...(known ? { condition: known } : {})
		};
	}
	function judge(text: string): PileJudgement {
		return judgePileCard(index, text, state());
	}

	const settle = (ids: readonly number[], now: TakenCard['state']) => {
		taken = taken.map((card) => (ids.includes(card.id) ? { ...card, state: now } : card));
	};

	/** Puts cards on their piles in the page, and logs them behind it. */
	function lay(
		text: string,
		cards: readonly Pick<TakenCard, 'choice' | 'choices'>[],
		path: string,
		body: object
	) {
		const fresh = cards.map((card): TakenCard => ({
			...card,
			id: next++,
			line: text,
			state: 'on the way'
		}));
		const ids = fresh.map(({ id }) => id);
		taken = [...fresh.reverse(), ...taken];
		problems = [];
		const logged = log(ids, path, { ...body, ...(pile === undefined ? {} : { pile }) });
		steps.push({ ids, logged });
	}

	function take(text: string, choice: PileChoice, choices: readonly PileChoice[]) {
		const { match, condition: known } = choice;
		lay(text, [{ choice, choices }], '/api/pile', {
			version: match.version.key,
			...(known ? { condition: known } : {}),
			...(match.serial === undefined ? {} : { serial: match.serial })
		});
	}

	function takeRun(text: string): boolean {
		const run = readPileRun(index, text, state(), put);
		if (!run.ok) {
			problems = run.problems;
			return false;
		}
		const { release, parallel, choices } = run.value;
		const known = condition();
		const cards = choices.map((choice) => ({ choice, choices: [choice] }));
		lay(text, cards, `/api/releases/${encodeURIComponent(release)}/log`, {
			line: text,
			numbering: null,
			parallel,
			...(known ? { condition: known } : {})
		});
		return true;
	}

	async function log(ids: readonly number[], path: string, body: unknown) {
		const outcome = await send<{ step: number | null }>('POST', path, body);
		settle(ids, outcome.ok ? 'logged' : 'failed');
		if (!outcome.ok) problems = outcome.problems;
		await refreshJournal();
		return outcome.ok ? outcome.value.step : null;
	}

	/** Takes back the line that was logged last, and judges as before it. */
	async function undo(): Promise<boolean> {
		const step = steps.pop();
		if (!step) return false;
		const id = await step.logged;
		const outcome = id === null ? null : await send<unknown>('DELETE', `/api/journal/${id}`);
		if (outcome && !outcome.ok) {
			steps.push(step);
			problems = outcome.problems;
			return false;
		}
		taken = taken.filter((card) => !step.ids.includes(card.id));
		await refreshJournal();
		return true;
	}

	return {
		get line() {
			return line;
		},
		set line(text: string) {
			line = text;
			if (problems.length > 0) problems = [];
		},
		get judgement() {
			return judgement;
		},
		get releases() {
			return releases;
		},
		get taken() {
			return taken;
		},
		get problems() {
			return problems;
		},
		get isSearching() {
			return isSearching;
		},
		/** Cards by the pile on which they lie, in the order in which the piles were begun. */
		get piles() {
			return countPiles(put);
		},
		/** Takes what the line means, its n-th choice; false where it means nothing. */
		take(place = 0): boolean {
			const text = line;
			const { choices } = judgement;
			const choice = choices[place];
			if (!choice) {
				if (text.trim() === '' || place > 0 || !takeRun(text)) return false;
			} else take(text, choice, choices);
			line = '';
			return true;
		},
		undo,
		/** The last card was another one that its line may have meant: the next of its choices, round and round. */
		async another() {
			const [last] = taken;
			if (!last || last.choices.length < 2 || isChanging) return;
			const place = last.choices.indexOf(last.choice);
			isChanging = true;
			const isBack = await undo();
			isChanging = false;
			if (!isBack) return;
			// Ranked anew the same choices stand in the same order.
			const { choices } = judge(last.line);
			const choice = choices[(place + 1) % choices.length];
			if (choice) take(last.line, choice, choices);
		},
		/** Asks for releases beyond those of the pile. */
		async search() {
			const text = line;
			if (text.trim() === '' || isSearching) return;
			isSearching = true;
			const { year = '', maker = '' } = narrowing();
			const query = new URLSearchParams({ line: text, year, maker });
			for (const { key } of releases) query.append('known', key);
			const outcome = await ask<PileView>('GET', `/api/pile?${query}`);
			isSearching = false;
			if (!outcome.ok) {
				problems = outcome.problems;
				return;
			}
			const found = outcome.value;
			if (found.releases.length === 0) {
				// Who has gone on meanwhile does not ask any more.
				if (line !== text) return;
				const remedy = 'Try fewer words, or bring its checklist in.';
				problems = [{ message: `no other release has "${text}"`, remedy }];
				return;
			}
			releases = [...releases, ...found.releases];
			owned = new Map([...owned, ...found.owned]);
			const keys = new Set(slots.map(({ goal, key }) => `${goal} ${key}`));
			slots = [...slots, ...found.slots.filter(({ goal, key }) => !keys.has(`${goal} ${key}`))];
		}
	};
}

export type PileBook = ReturnType<typeof createPileBook>;
