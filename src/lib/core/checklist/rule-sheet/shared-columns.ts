import { bad, good } from '../../problem.ts';
import { CARD_SHAPES, type CardFormat } from '../card-format.ts';
import { parseCardSize } from '../parse-card-size.ts';
import type { CardSelector } from '../card-selector.ts';
import { CONFIDENCES, type Evidence } from '../confidence.ts';
import { DIFFICULTY_LEVELS, type Difficulty } from '../difficulty.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { formatOdds, PACK_AND_ODDS, parseOdds, type Odds } from '../odds.ts';
import { choiceColumn, nameOf, namesColumn, readNames, textColumn, type Column } from './column.ts';

/** Odds by pack type: "Hobby 1:6; Retail 1:12". */
export const oddsColumn: Column<{ readonly odds?: readonly Odds[] }> = {
	key: 'odds',
	name: 'Odds',
	hint: 'Hobby 1:6; Retail 2 a pack',
	width: 12,
	write: ({ odds = [] }, { packTypes }) =>
		formatListCell(odds.map((each) => `${nameOf(packTypes, each.packType)} ${formatOdds(each)}`)),
	read: (text, { packTypes }) => {
		const odds: Odds[] = [];
		for (const entry of parseListCell(text)) {
			const [, pack = '', ratio = ''] = PACK_AND_ODDS.exec(entry) ?? [];
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
	),
	{
		key: 'looked',
		name: 'Found',
		hint: '3 of 400',
		width: 8,
		write: ({ lookedAt, found }) =>
			lookedAt === undefined && found === undefined ? '' : `${found ?? '?'} of ${lookedAt ?? '?'}`,
		read: (text) => {
			if (text === '') return good({});
			const [, found, lookedAt] = /^(\d{1,7}|\?)\s+of\s+(\d{1,7}|\?)$/i.exec(text) ?? [];
			return found && lookedAt
				? good({
						...(lookedAt === '?' ? {} : { lookedAt: Number(lookedAt) }),
						...(found === '?' ? {} : { found: Number(found) })
					})
				: bad([{ message: `"${text}" says not how many were found`, remedy: 'Write 3 of 400.' }]);
		}
	}
];

/** How hard it is by experience, and whose that is: "hard; the club's list of 1996". */
export const difficultyColumn: Column<{ readonly difficulty?: Difficulty }> = {
	key: 'difficulty',
	name: 'By experience',
	hint: 'hard; whose experience',
	width: 12,
	write: ({ difficulty }) =>
		difficulty ? formatListCell([difficulty.level, difficulty.source ?? ''].filter(Boolean)) : '',
	read: (text) => {
		const [word, source, more] = parseListCell(text);
		if (word === undefined) return good({});
		const level = DIFFICULTY_LEVELS.find((known) => known === word.toLowerCase());
		return level && more === undefined
			? good({ difficulty: { level, ...(source ? { source } : {}) } })
			: bad([
					{
						message: `"${text}" is no difficulty`,
						remedy: `Use ${DIFFICULTY_LEVELS.join(', ')}; behind a semicolon whose experience it is.`
					}
				]);
	}
};

/** The pack types in which alone something comes. */
export const onlyInColumn: Column<{ readonly onlyIn?: readonly string[] }> = namesColumn(
	{ key: 'onlyIn', name: 'Only in', hint: 'every pack', width: 9 },
	'packTypes',
	({ onlyIn }) => onlyIn,
	(onlyIn) => (onlyIn.length > 0 ? { onlyIn } : {})
);

/** Size in mm, thickness in pt and shape: "63.5 × 88.9 mm; 20 pt; die cut". */
export const formatColumn: Column<{ readonly format?: CardFormat }> = {
	key: 'format',
	name: 'Format',
	hint: '63.5 × 88.9 mm; 20 pt; die cut; or 2.5 × 3.5 in',
	width: 13,
	write: ({ format }) =>
		[
			format?.widthMm !== undefined || format?.heightMm !== undefined
				? `${format.widthMm ?? '?'} × ${format.heightMm ?? '?'} mm`
				: '',
			format?.stockPt === undefined ? '' : `${format.stockPt} pt`,
			format?.shape ?? ''
		]
			.filter(Boolean)
			.join('; '),
	read: (text) => {
		let format: CardFormat = {};
		for (const part of parseListCell(text)) {
			const size = parseCardSize(part);
			const [, stock] = /^([\d.]+)\s*pt$/i.exec(part) ?? [];
			const shape = CARD_SHAPES.find((known) => known === part.toLowerCase());
			if (!size && !stock && !shape) {
				const remedy = `Write size, stock or shape (${CARD_SHAPES.join(', ')}), separated by semicolons.`;
				return bad([{ message: `"${part}" says nothing of a card's make`, remedy }]);
			}
			format = {
				...format,
				...size,
				...(stock ? { stockPt: Number(stock) } : {}),
				...(shape ? { shape } : {})
			};
		}
		return good(Object.keys(format).length > 0 ? { format } : {});
	}
};
