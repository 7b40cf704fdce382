import { bad, good } from '../../problem.ts';
import { formatAmount, parseAmount } from '../../money/amount.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import type { PackCount, PackType } from '../release.ts';
import { guaranteesColumn } from './guarantees-column.ts';
import { countColumn, nameOf, readNames, textColumn, type Column } from './column.ts';

export const PACK_COLUMNS: readonly Column<PackType>[] = [
	textColumn(
		{ key: 'name', name: 'Name', hint: 'Hobby', width: 12 },
		({ name }) => name,
		(name) => ({ name })
	),
	textColumn(
		{ key: 'form', name: 'Form', hint: 'wrapper, blister, tin', width: 12 },
		({ form }) => form,
		(form) => ({ form })
	),
	countColumn(
		{ key: 'cardsPerPack', name: 'Cards a pack', hint: 'not known', width: 8 },
		({ cardsPerPack }) => cardsPerPack,
		(cardsPerPack) => ({ cardsPerPack })
	),
	countColumn(
		{ key: 'packsPerBox', name: 'Packs a box', hint: 'not known', width: 8 },
		({ packsPerBox }) => packsPerBox,
		(packsPerBox) => ({ packsPerBox })
	),
	countColumn(
		{ key: 'boxesPerCase', name: 'Boxes a case', hint: 'not known', width: 8 },
		({ boxesPerCase }) => boxesPerCase,
		(boxesPerCase) => ({ boxesPerCase })
	),
	guaranteesColumn,
	{
		key: 'price',
		name: 'Price of a pack',
		hint: '3.50 EUR',
		width: 10,
		write: ({ priceMinor, currency }) =>
			priceMinor === undefined || currency === undefined
				? ''
				: formatAmount({ minor: priceMinor, currency }),
		read: (text) => {
			if (text === '') return good({});
			const amount = parseAmount(text, null);
			return amount.ok
				? good({ priceMinor: amount.value.minor, currency: amount.value.currency })
				: amount;
		}
	},
	{
		key: 'packs',
		name: 'Made of packs',
		hint: '2 Hobby; 1 Bonus',
		width: 14,
		write: ({ packs = [] }, { packTypes }) =>
			formatListCell(packs.map(({ packType, count }) => `${count} ${nameOf(packTypes, packType)}`)),
		read: (text, { packTypes }) => {
			const packs: PackCount[] = [];
			for (const entry of parseListCell(text)) {
				const [, count, name = ''] = /^([1-9]\d{0,3})\s*[×x]?\s+(.+)$/i.exec(entry) ?? [];
				if (!count) {
					const remedy = 'Write how many of which pack: 2 Hobby; 1 Bonus.';
					return bad([{ message: `"${entry}" says not how many packs`, remedy }]);
				}
				const named = readNames(formatListCell([name]), packTypes);
				if (!named.ok) return named;
				const [packType] = named.value;
				if (packType) packs.push({ packType, count: Number(count) });
			}
			return good(packs.length > 0 ? { packs } : {});
		}
	}
];
