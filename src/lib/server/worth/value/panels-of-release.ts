import { cardsOf, type Release } from '../../../core/checklist/release.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { estimatePrice } from '../../../core/worth/prices/estimate-price.ts';
import { indexPoints } from '../../../core/worth/prices/like-points.ts';
import type { PricePoint } from '../../../core/worth/prices/price-point.ts';
import { panelWorth, type PanelWorth } from '../../../core/worth/value/panel-worth.ts';
import type { WorthCopy, WorthRules } from '../../../core/worth/value/set-worth.ts';

/** A panel with its name, and how many of it are here. */
export interface NamedPanel extends PanelWorth {
	readonly name: string;
	readonly here: number;
}

/** Panels of a release against the singles that they come apart into, at the quality of the copy that is here (else as sold raw). */
export function panelsOfRelease(
	release: Release,
	copies: readonly WorthCopy[],
	points: readonly PricePoint[],
	today: string,
	rules: WorthRules
): readonly NamedPanel[] {
	const index = indexPoints(points);
	const cards = cardsOf(release);
	const versionOf = (card: string) =>
		formatVersionKey({ release: release.key, card, parallel: null, variant: null });
	const keyOf = new Map(
		cards.flatMap(({ card }) =>
			card.panelOf.length > 0
				? []
				: [[card.number ?? card.title, card.key] as const, [card.title, card.key] as const]
		)
	);
	return cards
		.filter(({ card }) => card.panelOf.length > 0)
		.flatMap(({ card }): readonly NamedPanel[] => {
			const version = versionOf(card.key);
			const mine = copies.filter((copy) => copy.version === version);
			const [first] = mine;
			const quality = {
				...(first?.condition === undefined ? {} : { condition: first.condition }),
				...(first?.grade === undefined ? {} : { grade: first.grade })
			};
			const priceOf = (key: string | undefined) =>
				key === undefined
					? null
					: estimatePrice(index, { ...quality, version: versionOf(key) }, today, rules).middleMinor;
			const worth = panelWorth({
				key: version,
				intactMinor: priceOf(card.key),
				singlesMinor: card.panelOf.map((name) => priceOf(keyOf.get(name)))
			});
			const here = mine.reduce((sum, { quantity }) => sum + quantity, 0);
			const isKnown = worth.intactMinor !== null || worth.singlesMinor > 0;
			const name = [card.number, card.title].filter(Boolean).join(' ');
			return here > 0 || isKnown ? [{ ...worth, name, here }] : [];
		});
}
