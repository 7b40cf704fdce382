import type { Card } from './card.ts';
import { runRuleFor, type Parallel } from './parallel.ts';
import { numberingsOf } from './numbering.ts';
import type { Release } from './release.ts';
import type { Section } from './section.ts';
import { formatVersionKey } from './version-key.ts';

/** One collectible thing: a card in one finish. */
export interface Version {
	readonly key: string;
	readonly cardKey: string;
	readonly sectionKey: string;
	/** The section that owns the numbering the card is filed in. */
	readonly numberingKey: string;
	/** null: the base finish */
	readonly parallelKey: string | null;
	/** Copies made, where they are numbered; otherwise null. */
	readonly printRun: number | null;
}

function version(
	release: Release,
	numberingKey: string,
	section: Section,
	card: Card,
	parallel: Parallel | null
): Version {
	const run = parallel ? runRuleFor(parallel, section.key)?.printRun : section.printRun;
	return {
		key: formatVersionKey({
			release: release.key,
			card: card.key,
			parallel: parallel?.key ?? null
		}),
		cardKey: card.key,
		sectionKey: section.key,
		numberingKey,
		parallelKey: parallel?.key ?? null,
		printRun: run ?? null
	};
}

/**
 * Derives every version of a release from its rules: by numbering, then card, the base finish
 * first and the parallels in their order. An empty release has none. A version exists once:
 * rules of one parallel that meet in a section yield one version (the first rule's run).
 */
export function expand(release: Release): readonly Version[] {
	const covering = new Map(
		release.sections.map((section) => [
			section.key,
			release.parallels.filter((parallel) => runRuleFor(parallel, section.key))
		])
	);
	return numberingsOf(release).flatMap((numbering) =>
		numbering.cards.flatMap(({ card, section }) =>
			[null, ...(covering.get(section.key) ?? [])].map((parallel) =>
				version(release, numbering.key, section, card, parallel)
			)
		)
	);
}
