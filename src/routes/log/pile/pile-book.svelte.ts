import type { Condition } from '$lib/core/copies/condition';
import type { Narrowing } from '$lib/core/pile/find-on-pile';
import { countPiles, type PileCount } from '$lib/core/pile/count-piles';
import { at } from '$lib/core/at';
import { choiceOfLaid, laidCard, type LaidCard } from '$lib/core/pile/laid-card';
import {
	afterTaking,
	judgePileCard,
	type PileChoice,
	type PileJudgement,
	type PileState
} from '$lib/core/pile/judge-pile-card';
import { questionOnPile } from '$lib/core/pile/pile-question';
import { bad, type Outcome, type Problem } from '$lib/core/problem';
import { readPileRun } from '$lib/core/pile/read-pile-run';
import type { Keeping } from '$lib/core/storage/classes/keeping';
import type { Answer } from '$lib/core/telling/next-question';
import { outbox, type Delivery } from '$lib/ui/offline/outbox.svelte';
import { refreshJournal } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';
import type { Laid } from '$lib/server/pile/log-pile-cards';
import type { LyingCards } from '$lib/server/pile/read-lying';
import { createPileKnowledge } from './pile-knowledge.svelte';
import type { PileView } from '$lib/server/pile/read-pile';

/** A card that was taken off the pile. */
export interface TakenCard {
	readonly id: number;
	/** What was typed for it. */
	readonly line: string;
	readonly choice: PileChoice;
	/** What else the line may have meant, this one included. */
	readonly choices: readonly PileChoice[];
	/** `kept`: sent when the network is back. `failed`: the server refused it; it is not logged. `earlier`: it lay there when the page was opened. */
	readonly state: 'on the way' | 'kept' | 'logged' | 'failed' | 'earlier';
	/** Which version it is was told by its tells. */
	readonly isLookedAt: boolean;
}

interface PileOptions {
	readonly view: PileView;
	readonly lying: LyingCards;
	readonly synonyms: ReadonlyMap<string, string>;
	readonly keeping: () => Keeping;
	/** Ids of the pile that waits to be logged, and of the one that the cards lie in. */
	readonly from: number | undefined;
	readonly pile: number | undefined;
	readonly narrowing: () => Narrowing;
	readonly condition: () => Condition | undefined;
	/** What stands on the line already; left out: nothing. */
	readonly typed?: string;
}

/** A line that was taken, so that it can be taken back. */
interface Step {
	readonly ids: readonly number[];
	/** The cards as the server knows them; null where the line was not logged. */
	logged: Promise<Laid['cards'] | null>;
	/** Under which it waits for the network; null: it does not. */
	kept: string | null;
}

const cardsOn = (piles: readonly PileCount[]) => piles.reduce((sum, { count }) => sum + count, 0);
const pileKey = ({ kind, name }: Pick<PileCount, 'kind' | 'name'>) => `${kind} ${name}`;

