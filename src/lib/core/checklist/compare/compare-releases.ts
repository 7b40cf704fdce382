import type { Card } from '../card.ts';
import { wholeSections } from '../edition.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { plainName } from '../slug.ts';
import { meetSections, type Counterpart } from './meet-sections.ts';

/** Two cards laid one above the other, and what brought them together. */
export interface CardPair {
	readonly left: Card | null;
	readonly right: Card | null;
	/** `subject`: the same subject; `place`: the same place in the section; null: one stands alone. */
	readonly by: 'subject' | 'place' | null;
}

export interface SectionPair {
	readonly left: Section | null;
	readonly right: Section | null;
	readonly pairs: readonly CardPair[];
}

/**
 * Lays two releases one above the other. Sections meet as in `meetSections`: by hand, by name, then by kind
 * in their order. Cards of two sections meet by subject (or title, where no subject is given), each once and
 * the first ones first; those left over meet by their place in the section, the rest stand alone.
 */
export function compareReleases(
	left: Release,
	right: Release,
	counterparts: readonly Counterpart[] = []
): readonly SectionPair[] {
	const sides = [left, right].map((release) => ({
		release: release.key,
		sections: wholeSections(release)
	}));
	return meetSections(sides, counterparts).map(({ sections: [above = null, below = null] }) =>
		pairSections(above, below)
	);
}

/** The cards of two sections, laid one above the other. */
export function pairSections(left: Section | null, right: Section | null): SectionPair {
	const lefts = left?.cards ?? [];
	const rights = right?.cards ?? [];
	const partnerOf = new Map<Card, { card: Card; by: 'subject' | 'place' }>();
	const free = new Set(rights);
	const bySubject = new Map<string, Card[]>();
	for (const card of rights) {
		for (const name of namesOf(card)) {
			const list = bySubject.get(name);
			if (list) list.push(card);
			else bySubject.set(name, [card]);
		}
	}
	/** How many of each list are taken from its start: a card is looked at once, whoever else has its name. */
	const passed = new Map<string, number>();
	const firstFree = (name: string): Card | undefined => {
		const list = bySubject.get(name) ?? [];
		let at = passed.get(name) ?? 0;
		for (let card = list[at]; card && !free.has(card); card = list[at]) at++;
		passed.set(name, at);
		return list[at];
	};
	for (const card of lefts) {
		const partner = namesOf(card)
			.flatMap((name) => firstFree(name) ?? [])
			.at(0);
		if (partner) {
			free.delete(partner);
			partnerOf.set(card, { card: partner, by: 'subject' });
		}
	}
	lefts.forEach((card, place) => {
		const other = rights[place];
		if (partnerOf.has(card) || !other || !free.has(other)) return;
		free.delete(other);
		partnerOf.set(card, { card: other, by: 'place' });
	});
	return {
		left,
		right,
		pairs: [
			...lefts.map((card) => {
				const partner = partnerOf.get(card);
				return { left: card, right: partner?.card ?? null, by: partner?.by ?? null };
			}),
			...rights
				.filter((card) => free.has(card))
				.map((card) => ({ left: null, right: card, by: null }))
		]
	};
}

function namesOf(card: Card): readonly string[] {
	const names = card.subjects.length > 0 ? card.subjects : [card.title];
	return names.filter(Boolean).map((name) => plainName(name));
}
