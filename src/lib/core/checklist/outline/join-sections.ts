import type { Problem } from '../../problem.ts';
import type { CardDraft, SectionDraft } from '../draft/draft.ts';
import { normalCardNumber } from '../numbers/card-number.ts';

/** A section of a draft that has its key. */
export type KeyedSection = SectionDraft & { readonly key: string };

/** A section as a line makes it, with the line. */
export interface MadeSection {
	readonly section: KeyedSection;
	readonly line: number;
}

/**
 * Puts sections that lines make beside those that are there. A line of a section that is there adds to
 * it; a subset takes its numbers over, with all that is known of these cards; what is there stays.
 */
export function joinSections(
	before: readonly KeyedSection[],
	made: readonly MadeSection[],
	problems: Problem[]
): readonly KeyedSection[] {
	const moved = new Map<CardDraft, string>();
	// Of two that two lines begin under one name the first is joined; both stay, and the check tells of them.
	const present = new Map(before.toReversed().map((section) => [section.key, section]));
	const joined = new Map<KeyedSection, KeyedSection>();
	const fresh: KeyedSection[] = [];
	for (const { section, line } of made) {
		const same = present.get(section.key);
		if (same) joined.set(same, joinSection(joined.get(same) ?? same, section, line, problems));
		else fresh.push({ ...section, cards: takeOver(section, before, moved, line, problems) });
	}
	const stays = before.map((origin) => {
		const section = joined.get(origin) ?? origin;
		return moved.size === 0
			? section
			: { ...section, cards: section.cards.filter((card) => !moved.has(card)) };
	});
	return [...stays, ...fresh];
}

/** A section that is there with what a line says of it and the cards that are new. */
function joinSection(
	before: KeyedSection,
	said: KeyedSection,
	line: number,
	problems: Problem[]
): KeyedSection {
	const { key: _, name: _name, kind = 'base', cards, series = [], odds, ...rest } = said;
	if (kind !== (before.kind ?? 'base')) {
		problems.push({
			line,
			message: `${before.name} is there already, as ${before.kind ?? 'base'}`,
			remedy: `Write "${before.kind ?? 'base'} ${before.name}: …" to add to it, or another name.`
		});
	}
	const names = new Set(before.cards.map(nameOf));
	return {
		...before,
		...rest,
		...(series.length > 0 ? { series: [...(before.series ?? []), ...series] } : {}),
		...(odds ? { odds: { ...before.odds, ...odds } } : {}),
		cards: [...before.cards, ...cards.filter((card) => !names.has(nameOf(card)))]
	};
}

/** The cards of a new section: those that its numbering has already, as they are there, and new ones. */
function takeOver(
	section: KeyedSection,
	before: readonly KeyedSection[],
	moved: Map<CardDraft, string>,
	line: number,
	problems: Problem[]
): readonly CardDraft[] {
	const { numberedIn } = section;
	if (numberedIn === undefined) return section.cards;
	const parent = before.find(({ key }) => key === numberedIn);
	const inParent = new Map((parent?.cards ?? []).map((card) => [nameOf(card), card]));
	const hosts = new Map(
		before
			.filter((guest) => guest.numberedIn === numberedIn)
			.flatMap((guest) => guest.cards.map((card) => [nameOf(card), guest.name]))
	);
	return section.cards.map((card) => {
		const name = nameOf(card);
		const known = inParent.get(name);
		const taken = hosts.get(name) ?? (known && moved.get(known));
		if (taken !== undefined) {
			problems.push({
				line,
				message: `${card.number ?? name} is in ${taken} already`,
				remedy: 'Give each number to one section.'
			});
		}
		if (!known) return card;
		moved.set(known, section.name);
		return { ...card, ...known };
	});
}

function nameOf({ number, title }: CardDraft): string {
	return number === undefined || number === null ? `"${title ?? ''}` : normalCardNumber(number);
}
