import { variantsOf } from '../checklist/variant.ts';
import type { PileMatch } from './find-on-pile.ts';
import type { PileIndex } from './pile-index.ts';

/** Something to look at before one believes the guess. */
export interface Watch {
	readonly kind: 'variant' | 'same as' | 'other year';
	readonly text: string;
}

/** What to watch for: variants that bear the same number, cards that cannot be told from it, the same number and title in another year. */
export function watchOf(index: PileIndex, { entry, version }: PileMatch): readonly Watch[] {
	const { release } = entry.of;
	const { section, card } = entry.found;
	const variants = (version.variantKey === null ? variantsOf(release.variants, section, card) : [])
		.filter(({ kind }) => kind !== 'piece' && kind !== 'uncorrected')
		.map(({ kind, name, howToTell }): Watch => ({
			kind: 'variant',
			text: [`${kind}: ${name}`, howToTell].filter(Boolean).join('. ')
		}));
	const same = (card.sameAs ?? []).map((key): Watch => ({
		kind: 'same as',
		text: `it cannot be told from ${nameOf(index, key)}`
	}));
	const [number] = entry.numbers;
	const years = (number === undefined ? [] : (index.byNumber.get(number) ?? []))
		.filter(
			(other) => other.of !== entry.of && other.title === entry.title && entry.title.length > 2
		)
		.map(({ of }): Watch => ({
			kind: 'other year',
			text: `${of.release.name} has the same number and title: look which it is`
		}));
	return [...variants, ...same, ...years].filter(
		(watch, i, all) => all.findIndex(({ text }) => text === watch.text) === i
	);
}

/** A card as "release/card" names it. */
function nameOf(index: PileIndex, key: string): string {
	const entry = index.byCard.get(key);
	if (!entry) return key;
	const { number, title } = entry.found.card;
	return `${[number, title].filter(Boolean).join(' ')}, ${entry.of.release.name}`;
}
