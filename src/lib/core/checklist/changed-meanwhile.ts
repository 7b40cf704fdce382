import type { Problem } from '../problem.ts';
import type { Card } from './card.ts';
import type { CardEdit } from './edit-cards.ts';
import { CARD_COLUMNS } from './rule-sheet/card-columns.ts';
import type { SheetNames } from './rule-sheet/column.ts';

/** Fields that somebody else changed since they were seen, to something else than is asked for now. */
export function changedMeanwhile(
	{ seen, ...edit }: CardEdit,
	card: Card,
	names: SheetNames
): readonly Problem[] {
	if (!seen) return [];
	const textOf = (value: unknown) => (Array.isArray(value) ? value.join('; ') : String(value));
	const line = (['number', 'title', 'group', 'rarity', 'subjects', 'marks'] as const).flatMap(
		(field) =>
			seen[field] === undefined || edit[field] === undefined
				? []
				: [[field, seen[field], edit[field], card[field] ?? ''] as const]
	);
	const cells = Object.entries(seen.record ?? {}).flatMap(([key, text]) => {
		const column = CARD_COLUMNS.find((each) => each.key === key);
		const wanted = edit.record?.[key];
		return column && wanted !== undefined
			? [[column.name, text, wanted, column.write(card, names)] as const]
			: [];
	});
	return [...line, ...cells].flatMap(([field, was, wanted, now]) => {
		const present = textOf(now);
		if (present === textOf(was) || present === textOf(wanted)) return [];
		return [
			{
				field: `${field} of ${card.number ?? card.title}`,
				message: `${field} of ${card.number ?? card.title} was changed meanwhile, to "${present.slice(0, 60)}"`,
				remedy: 'Yours is still in its cell: save again to keep it, or write the other.'
			}
		];
	});
}
