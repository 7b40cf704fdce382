import { normalCardNumber } from '../numbers/card-number.ts';
import type { Card } from '../card.ts';
import type { CardSelector } from '../card-selector.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';

/**
 * A release read anew from a file that carries no keys, under the keys that it has in the collection:
 * a section, parallel or variant of the same name, a card of the same number (or title) in its section.
 * Keys are made of names in a way that has changed, and copies hang on them.
 */
export function keepKeys(before: Release, after: Release): Release {
	const sections = renames(before.sections, after.sections, ({ name }) => name);
	const parallels = renames(before.parallels, after.parallels, ({ name }) => name);
	const variants = renames(before.variants, after.variants, ({ kind, name }) => `${kind} ${name}`);
	const of = (keys: ReadonlyMap<string, string>, key: string) => keys.get(key) ?? key;
	const rule = <Rule extends CardSelector>(selector: Rule): Rule =>
		selector.sections
			? { ...selector, sections: selector.sections.map((key) => of(sections, key)) }
			: selector;
	const old = new Map(before.sections.map((section) => [section.key, section]));
	return {
		...after,
		packTypes: after.packTypes.map(({ guarantees, ...pack }) => ({
			...pack,
			...(guarantees
				? {
						guarantees: guarantees.map((guarantee) => ({
							...rule(guarantee),
							...(guarantee.parallels
								? { parallels: guarantee.parallels.map((key) => of(parallels, key)) }
								: {})
						}))
					}
				: {})
		})),
		sections: after.sections.map((section): Section => {
			const { numberedIn, edition, takesPlaceOf } = section;
			const key = of(sections, section.key);
			const cards = renames(old.get(key)?.cards ?? [], section.cards, nameOfCard);
			return {
				...section,
				key,
				...(takesPlaceOf ? { takesPlaceOf: of(sections, takesPlaceOf) } : {}),
				...(numberedIn ? { numberedIn: of(sections, numberedIn) } : {}),
				...(edition
					? { edition: { ...edition, of: edition.of.map((other) => of(sections, other)) } }
					: {}),
				cards: section.cards.map((card) => ({ ...card, key: of(cards, card.key) }))
			};
		}),
		parallels: after.parallels.map((parallel) => ({
			...parallel,
			key: of(parallels, parallel.key),
			runs: parallel.runs.map(rule)
		})),
		variants: after.variants.map((variant) => ({
			...rule(variant),
			key: of(variants, variant.key),
			...(variant.inParallels
				? { inParallels: variant.inParallels.map((key) => of(parallels, key)) }
				: {}),
			...(variant.finishes
				? {
						finishes: variant.finishes.map((finish) => ({
							...finish,
							parallel: of(parallels, finish.parallel)
						}))
					}
				: {})
		}))
	};
}

function nameOfCard({ number, title }: Card): string {
	return number === null ? `"${title}"` : normalCardNumber(number);
}

/** New key → old key, for what is not there under its new key but by its name; each old key once. */
function renames<Thing extends { readonly key: string }>(
	before: readonly Thing[],
	after: readonly Thing[],
	nameOf: (thing: Thing) => string
): ReadonlyMap<string, string> {
	const kept = new Set(before.map(({ key }) => key));
	const taken = new Set(after.map(({ key }) => key).filter((key) => kept.has(key)));
	const free = new Map<string, string[]>();
	for (const thing of before) {
		if (taken.has(thing.key)) continue;
		const list = free.get(nameOf(thing));
		if (list) list.push(thing.key);
		else free.set(nameOf(thing), [thing.key]);
	}
	return new Map(
		after.flatMap((thing): [string, string][] => {
			const old = kept.has(thing.key) ? undefined : free.get(nameOf(thing))?.shift();
			return old === undefined ? [] : [[thing.key, old]];
		})
	);
}
