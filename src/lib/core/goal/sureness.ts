import type { Card } from '../checklist/card.ts';
import { CONFIDENCES, type Confidence } from '../checklist/confidence.ts';
import { runRuleFor } from '../checklist/parallel.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import type { Version } from '../checklist/versions/expand.ts';

/**
 * Tells whether versions are known to exist as surely as is asked for: a version is as sure as the least
 * sure of its card, section, finish and variant. What says nothing of it is certain.
 */
export function sureness(
	release: Release,
	least: Confidence | undefined
): (version: Version, section: Section, card: Card) => boolean {
	if (least === undefined) return () => true;
	const most = CONFIDENCES.indexOf(least);
	const parallels = new Map(release.parallels.map((parallel) => [parallel.key, parallel]));
	const variants = new Map(release.variants.map((variant) => [variant.key, variant]));
	const isSure = (confidence: Confidence | undefined) =>
		CONFIDENCES.indexOf(confidence ?? 'certain') <= most;
	return ({ parallelKey, variantKey }, section, card) => {
		const parallel = parallels.get(parallelKey ?? '');
		const rule = parallel && runRuleFor(parallel, section, card);
		// That a run is only likely says nothing against the card.
		const finish = rule?.printRun !== undefined && rule.confidence === 'likely' ? undefined : rule;
		return (
			isSure(card.confidence) &&
			isSure(section.confidence) &&
			isSure(finish?.confidence) &&
			isSure(variants.get(variantKey ?? '')?.confidence)
		);
	};
}
