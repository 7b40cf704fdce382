import { sum } from 'd3-array';
import type { Feature } from './features.ts';
import { RELIABILITIES } from '../checklist/tell.ts';

/**
 * How likely a value is seen, or (-1) another one than any candidate is known to show, if a candidate is
 * what the card is. What nobody knows of it may be any value, or another one. What is misread is read as
 * any of the others.
 */
export function chanceSeen(feature: Feature, candidate: number, value: number): number {
	const { shown, values, reliability } = feature;
	const known = shown[candidate] ?? null;
	if (known === null) return 1 / (values.length + 1);
	const { chance } = RELIABILITIES[reliability];
	return known === value ? chance : (1 - chance) / values.length;
}

/** How likely each candidate is after a value was seen, of these chances before it; null: none shows it. */
export function afterSeeing(
	feature: Feature,
	chances: readonly number[],
	value: number
): readonly number[] | null {
	const joint = chances.map((chance, i) =>
		chance === 0 ? 0 : chance * chanceSeen(feature, i, value)
	);
	const all = sum(joint);
	return all > 0 ? joint.map((chance) => chance / all) : null;
}

/** How unsure one is among candidates, in bits: 0 where one of them is certain. */
export function unsureness(chances: readonly number[]): number {
	return -sum(chances, (chance) => (chance > 0 ? chance * Math.log2(chance) : 0));
}

/** Values that a feature may show, "another one" (-1) where some candidate's is not known or it is misread. */
export function valuesSeen({ values, shown, reliability }: Feature): readonly number[] {
	const isOther = shown.includes(null) || RELIABILITIES[reliability].chance < 1;
	const known = values.map((_, value) => value);
	return isOther ? [...known, -1] : known;
}
