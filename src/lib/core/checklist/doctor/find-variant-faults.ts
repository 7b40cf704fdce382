import { isNamed } from '../card-selector.ts';
import { cardsOf, type Release } from '../release.ts';
import { variantsOf } from '../variant.ts';
import type { Finding } from './finding.ts';

/** Variants that cover nothing, and mirrored errors of which only one half is recorded. */
export function findVariantFaults(release: Release): readonly Finding[] {
	const cards = cardsOf(release);
	return release.variants.flatMap((variant, v): Finding[] => {
		const pointer = `/variants/${v}`;
		const meant = cards.filter(
			({ section, card }) => variantsOf([variant], section, card).length > 0
		);
		if (meant.length === 0) {
			return [
				{
					code: 'variant covers nothing',
					weight: 'wrong',
					message: `the ${variant.kind} "${variant.name}" is about no card`,
					pointer,
					cards: [],
					mend: { kind: 'remove variant', variant: variant.key }
				}
			];
		}
		const { mirrors } = variant;
		const other =
			mirrors === undefined ? undefined : cards.find(({ card }) => isNamed(card, mirrors));
		const [half] = meant;
		if (mirrors === undefined || !half) return [];
		const otherHalf =
			other &&
			variantsOf(release.variants, other.section, other.card).some(
				(candidate) => candidate.mirrors !== undefined && isNamed(half.card, candidate.mirrors)
			);
		if (otherHalf) return [];
		const { kind, name, howToTell, confidence, source } = variant;
		const halfName = half.card.number ?? half.card.title;
		return [
			{
				code: 'mirrored error by half',
				weight: 'wrong',
				message: `"${name}" of ${halfName} mirrors ${mirrors}, which has no record of it`,
				pointer,
				cards: meant.map(({ card }) => card.key),
				...(other
					? {
							mend: {
								kind: 'add variant' as const,
								variant: {
									kind,
									name,
									sections: [other.section.key],
									cards: [other.card.number ?? other.card.title],
									mirrors: halfName,
									...(howToTell ? { howToTell } : {}),
									...(confidence ? { confidence } : {}),
									...(source ? { source } : {})
								}
							}
						}
					: {})
			}
		];
	});
}
