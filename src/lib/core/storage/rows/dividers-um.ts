import type { BoxKind } from '../kinds/box-kind.ts';
import { DIVIDER_UM, USUAL_GIVE } from '../plan/choose-box.ts';

/**
 * What the dividers of a row take, in micrometres. A set alone in its box needs none: its label stands on
 * the front.
 */
export function dividersUm({ rows }: Pick<BoxKind, 'rows'>, dividers: number): number {
	return rows === 1 && dividers <= 1 ? 0 : dividers * DIVIDER_UM;
}

/** How much a row takes when its cards are pressed together as far as they give, in micrometres. */
export function longestRowUm({ rowMm }: Pick<BoxKind, 'rowMm'>): number {
	return rowMm * 1000 * (1 + USUAL_GIVE) + 0.5;
}
