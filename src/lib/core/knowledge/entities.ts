import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import type { KnowledgeKind } from './knowledge.ts';

/** A thing of a checklist draft with its fields: what is compared, and taken, by its key. */
export interface Entity {
	/** `sections/base`, `sections/base/cards/base-7`, `parallels/brass` */
	readonly path: string;
	readonly kind: KnowledgeKind;
	/** "27 Quiet Harbour Light" */
	readonly name: string;
	readonly fields: Readonly<Record<string, unknown>>;
	/** The path of the list it stands in, and of the entity that holds the list; of the release itself null. */
	readonly list: string | null;
	readonly source: string | null;
	readonly on: string | null;
}

/** Fields that are another kind of knowledge than the thing they are of. */
const KIND_OF_FIELD: Readonly<Record<string, KnowledgeKind>> = {
	odds: 'odds and runs',
	runs: 'odds and runs',
	printRun: 'odds and runs',
	finishes: 'odds and runs',
	guarantees: 'odds and runs',
	priceMinor: 'prices',
	currency: 'prices',
	tells: 'tells',
	howToTell: 'tells',
	look: 'tells'
};

/** The kind of a field of an entity. */
export const kindOfField = (entity: Pick<Entity, 'kind'>, field: string): KnowledgeKind =>
	KIND_OF_FIELD[field] ?? entity.kind;

type Thing = { readonly key?: string };

/** Everything of a draft that has every key, the release first, sections before their cards. */
export function entitiesOf(draft: ReleaseDraft): readonly Entity[] {
	const { key: _, ...head } = draft.release;
	const rarities = draft.rarities ? { rarities: draft.rarities } : {};
	const all = <Item extends Thing>(
		list: string,
		kind: KnowledgeKind,
		things: readonly Item[] | undefined,
		nameOf: (thing: Item) => string
	) => (things ?? []).map((thing) => entityOf(list, kind, thing, nameOf(thing)));
	return [
		{
			...{ path: 'release', kind: 'release', name: head.name, list: null },
			...{ fields: { ...head, ...rarities }, source: null, on: null }
		},
		...all('packTypes', 'odds and runs', draft.packTypes, ({ name }) => `${name} packs`),
		...draft.sections.flatMap(({ cards, ...section }) => [
			entityOf('sections', 'sections', section, section.name),
			...cards.map((card) =>
				entityOf(
					`sections/${section.key ?? ''}/cards`,
					'cards',
					card,
					[card.number, card.title].filter(Boolean).join(' ')
				)
			)
		]),
		...all('parallels', 'finishes', draft.parallels, ({ name }) => name),
		...all(
			'variants',
			'errors and variations',
			draft.variants,
			({ name, kind, cards }) =>
				`${name}, ${kind}${cards?.length === 1 ? ` of ${String(cards[0])}` : ''}`
		),
		...all('collectibles', 'beside the cards', draft.collectibles, ({ name }) => name),
		...all('hunts', 'hunts', draft.hunts, ({ name }) => name)
	];
}

function entityOf(list: string, kind: KnowledgeKind, thing: Thing, name: string): Entity {
	const { key = '', ...fields } = thing;
	const said = fields as { readonly source?: unknown; readonly lastLooked?: unknown };
	return {
		...{ path: `${list}/${key}`, kind, name, fields, list },
		source: typeof said.source === 'string' ? said.source : null,
		on: typeof said.lastLooked === 'string' ? said.lastLooked : null
	};
}
