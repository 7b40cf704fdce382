import { printingsOf, variantsOf } from '../checklist/variant.ts';
import { candidatesOf } from '../telling/candidates-of.ts';
import { nextQuestion, type Answer, type Question } from '../telling/next-question.ts';
import { judgeMatch, type PileChoice, type PileState } from './judge-pile-card.ts';
import type { PileMatch } from './find-on-pile.ts';
import type { PileIndex } from './pile-index.ts';

/** What is still open of a card that was taken off the pile, where it matters. */
export interface PileQuestion {
	/** What to look at next; null: no tell is left that says more. */
	readonly question: Question | null;
	/** What the card may be, judged, the likeliest first. */
	readonly candidates: readonly { readonly chance: number; readonly choice: PileChoice }[];
	/** Whether the first of them is what it is. */
	readonly isSettled: boolean;
}

/** More versions of a card than one asks about on a pile. */
const MOST_CANDIDATES = 60;

/**
 * What to look at next to know which version of its card lies in the hand: asked only where it matters, that
 * is where the card may be a variant (an error, another picture), or where another finish would go to another
 * goal or pile. A finish that was typed is taken as looked at. Null: nothing is open.
 *
 * @param state as before the card was taken
 */
export function questionOnPile(
	index: PileIndex,
	{ match, condition }: Pick<PileChoice, 'match' | 'condition'>,
	state: PileState,
	answers: readonly Answer[] = []
): PileQuestion | null {
	const { entry, version } = match;
	if (version.variantKey !== null) return null;
	const { card, section, numbering } = entry.found;
	const { release } = entry.of;
	const made = entry.of
		.versionsOf(numbering.key, section, card)
		.filter(
			({ parallelKey }) => version.parallelKey === null || parallelKey === version.parallelKey
		);
	if (made.length < 2 || made.length > MOST_CANDIDATES) return null;
	const judged = new Map(
		made.map((each) => {
			const { serial: _, ...known } = match;
			const said: PileMatch = { ...known, version: each, ...(condition ? { condition } : {}) };
			return [each.key, judgeMatch(index, said, state)] as const;
		})
	);
	const taken = judged.get(version.key);
	if (!taken) return null;
	const matters = [...judged.values()].some(
		(other) => other.match.version.variantKey !== null || outcomeOf(other) !== outcomeOf(taken)
	);
	if (!matters) return null;
	const candidates = candidatesOf(
		made.map((each) => ({ release, section, card, version: each })),
		state.owned
	);
	const telling = nextQuestion(candidates, answers);
	if (!telling.ok) return null;
	const { question, isSettled } = telling.value;
	// Finishes of which no tell is recorded are told by the eye: there is nothing to ask.
	if (question === null && answers.length === 0 && !hasPrintings({ match })) return null;
	return {
		question,
		isSettled,
		candidates: telling.value.candidates.flatMap(({ key, chance }) => {
			const choice = judged.get(key);
			return choice ? [{ chance, choice }] : [];
		})
	};
}

/** Whether the number of a card exists in several printings in its finish, so that its own may be not looked at. */
export function hasPrintings({ match: { entry, version } }: Pick<PileChoice, 'match'>): boolean {
	const { card, section } = entry.found;
	const variants = variantsOf(entry.of.release.variants, section, card);
	return version.variantKey === null && printingsOf(variants, version.parallelKey).length > 0;
}

const outcomeOf = ({ verdict, pile }: PileChoice) =>
	`${verdict.kind} ${'goal' in verdict ? verdict.goal : ''} ${pile.kind} ${pile.name}`;
