import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import { normalTitle } from '../shorthand/card-index.ts';
import { bad, good, type Outcome } from '../problem.ts';

/** A card that may be picked for a goal. */
export interface PickableCard {
	readonly key: string;
	readonly number: string | null;
	readonly title: string;
	readonly section: string;
}

/** "27 Nan Gannaway", and its section where others are called the same. */
export function nameCard({ number, title }: PickableCard): string {
	return [number, title].filter(Boolean).join(' ');
}

/** The card that a person means by a number, a title, or both; with several, all of them are named. */
export function pickCard(cards: readonly PickableCard[], text: string): Outcome<PickableCard> {
	const wanted = normalTitle(text);
	const number = normalCardNumber(text.trim());
	const isNothing = wanted === '';
	const byName = cards.filter((card) => !isNothing && normalTitle(nameCard(card)) === wanted);
	const found =
		byName.length > 0
			? byName
			: cards.filter(
					(card) =>
						(card.number !== null && normalCardNumber(card.number) === number) ||
						(!isNothing && normalTitle(card.title) === wanted)
				);
	const [only, ...others] = found;
	if (!only) {
		const remedy = 'Type a number or a title as the checklist has it.';
		return bad([{ message: `no card is called "${text.trim()}"`, remedy }]);
	}
	if (others.length === 0) return good(only);
	const names = found.slice(0, 5).map((card) => `${nameCard(card)} (${card.section})`);
	return bad([
		{
			message: `"${text.trim()}" may be ${names.join(', ')}`,
			remedy: 'Type number and title.'
		}
	]);
}
