import type { CardDraft, ReleaseDraft, SectionDraft } from '../checklist/draft/draft.ts';
import { idOfLookAlikes, idOfPicture, idOfPrice } from './compare-knowledge.ts';
import type { Knowledge } from './knowledge.ts';

type Keyed = { readonly key?: string };

/**
 * The knowledge with some differences taken: fields say what theirs do, new things stand where they stand in theirs,
 * behind the one that is before them there. What is not taken stays as it was.
 *
 * @param ids of differences (`compareKnowledge` of the same two)
 * @returns the checklist as it is then, and what of pictures, prices and look-alikes is to be added
 */
export function takeKnowledge(
	mine: Knowledge,
	theirs: Knowledge,
	ids: ReadonlySet<string>
): Knowledge {
	const listed = <Item extends Keyed>(
		list: string,
		has: readonly Item[] | undefined,
		gets: readonly Item[] | undefined
	): { readonly [name: string]: readonly Item[] } => {
		const merged = mergeList(list, has ?? [], gets ?? [], ids, (item, other, path) =>
			withFields(item, other, path, ids)
		);
		return merged.length > 0 ? { [list]: merged } : {};
	};
	const [has, gets] = [mine.checklist, theirs.checklist];
	const head = withFields(
		{ ...has.release, rarities: has.rarities },
		{ ...gets.release, rarities: gets.rarities },
		'release',
		ids
	);
	const { rarities, ...release } = head;
	const checklist = {
		release,
		...(rarities ? { rarities } : {}),
		...listed('packTypes', has.packTypes, gets.packTypes),
		sections: mergeList<SectionDraft>(
			'sections',
			has.sections,
			gets.sections,
			ids,
			(item, other, path) => {
				const { cards, ...rest } = item;
				const { cards: more, ...others } = other;
				return {
					...withFields(rest, others, path, ids),
					cards: mergeList<CardDraft>(`${path}/cards`, cards, more, ids, (card, known, at) =>
						withFields(card, known, at, ids)
					)
				};
			}
		),
		...listed('parallels', has.parallels, gets.parallels),
		...listed('variants', has.variants, gets.variants),
		...listed('collectibles', has.collectibles, gets.collectibles),
		...listed('hunts', has.hunts, gets.hunts)
	} as ReleaseDraft;
	return {
		checklist,
		pictures: theirs.pictures.filter((each) => ids.has(idOfPicture(each))),
		prices: theirs.prices.filter((each) => ids.has(idOfPrice(each))),
		lookAlikes: theirs.lookAlikes.filter((each) => ids.has(idOfLookAlikes(each)))
	};
}

function mergeList<Item extends Keyed>(
	list: string,
	has: readonly Item[],
	gets: readonly Item[],
	ids: ReadonlySet<string>,
	merge: (item: Item, other: Item, path: string) => Item
): readonly Item[] {
	const pathOf = ({ key = '' }: Keyed) => `${list}/${key}`;
	const others = new Map(gets.map((item) => [item.key, item]));
	const merged = has.map((item) => {
		const other = others.get(item.key);
		return other ? merge(item, other, pathOf(item)) : item;
	});
	for (const [i, item] of gets.entries()) {
		if (!ids.has(pathOf(item)) || has.some(({ key }) => key === item.key)) continue;
		const before = gets[i - 1]?.key;
		const place = i === 0 ? 0 : 1 + merged.findIndex(({ key }) => key === before);
		merged.splice(i > 0 && place === 0 ? merged.length : place, 0, item);
	}
	return merged;
}

function withFields<Thing extends object>(
	has: Thing,
	gets: Thing,
	path: string,
	ids: ReadonlySet<string>
): Thing {
	const taken = Object.entries(gets).filter(([field]) => ids.has(`${path}#${field}`));
	return taken.length === 0 ? has : { ...has, ...Object.fromEntries(taken) };
}
