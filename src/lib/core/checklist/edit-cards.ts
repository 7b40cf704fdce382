import { bad, good, type Outcome, type Problem } from '../problem.ts';
import { normalCardNumber } from './numbers/card-number.ts';
import type { Card, CardMark } from './card.ts';
import { withoutDetails, type CardDetails } from './card-details.ts';
import { changeNames, repeatedBy, withChange, type Edition } from './edition.ts';
import { changedMeanwhile } from './changed-meanwhile.ts';
import { readCardRecord } from './rule-sheet/card-columns.ts';
import { sheetNamesOf } from './rule-sheet/rule-sheet.ts';
import type { Section } from './section.ts';
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
	/** What is known beside the line, as cells by the keys of `CARD_COLUMNS`. */
	readonly record?: Readonly<Record<string, string>>;
	/** The same fields as they were seen when they were edited; left out: whatever stands in them is replaced. */
	readonly seen?: Omit<CardEdit, 'card' | 'seen'>;
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
 * Changes, removes and adds cards. Keys of changed cards stay, so that copies stay attached. Of a card that
 * an edition repeats, number, title and group become a change of the edition (an empty text: as on the card it
 * repeats), and a card taken away is left out of it; the card it repeats stays. Cards and sections that are not there, and cells that are not
 * understood, are problems, all at once; whether the result fits together is checked where it is saved.
 */
export function editCards(release: Release, edits: CardEdits): Outcome<Release> {
	const known = new Map(
		release.sections.flatMap(({ cards }) => cards.map((card) => [card.key, card]))
	);
	const repeated = repeatedCards(release);
	const problems: Problem[] = [
		...[...edits.change.map(({ card }) => card), ...edits.remove]
			.filter((key) => !known.has(key) && !repeated.has(key))
			.map((key) => ({ field: key, message: `there is no card with the key ${key} to edit` })),
		...edits.add
			.filter(({ section }) => !release.sections.some(({ key }) => key === section))
			.map(({ section }) => ({ field: 'section', message: `there is no section "${section}"` })),
		...edits.add
			.filter(({ number, title }) => number.trim() === '' && title.trim() === '')
			.map(() => ({ field: 'number', message: 'a new card has neither a number nor a title' })),
		...edits.change.flatMap((edit) => emptied(edit, known.get(edit.card))),
		...[...edits.change.map(({ card }) => card), ...edits.remove].flatMap((key) =>
			repeated.get(key)?.name === null
				? [
						{
							field: key,
							message: `${key} is one of several cards of that name: an edition cannot tell them apart`,
							remedy: 'Change them in the sections that it repeats.'
						}
					]
				: []
		),
		...edits.change.flatMap((edit) => (repeated.has(edit.card) ? beyondEdition(edit) : []))
	];
	const names = sheetNamesOf(release);
	for (const edit of edits.change) {
		const card = known.get(edit.card);
		if (card) problems.push(...changedMeanwhile(edit, card, names));
	}
	const records = new Map<string, CardDetails>();
	for (const { card: key, record } of edits.change) {
		const card = known.get(key);
		if (!card || !record) continue;
		const read = readCardRecord(card, record, names);
		if (read.ok) records.set(key, read.value);
		else {
			const name = card.number ?? card.title;
			problems.push(
				...read.problems.map((problem) => ({
					...problem,
					field: `${problem.field ?? ''} of ${name}`
				}))
			);
		}
	}
	if (problems.length > 0) return bad(problems);
	const changes = new Map(edits.change.map((edit) => [edit.card, edit]));
	const gone = new Set(edits.remove);
	const taken = new Set(known.keys());
	return good({
		...release,
		sections: release.sections.map((section) => ({
			...section,
			...editedEdition(section, edits, repeated),
			cards: [
				...section.cards
					.filter(({ key }) => !gone.has(key))
					.map((card) => applyEdit(card, changes.get(card.key), records.get(card.key))),
				...edits.add
					.filter((addition) => addition.section === section.key)
					.map((addition) => newCard(addition, section.numberedIn ?? section.key, taken))
			]
		}))
	});
}

/** A card that an edition repeats; `name`: what its changes call it, null where two are called so. */
interface Repeated {
	readonly section: string;
	readonly card: Card;
	readonly name: string | null;
}

function repeatedCards(release: Release): ReadonlyMap<string, Repeated> {
	return new Map(
		release.sections.flatMap((section) => {
			if (!section.edition) return [];
			const cards = repeatedBy(release, section, section.edition);
			const names = changeNames(cards);
			return cards.map(
				({ card }) =>
					[card.key, { section: section.key, card, name: names.get(card.key) ?? null }] as const
			);
		})
	);
}

/** Fields that an edition takes from the card it repeats. */
function beyondEdition({ card, rarity, subjects, marks, record }: CardEdit): Problem[] {
	return Object.entries({ rarity, subjects, marks, record })
		.filter(([, value]) => value !== undefined)
		.map(([field]) => ({
			field: card,
			message: `an edition takes the ${field} of ${card} from the card that it repeats`,
			remedy: 'Change it there; number, title and group may differ.'
		}));
}

function editedEdition(
	{ key, edition }: Section,
	edits: CardEdits,
	repeated: ReadonlyMap<string, Repeated>
): { readonly edition?: Edition } {
	if (!edition) return {};
	const nameOf = (card: string) => {
		const found = repeated.get(card);
		return found?.section === key ? found.name : null;
	};
	const left = edits.remove.flatMap((card) => nameOf(card) ?? []);
	const changed = edits.change.reduce((before, { card, number, title, group }) => {
		const name = nameOf(card);
		return name === null ? before : withChange(before, { card: name, number, title, group });
	}, edition);
	return {
		edition: left.length > 0 ? { ...changed, without: [...changed.without, ...left] } : changed
	};
}

function emptied(edit: CardEdit, card: Card | undefined): Problem[] {
	const number = edit.number ?? card?.number ?? '';
	const title = edit.title ?? card?.title ?? '';
	return card && number.trim() === '' && title.trim() === ''
		? [{ field: edit.card, message: `${edit.card} would have neither a number nor a title` }]
		: [];
}

function applyEdit(card: Card, edit: CardEdit | undefined, record: CardDetails | undefined): Card {
	if (!edit) return card;
	const known = record ? { ...withoutDetails(card), ...record } : card;
	const { group: oldGroup, rarity: oldRarity, ...rest } = known;
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
