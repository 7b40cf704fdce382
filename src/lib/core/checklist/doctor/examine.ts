import type { Release } from '../release.ts';
import { checkRelease } from '../draft/check-release.ts';
import type { Finding } from './finding.ts';
import { findNumberFaults } from './find-number-faults.ts';
import { findRunFaults } from './find-run-faults.ts';
import { findVariantFaults } from './find-variant-faults.ts';

/** Reads a release and names what cannot be right, and what is odd: what is wrong comes first. */
export function examine(release: Release): readonly Finding[] {
	const misfits = checkRelease(release).map(({ message, pointer = '' }): Finding => ({
		code: 'does not fit',
		weight: 'wrong',
		message,
		pointer,
		cards: []
	}));
	const findings = [
		...misfits,
		...findNumberFaults(release),
		...findRunFaults(release),
		...findVariantFaults(release)
	];
	return [
		...findings.filter(({ weight }) => weight === 'wrong'),
		...findings.filter(({ weight }) => weight === 'odd')
	];
}
