import { bad, good, type Outcome, type Problem } from '../problem.ts';
import { normalCardNumber } from './numbers/card-number.ts';
import type { Card, CardMark } from './card.ts';
import type { Release } from './release.ts';
import { freeKey, slug } from './slug.ts';

/** New values of some fields of a card; what is not named stays. Empty texts take a field away. */
export interface CardEdit {
	readonly card: string;
	readonly number?: string;
	readonly title?: string;
	readonly group?: string;
	readonly rarity?: string;
	readonly subjects?: readonly string[];
	readonly marks?: readonly CardMark[];
}

/** A card to be added at the end of a section. */
export interface CardAddition {
	readonly section: string;
	readonly number: string;
	readonly title: string;
}

export interface CardEdits {
	readonly change: readonly CardEdit[];
	readonly remove: readonly string[];
	readonly add: readonly CardAddition[];
}

/**
 * Changes, removes and adds cards. Keys of changed cards stay, so that copies stay attached. Cards
 * and sections that are not there are problems, all at once; whether the result fits together is
 * checked where it is saved.
 */
export function editCards(release: Release, edits: CardEdits): Outcome<Release> {
	const known = new Map(
		release.sections.flatMap(({ cards }) => cards.map((card) => [card.key, card]))
	);
	const problems: Problem[] = [
		...[...edits.change.map(({ card }) => card), ...edits.remove]
			.filter((key) => !known.has(key))
			.map((key) => ({ field: key, message: `there is no card with the key ${key} to edit` })),
		...edits.add
			.filter(({ section }) => !release.sections.some(({ key }) => key === section))
			.map(({ section }) => ({ field: 'section', message: `there is no section "${section}"` })),
		...edits.add
			.filter(({ number, title }) => number.trim() === '' && title.trim() === '')
			.map(() => ({ field: 'number', message: 'a new card has neither a number nor a title' })),
		...edits.change.flatMap((edit) => emptied(edit, known.get(edit.card)))
	];
	if (problems.length > 0) return bad(problems);
	const changes = new Map(edits.change.map((edit) => [edit.card, edit]));
	const gone = new Set(edits.remove);
	const taken = new Set(known.keys());
	return good({
		...release,
		sections: release.sections.map((section) => ({
			...section,
			cards: [
				...section.cards
					.filter(({ key }) => !gone.has(key))
					.map((card) => applyEdit(card, changes.get(card.key))),
				...edits.add
					.filter((addition) => addition.section === section.key)
					.map((addition) => newCard(addition, section.numberedIn ?? section.key, taken))
			]
		}))
	});
}

function emptied(edit: CardEdit, card: Card | undefined): Problem[] {
	const number = edit.number ?? card?.number ?? '';
	const title = edit.title ?? card?.title ?? '';
	return card && number.trim() === '' && title.trim() === ''
		? [{ field: edit.card, message: `${edit.card} would have neither a number nor a title` }]
		: [];
}

function applyEdit(card: Card, edit: CardEdit | undefined): Card {
	if (!edit) return card;
	const { group: oldGroup, rarity: oldRarity, ...rest } = card;
	const group = (edit.group ?? oldGroup ?? '').trim();
	const rarity = (edit.rarity ?? oldRarity ?? '').trim();
	return {
		...rest,
		...(edit.number === undefined ? {} : { number: edit.number.trim() || null }),
		...(edit.title === undefined ? {} : { title: edit.title.trim() }),
		...(edit.subjects === undefined ? {} : { subjects: edit.subjects }),
		...(edit.marks === undefined ? {} : { marks: edit.marks }),
		...(group ? { group } : {}),
		...(rarity ? { rarity } : {})
	};
}

function newCard({ number, title }: CardAddition, numbering: string, taken: Set<string>): Card {
	const trimmed = number.trim() || null;
	return {
		key: freeKey(`${numbering}-${slug(trimmed ? normalCardNumber(trimmed) : title)}`, taken),
		number: trimmed,
		otherNumbers: [],
		title: title.trim(),
		subjects: [],
		marks: [],
		panelOf: []
	};
}
