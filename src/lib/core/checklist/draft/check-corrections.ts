import type { Problem } from '../../problem.ts';
import { cardsOf, type Release } from '../release.ts';
import { addedVariants, variantFinder, type Variant } from '../variant.ts';

/**
 * Errors that lines add to cards whose correction was recorded alone: there the regular card is the error.
 * With another error beside it the correction would become the regular card, and the copies of both would
 * be taken for the other.
 *
 * @param before the release to which lines add @param after the release with them
 */
export function checkCorrections(before: Release, after: Release): readonly Problem[] {
	if (!before.variants.some(({ kind }) => kind === 'corrected')) return [];
	const known = variantFinder(before.variants);
	const grown = variantFinder(after.variants);
	const corrections = (variants: readonly Variant[]) =>
		addedVariants(variants, null).filter(({ kind }) => kind === 'corrected');
	return cardsOf(before)
		.flatMap(({ section, card }) => {
			const [alone] = corrections(known(section, card));
			return alone && corrections(grown(section, card)).length === 0 ? [{ alone, card }] : [];
		})
		.slice(0, MOST_TOLD)
		.map(({ alone, card }) => ({
			field: 'variants',
			message: `${card.number ?? card.title} has the correction "${alone.name}": its regular card is the error already`,
			remedy: 'Say there what the regular card is called, instead of adding an error.'
		}));
}

/** More of one kind help nobody. */
const MOST_TOLD = 50;
