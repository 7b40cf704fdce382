import type { Card } from './card.ts';
import type { Section } from './section.ts';

/**
 * The letters to expect along the edge of a card, by its place in the strip: a text, null where its place
 * has none; undefined where nobody knows, or nothing is said of its section or place.
 *
 * @example expectedLettering({ lettering: ['Salt', null] }, { place: 2 }) // null
 */
export function expectedLettering(
	{ lettering = [] }: Pick<Section, 'lettering'>,
	{ place }: Pick<Card, 'place'>
): string | null | undefined {
	const text = place === undefined ? undefined : lettering[place - 1];
	return text === '' ? undefined : text;
}
