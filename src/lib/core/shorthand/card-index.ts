import { normalCardNumber, parseCardNumber, runStem } from '../checklist/card-number.ts';
import { numberingsOf, type NumberedCard, type Numbering } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';

export interface IndexedCard extends NumberedCard {
	readonly numbering: Numbering;
}

/** Finds the cards of a release by what people type. */
export interface CardIndex {
	readonly numberings: readonly Numbering[];
	readonly byNumber: ReadonlyMap<string, readonly IndexedCard[]>;
	readonly byTitle: ReadonlyMap<string, readonly IndexedCard[]>;
	/** Prefixes in use, as printed: "F". */
	readonly prefixes: readonly string[];
}

export function normalTitle(title: string): string {
	return title.normalize('NFKC').replace(/[‘’]/g, "'").replace(/\s+/g, ' ').trim().toLowerCase();
}

export function indexCards(release: Release): CardIndex {
	const byNumber = new Map<string, IndexedCard[]>();
	const byTitle = new Map<string, IndexedCard[]>();
	const prefixes = new Set<string>();
	const numberings = numberingsOf(release);
	for (const numbering of numberings) {
		for (const found of numbering.cards) {
			const indexed = { ...found, numbering };
			const { number, title } = found.card;
			for (const other of [...(number === null ? [] : [number]), ...found.card.otherNumbers]) {
				push(byNumber, normalCardNumber(other), indexed);
			}
			if (number !== null) {
				const { prefix } = parseCardNumber(number);
				if (prefix) prefixes.add(prefix);
			}
			if (title) push(byTitle, normalTitle(title), indexed);
		}
	}
	return { numberings, byNumber, byTitle, prefixes: [...prefixes] };
}

/** The cards of a numbering from one number to another, both of which have the same stem. */
export function cardsBetween(
	numbering: Numbering,
	from: string,
	to: string
): readonly NumberedCard[] {
	const low = parseCardNumber(from);
	const high = parseCardNumber(to);
	const stem = runStem({ ...low, suffix: '' });
	return numbering.cards.filter(({ card }) => {
		if (card.number === null || low.digits === null || high.digits === null) return false;
		const number = parseCardNumber(card.number);
		return (
			number.digits !== null &&
			runStem({ ...number, suffix: '' }) === stem &&
			low.digits <= number.digits &&
			number.digits <= high.digits
		);
	});
}

function push(map: Map<string, IndexedCard[]>, key: string, card: IndexedCard): void {
	const list = map.get(key);
	if (list) list.push(card);
	else map.set(key, [card]);
}
