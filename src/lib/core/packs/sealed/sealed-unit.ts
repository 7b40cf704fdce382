import type { PackType } from '../../checklist/release.ts';

/** What is kept sealed as a whole. */
export const SEALED_UNITS = ['pack', 'box', 'case'] as const;
export type SealedUnit = (typeof SEALED_UNITS)[number];

/**
 * Packs in a sealed unit; null: the release does not say how many there are.
 *
 * @example packsIn('case', { packsPerBox: 36, boxesPerCase: 12 }) // 432
 */
export function packsIn(
	unit: SealedUnit,
	{ packsPerBox, boxesPerCase }: Pick<PackType, 'packsPerBox' | 'boxesPerCase'>
): number | null {
	if (unit === 'pack') return 1;
	if (packsPerBox === undefined) return null;
	if (unit === 'box') return packsPerBox;
	return boxesPerCase === undefined ? null : packsPerBox * boxesPerCase;
}
