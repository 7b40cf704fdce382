import { deepEqual } from 'fast-equals';
import { formatMinor } from '../money/minor-units.ts';
import { kindOfField, entitiesOf, type Entity } from './entities.ts';
import { inWords, spaced } from './in-words.ts';
import type {
	Difference,
	Knowledge,
	KnownLookAlikes,
	KnownPicture,
	KnownPrice
} from './knowledge.ts';

/**
 * What another collector knows of a release that is not known here, or otherwise, line by line: a thing that is not
 * there at all is a line, and so is each field of a thing that says something else. What is known here alone is no
 * difference: nothing is taken away.
 *
 * Both bear every key, and things are the same by their keys; prices and pictures by all they say.
 */
export function compareKnowledge(mine: Knowledge, theirs: Knowledge): readonly Difference[] {
	const known = new Map(entitiesOf(mine.checklist).map((entity) => [entity.path, entity]));
	const fresh = new Set<string>();
	return [
		...entitiesOf(theirs.checklist).flatMap((entity): readonly Difference[] => {
			const before = known.get(entity.path);
			if (before) return fieldsOf(before, entity);
			fresh.add(entity.path);
			// The cards of a new section come with it.
			const holder = entity.list?.replace(/\/cards$/, '') ?? '';
			return fresh.has(holder) ? [] : [wholly(entity, theirs)];
		}),
		...added('look-alikes', mine.lookAlikes, theirs.lookAlikes, idOfLookAlikes, (each) => ({
			...{ what: each.name, theirs: each.keys.join(', '), source: null, on: null }
		})),
		...added('pictures', mine.pictures, theirs.pictures, idOfPicture, (each) => ({
			...{ what: `${each.of}: ${each.side}`, theirs: 'a picture' },
			...{ source: each.source ?? null, on: null }
		})),
		...added('prices', mine.prices, theirs.prices, idOfPrice, (each) => ({
			what: `${each.version}: ${each.kind}`,
			theirs: priceInWords(each),
			...{ source: each.source ?? null, on: each.saidOn }
		}))
	];
}

function fieldsOf(before: Entity, { path, name, fields, source, on, ...entity }: Entity) {
	return Object.entries(fields).flatMap(([field, value]): readonly Difference[] => {
		const had = before.fields[field];
		if (value === undefined || deepEqual(had, value)) return [];
		return [
			{
				...{ id: `${path}#${field}`, kind: kindOfField(entity, field) },
				...{ what: `${name}: ${spaced(field)}`, theirs: inWords(value), source, on },
				mine: had === undefined ? null : inWords(had)
			}
		];
	});
}

function wholly({ path, kind, name, fields, source, on }: Entity, { checklist }: Knowledge) {
	const section = checklist.sections.find(({ key }) => `sections/${key ?? ''}` === path);
	const { name: _, number: _number, title: _title, ...rest } = fields;
	const words = [
		section ? `${section.cards.length} ${section.cards.length === 1 ? 'card' : 'cards'}` : '',
		inWords(rest)
	];
	return {
		id: path,
		kind,
		what: name,
		mine: null,
		theirs: words.filter(Boolean).join('; ') || 'on their list',
		source,
		on
	};
}

function added<Thing>(
	kind: Difference['kind'],
	mine: readonly Thing[],
	theirs: readonly Thing[],
	idOf: (thing: Thing) => string,
	say: (thing: Thing) => Pick<Difference, 'what' | 'theirs' | 'source' | 'on'>
): readonly Difference[] {
	const known = new Set(mine.map(idOf));
	return theirs.flatMap((thing): readonly Difference[] => {
		const id = idOf(thing);
		if (known.has(id)) return [];
		known.add(id);
		return [{ id, kind, mine: null, ...say(thing) }];
	});
}

/** Ids are chosen line by line. */
const onOneLine = (id: string): string => id.replace(/\s+/g, ' ');

/** Names under which pictures, prices and look-alikes are the same. */
export const idOfPicture = ({ of, side, hash }: KnownPicture): string =>
	onOneLine(`pictures/${of}/${side}/${hash}`);
export const idOfLookAlikes = ({ keys }: KnownLookAlikes): string =>
	onOneLine(`look-alikes/${[...keys].sort().join(' ')}`);
export const idOfPrice = (price: KnownPrice): string =>
	onOneLine(
		`prices/${[
			...[price.version, price.kind, price.saidOn, price.lowMinor, price.highMinor, price.currency],
			...[price.condition, price.grade, price.isAuthentic, price.house, price.source]
		]
			.map((part) => part ?? '')
			.join('|')}`
	);

function priceInWords({ lowMinor, highMinor, currency, ...said }: KnownPrice): string {
	const [low, high] = [formatMinor(lowMinor, currency), formatMinor(highMinor, currency)];
	return [
		`${low === high ? low : `${low}–${high}`} ${currency}`,
		said.condition,
		said.isAuthentic ? 'authentic' : said.grade === undefined ? undefined : `grade ${said.grade}`,
		said.house
	]
		.filter(Boolean)
		.join(', ');
}