/** A mixed pile that is gone through: judged at once in the page, logged behind it in order. */
export function createPileBook({
	view,
	lying,
	synonyms,
	keeping,
	from,
	pile: begun,
	narrowing,
	condition,
	typed
}: PileOptions) {
	let problems = $state.raw<readonly Problem[]>([]);
	let answers = $state.raw<readonly Answer[]>([]);
	let line = $state(typed ?? '');
	let isSearching = $state(false);
	let next = 0;
	const knowledge = createPileKnowledge(view);
	const index = $derived(knowledge.index);
	const steps: Step[] = [];
	let taken = $state.raw<readonly TakenCard[]>(takeUpKept(takeUp()));
	/** What lay on the piles when the page was opened, less what was taken back of it. */
	let earlier = $state.raw<readonly PileCount[]>(lying.piles);
	let pile = $state(begun);
	/** What came off the pile here, in the order in which it came; what the server refused did not. */
	const put = $derived(choicesOf(taken));
	const question = $derived(questionFor(answers));
	const judgement = $derived(judge(line));

	/** The last cards of an earlier sitting, newest first. */
	function takeUp(): readonly TakenCard[] {
		const cards = lying.last.flatMap(({ id, copyId, line: text, condition: known, ...laid }) => {
			const choice = choiceOfLaid(index, { ...laid, ...(known ? { condition: known } : {}) });
			return choice ? [{ laid: { id, copyId }, text, choice }] : [];
		});
		for (const { laid } of cards.toReversed()) {
			steps.push({ ids: [next++], logged: Promise.resolve([laid]), kept: null });
		}
		return cards.map(({ text, choice }, i): TakenCard => ({
			id: next - 1 - i,
			line: text,
			choice,
			choices: [choice],
			state: 'earlier',
			isLookedAt: false
		}));
	}

	/** With what was taken without a network, and waits for it since before the page was opened. */
	function takeUpKept(before: readonly TakenCard[]): readonly TakenCard[] {
		const kept = outbox.waitingFor('/api/pile').flatMap(({ id, body }) => {
			const { line: text = '', cards = [] } = body as { line?: string; cards?: LaidCard[] };
			const choices = cards.flatMap((laid) => choiceOfLaid(index, laid) ?? []);
			if (choices.length === 0) return [];
			const ids = choices.map(() => next++);
			steps.push({ ids, logged: Promise.resolve(null), kept: id });
			return choices.map((choice, i): TakenCard => ({
				...{ id: at(ids, i), line: text, choice, choices: [choice] },
				...{ state: 'kept', isLookedAt: false }
			}));
		});
		return [...kept.toReversed(), ...before];
	}

	function choicesOf(cards: readonly TakenCard[]): readonly PileChoice[] {
		return cards
			.toReversed()
			.flatMap(({ choice, state }) => (state === 'failed' || state === 'earlier' ? [] : [choice]));
	}
	/** What there is after some cards. */
	function stateAfter(cards: readonly TakenCard[]): PileState {
		const usual = condition();
		const progress = afterTaking(choicesOf(cards));
		const last = cards.find(({ state }) => state !== 'failed');
		return {
			...knowledge.state,
			...progress,
			...(last ? { before: afterTaking([last.choice]).before } : {}),
			keeping: keeping(),
			narrowing: narrowing(),
			synonyms,
			...(usual ? { condition: usual } : {})
		};
	}
	function judge(text: string): PileJudgement {
		return judgePileCard(index, text, stateAfter(taken));
	}
	/** What is open of the card that was taken last, after some answers. */
	function questionFor(given: readonly Answer[]) {
		const [last, ...rest] = taken;
		if (!last || last.isLookedAt || last.state === 'earlier' || last.state === 'failed')
			return null;
		if (steps.at(-1)?.ids.length !== 1) return null;
		return questionOnPile(index, last.choice, stateAfter(rest), given);
	}

	const settle = (ids: readonly number[], now: TakenCard['state']) => {
		taken = taken.map((card) => (ids.includes(card.id) ? { ...card, state: now } : card));
	};
	const lessenEarlier = (card: TakenCard) => {
		if (card.state !== 'earlier') return;
		earlier = earlier.map((known) =>
			pileKey(known) === pileKey(card.choice.pile) ? { ...known, count: known.count - 1 } : known
		);
	};

	/** Logs cards behind the page, in the order in which they came. */
	async function log(
		text: string,
		cards: readonly TakenCard[],
		instead: readonly number[]
	): Promise<Delivery<Laid>> {
		const laid = cards.map(({ choice, isLookedAt }) => laidCard(choice, isLookedAt));
		const delivery = await outbox.deliver<Laid>({
			what: `Pile: ${text}`,
			method: 'POST',
			path: '/api/pile',
			body: () => ({
				line: text.slice(0, 300),
				cards: laid,
				...(instead.length > 0 ? { instead } : {}),
				...(from === undefined ? {} : { from }),
				...(pile === undefined ? {} : { pile }),
				year: narrowing().year ?? '',
				maker: narrowing().maker ?? ''
			})
		});
		if (delivery.how === 'made' && delivery.value) ({ pile } = delivery.value);
		if (delivery.how === 'refused') ({ problems } = delivery);
		await refreshJournal();
		return delivery;
	}

	/** What became of a line: at once, or when the network is back. */
	async function settleStep(step: Step, delivery: Delivery<Laid>): Promise<Laid['cards'] | null> {
		if (delivery.how === 'made') settle(step.ids, 'logged');
		if (delivery.how === 'refused') settle(step.ids, 'failed');
		if (delivery.how !== 'kept')
			return delivery.how === 'made' ? (delivery.value?.cards ?? null) : null;
		step.kept = delivery.id;
		settle(step.ids, 'kept');
		const later = await delivery.later;
		step.kept = null;
		if (later) settle(step.ids, later.ok ? 'logged' : 'failed');
		return later?.ok ? (later.value?.cards ?? null) : null;
	}

	/** Puts cards on their piles in the page, and logs them behind it. */
	function lay(text: string, cards: readonly Pick<TakenCard, 'choice' | 'choices'>[]) {
		const fresh = cards.map((card): TakenCard => ({
			...card,
			id: next++,
			line: text,
			state: 'on the way',
			isLookedAt: false
		}));
		const ids = fresh.map(({ id }) => id);
		taken = [...fresh.toReversed(), ...taken];
		problems = [];
		answers = [];
		const step: Step = { ids, logged: Promise.resolve(null), kept: null };
		step.logged = log(text, fresh, []).then((delivery) => settleStep(step, delivery));
		steps.push(step);
	}

	/** Another version takes the place of the card that was taken last: at once in the page, in one step behind it. */
	function replaceLast(change: Pick<TakenCard, 'choice' | 'choices' | 'isLookedAt'>) {
		const step = steps.at(-1);
		const [last] = taken;
		if (!step || !last || step.ids.length !== 1) return;
		// What waits for the network is taken out of what is sent: it was never logged.
		const isTakenOut = step.kept !== null && outbox.drop(step.kept);
		const before = isTakenOut ? Promise.resolve(null) : step.logged;
		const card: TakenCard = { ...last, ...change, state: 'on the way' };
		taken = [card, ...taken.slice(1)];
		lessenEarlier(last);
		answers = [];
		step.logged = (async () => {
			const known = await before;
			const delivery = await log(last.line, [card], known?.map(({ id }) => id) ?? []);
			if (delivery.how !== 'refused') return settleStep(step, delivery);
			// It stays what it was.
			taken = taken.map((each) => (each.id === last.id ? { ...last, state: 'logged' } : each));
			return known;
		})();
	}

	/** Takes back the line that was logged last, and judges as before it. */
	async function undo(): Promise<boolean> {
		const step = steps.pop();
		if (!step) return false;
		const isTakenOut = step.kept !== null && outbox.drop(step.kept);
		const logged = isTakenOut ? null : await step.logged;
		const outcome =
			logged && (await send('DELETE', '/api/pile', { cards: logged.map(({ id }) => id) }));
		if (outcome && !outcome.ok) {
			steps.push(step);
			problems = outcome.problems;
			return false;
		}
		for (const card of taken.filter(({ id }) => step.ids.includes(id))) lessenEarlier(card);
		taken = taken.filter((card) => !step.ids.includes(card.id));
		answers = [];
		await refreshJournal();
		return true;
	}

	function takeRun(text: string): boolean {
		const run = readPileRun(index, text, stateAfter(taken), put);
		if (run.ok) {
			lay(
				text,
				run.value.map((choice) => ({ choice, choices: [choice] }))
			);
		} else problems = run.problems;
		return run.ok;
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
			return knowledge.releases;
		},
		get index() {
			return index;
		},
		/** Cards that came off the pile since the page was opened, less those of before that were taken back. */
		get count() {
			return put.length + cardsOn(earlier) - cardsOn(lying.piles);
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
		/** Id of the pile that the cards lie in; none before the first is logged. */
		get pile() {
			return pile;
		},
		/** What is open of the card that was taken last; null: nothing. */
		get question() {
			return question;
		},
		/** Cards by the pile on which they lie, in the order in which the piles were begun. */
		get piles(): readonly PileCount[] {
			const counts = new Map(earlier.map((known) => [pileKey(known), known]));
			for (const { count, ...fresh } of countPiles(put)) {
				const known = counts.get(pileKey(fresh));
				counts.set(pileKey(fresh), { ...fresh, count: count + (known?.count ?? 0) });
			}
			return [...counts.values()].filter(({ count }) => count > 0);
		},
		/** Takes what the line means, its n-th choice; false where it means nothing. */
		take(place = 0): boolean {
			const text = line;
			const { choices } = judgement;
			const choice = choices[place];
			if (choice) lay(text, [{ choice, choices }]);
			else if (text.trim() === '' || place > 0 || !takeRun(text)) return false;
			line = '';
			return true;
		},
		undo,
		/** The last card was another one that its line may have meant: the next of its choices, round and round. */
		another() {
			const [last, ...rest] = taken;
			if (!last || last.choices.length < 2) return;
			const place = last.choices.findIndex(
				({ match }) => match.version.key === last.choice.match.version.key
			);
			// Ranked anew the same choices stand in the same order.
			const { choices } = judgePileCard(index, last.line, stateAfter(rest));
			const choice = choices[(place + 1) % choices.length];
			if (choice) replaceLast({ choice, choices, isLookedAt: false });
		},
		/** What was seen of the card that was taken last; null: one cannot tell. Once it is clear, the card is that version. */
		answer(feature: string, value: string | null) {
			const given = [...answers, { feature, value }];
			const after = questionFor(given);
			const [likeliest] = after?.candidates ?? [];
			if (!after?.isSettled || !likeliest) answers = given;
			else this.settle(likeliest.choice);
		},
		/** The card that was taken last is this version: it was looked at. */
		settle(choice: PileChoice) {
			const [last] = taken;
			if (last) replaceLast({ choice, choices: last.choices, isLookedAt: true });
		},
		/** Says more of the card that was taken last; gives the copy it is. */
		async describe(fields: object): Promise<Outcome<{ readonly copyId: number }>> {
			const [card] = (await steps.at(-1)?.logged) ?? [];
			if (!card) return bad([{ message: 'the card is not logged' }]);
			const outcome = await send<{ copyId: number }>('PATCH', `/api/pile/${card.id}`, fields);
			await refreshJournal();
			return outcome;
		},
		/** Asks for releases beyond those of the pile. */
		async search() {
			const text = line;
			if (text.trim() === '' || isSearching) return;
			isSearching = true;
			const outcome = await knowledge.search(text, narrowing());
			isSearching = false;
			if (!outcome.ok) problems = outcome.problems;
			// Who has gone on meanwhile does not ask any more.
			else if (outcome.value === 0 && line === text) {
				const remedy = 'Try fewer words, or bring its checklist in.';
				problems = [{ message: `no other release has "${text}"`, remedy }];
			}
		}
	};
}

export type PileBook = ReturnType<typeof createPileBook>;
