import { bad, good } from '../../problem.ts';
import type { CardSelector } from '../card-selector.ts';
import { CONFIDENCES, type Evidence } from '../confidence.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { formatOdds, parseOdds, type Odds } from '../section.ts';
import { choiceColumn, nameOf, namesColumn, readNames, textColumn, type Column } from './column.ts';

/** Odds by pack type: "Hobby 1:6; Retail 1:12". */
export const oddsColumn: Column<{ readonly odds?: readonly Odds[] }> = {
	key: 'odds',
	name: 'Odds',
	hint: 'Hobby 1:6; Retail 1:12',
	width: 12,
	write: ({ odds = [] }, { packTypes }) =>
		formatListCell(odds.map((each) => `${nameOf(packTypes, each.packType)} ${formatOdds(each)}`)),
	read: (text, { packTypes }) => {
		const odds: Odds[] = [];
		for (const entry of parseListCell(text)) {
			const [, pack = '', ratio = ''] = /^(.*?)\s*(\d+:\d+)$/.exec(entry) ?? [];
			const stated = parseOdds(ratio);
			if (!stated) {
				const remedy = 'Write the pack and its odds, for example Hobby 1:6.';
				return bad([{ message: `"${entry}" are no odds of a pack`, remedy }]);
			}
			const named = packTypes.length > 0 ? readNames(pack, packTypes) : good([pack]);
			if (!named.ok) return named;
			const [packType] = named.value;
			if (packType) odds.push({ packType, ...stated });
		}
		return good(odds.length > 0 ? { odds } : {});
	}
};

export const sectionsColumn: Column<CardSelector> = namesColumn(
	{ key: 'sections', name: 'Sections', hint: 'all sections', width: 14 },
	'sections',
	({ sections }) => sections,
	(sections) => ({ sections })
);

/** Which cards of the sections: a range "97–108", or single ones "27; 31; Bread Before Dawn". */
export const cardsColumn: Column<CardSelector> = {
	key: 'cards',
	name: 'Cards',
	hint: 'all, 97–108, or 27; 31',
	width: 10,
	write: ({ from, to, cards }) =>
		cards !== undefined
			? formatListCell(cards)
			: (from ?? to) === undefined
				? ''
				: `${from ?? ''}–${to ?? ''}`,
	read: (text, { isCard }) => {
		// "2-14" is one card where there is such a number, otherwise a range.
		const [, from, to] =
			/^([^\s–]*)\s*–\s*([^\s–]*)$/.exec(text) ??
			(isCard(text) ? null : /^(\S+?)(?:\s*-\s*|\s+to\s+)(\S+)$/.exec(text)) ??
			[];
		if (from || to) return good({ ...(from ? { from } : {}), ...(to ? { to } : {}) });
		const cards = parseListCell(text);
		return good(cards.length > 0 ? { cards } : {});
	}
};

export const evidenceColumns: readonly Column<Evidence>[] = [
	choiceColumn(
		{ key: 'confidence', name: 'How sure', hint: 'certain', width: 8 },
		CONFIDENCES,
		({ confidence }) => confidence,
		(confidence) => ({ confidence })
	),
	textColumn(
		{ key: 'source', name: 'Source', hint: 'where that comes from', width: 12 },
		({ source }) => source,
		(source) => ({ source })
	)
];
