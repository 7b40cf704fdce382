import type { Card } from './card.ts';
import { narrowness, selects, type CardSelector } from './card-selector.ts';
import type { Evidence } from './confidence.ts';
import type { Section } from './section.ts';
import type { Odds } from './odds.ts';
import type { Swatch } from './swatch.ts';
import type { Tell } from './tell.ts';

/** Of which cards a parallel was made, how many of each, and how they came. */
export interface RunRule extends CardSelector, Evidence {
	/** Copies of each card, where they are numbered. */
	readonly printRun?: number;
	readonly odds?: readonly Odds[];
	readonly channel?: string;
	readonly swatch?: Swatch;
	/** An exception: these cards were not made in this finish. */
	readonly notIssued?: true;
}

/** Another finish of cards of a release. */
export interface Parallel {
	readonly key: string;
	readonly name: string;
	readonly channel?: string;
	/** What it looks like: "green foil, matte edge". */
	readonly look?: string;
	readonly howToTell?: string;
	/** What its cards show, instead of what those of their section do. */
	readonly tells?: readonly Tell[];
	/** Key of the finish of the palette that it is: entered once for all releases that have it. */
	readonly palette?: string;
	/** A second base finish (shop stock beside dealer stock), not a rarer one. */
	readonly isBaseFinish?: true;
	readonly stockPt?: number;
	readonly shape?: string;
	readonly runs: readonly RunRule[];
}

/**
 * The rule by which a parallel was made of a card; undefined where it was not. The narrowest rule
 * wins (a card, then a range, then a section), of equals the first; an exception unmakes.
 */
export function runRuleFor(parallel: Parallel, section: Section, card: Card): RunRule | undefined {
	let best: RunRule | undefined;
	for (const rule of parallel.runs) {
		if (best !== undefined && narrowness(rule) <= narrowness(best)) continue;
		if (selects(rule, section, card)) best = rule;
	}
	return best?.notIssued ? undefined : best;
}
