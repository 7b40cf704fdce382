import { CONDITIONS, type Condition } from './condition.ts';

/** Short words for conditions. Common practice, no source. */
export const SHORT_CONDITIONS: Readonly<Record<string, Condition>> = {
	m: 'mint',
	mt: 'mint',
	nm: 'near mint',
	ex: 'excellent',
	vg: 'very good',
	g: 'good',
	gd: 'good',
	p: 'poor',
	pr: 'poor'
};

/**
 * The condition that a word means, short or in full; null where it means none.
 *
 * @example [conditionOf('NM'), conditionOf('near  mint'), conditionOf('fine')] // ['near mint', 'near mint', null]
 */
export function conditionOf(text: string): Condition | null {
	const word = text.trim().toLowerCase().replace(/\s+/g, ' ');
	if (Object.hasOwn(SHORT_CONDITIONS, word)) return SHORT_CONDITIONS[word] ?? null;
	return CONDITIONS.find((condition) => condition === word) ?? null;
}
