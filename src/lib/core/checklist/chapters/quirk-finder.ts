import { pickDetails } from '../card-details.ts';
import type { Card } from '../card.ts';
import { foldCards } from '../fold-runs.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { variantFinder, type Variant } from '../variant.ts';
import type { ChapterQuirk } from './chapter.ts';
import { evidenceOf } from './evidence.ts';

/** Finds the deviations of a section's cards, in the order in which they are recorded. */
export function quirkFinder(release: Release): (section: Section) => readonly ChapterQuirk[] {
	const findVariants = variantFinder(release.variants);
	return (section) => {
		const cards = new Map<Variant, Card[]>();
		for (const card of section.cards) {
			for (const variant of findVariants(section, card)) {
				const list = cards.get(variant);
				if (list) list.push(card);
				else cards.set(variant, [card]);
			}
		}
		return release.variants.flatMap((variant): ChapterQuirk[] => {
			const having = cards.get(variant);
			if (!having) return [];
			return [
				{
					...pickDetails(variant, ['key', 'kind', 'name', 'regularName', 'howToTell', 'believed']),
					...evidenceOf(variant),
					cards:
						having.length === section.cards.length && having.length > 1
							? 'every card'
							: foldCards(having),
					known: having.length
				}
			];
		});
	};
}
