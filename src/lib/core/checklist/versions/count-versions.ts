import { narrowness, type CardSelector } from '../card-selector.ts';
import { wholeSections } from '../edition.ts';
import type { Release } from '../release.ts';
import { parallelsOf } from '../variant.ts';

/**
 * At most how many versions a release has, told from its rules without making any: what a few lines may
 * say is far more than they are long. Never less than `expand` gives.
 */
export function countVersionsAtMost(release: Release): number {
	const sizes = new Map(wholeSections(release).map(({ key, cards }) => [key, cards.length]));
	const all = [...sizes.values()].reduce((sum, size) => sum + size, 0);
	const reach = (rule: CardSelector): number => {
		const within = rule.sections
			? rule.sections.reduce((sum, key) => sum + (sizes.get(key) ?? 0), 0)
			: all;
		// A name may stand for a card of each section.
		const named = (rule.cards?.length ?? 0) * Math.max(1, sizes.size);
		return narrowness(rule) === 2 ? Math.min(within, named) : within;
	};
	const finishes = release.parallels.map(({ runs }) =>
		Math.min(
			all,
			runs.reduce((sum, rule) => sum + (rule.notIssued ? 0 : reach(rule)), 0)
		)
	);
	const variants = release.variants.map(
		(variant) => reach(variant) * (1 + parallelsOf(variant).length)
	);
	return [...finishes, ...variants].reduce((sum, count) => sum + count, all);
}
