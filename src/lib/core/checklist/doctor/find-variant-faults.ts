import { isNamed } from '../card-selector.ts';
import { cardsOf, type Release } from '../release.ts';
import { variantFinder, type Variant } from '../variant.ts';
import type { Finding } from './finding.ts';

/** Variants that cover nothing, and mirrored errors of which only one half is recorded. */
export function findVariantFaults(release: Release): readonly Finding[] {
	const cards = cardsOf(release);
	const find = variantFinder(release.variants);
	const meantBy = new Map<Variant, (typeof cards)[number][]>(
		release.variants.map((variant) => [variant, []])
	);
	for (const found of cards) {
		for (const variant of find(found.section, found.card)) meantBy.get(variant)?.push(found);
	}
	return release.variants.flatMap((variant, v): Finding[] => {
		const pointer = `/variants/${v}`;
		const meant = meantBy.get(variant) ?? [];
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
			find(other.section, other.card).some(
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
