import type { CopyStatus } from '../../copies/copy-record.ts';
import type { BoxUse } from './box-use.ts';
import { isInRigid } from './holder-kind.ts';

/** What of a copy decides in which kind of box it is kept. */
export interface KeptCopy {
	readonly status: CopyStatus;
	readonly isGraded: boolean;
	/** Whether its owner keeps it apart from all sets. */
	readonly isPersonal: boolean;
	readonly holder: string | null;
	/** Whether it is worth a rigid holder. */
	readonly isValuable: boolean;
}

/** The attribute of a copy that keeps it in the personal collection. */
export const PERSONAL = 'personal';

/**
 * ● Kept apart from the sets: the personal collection, graded cards, what is to sell, valuables in rigid
 * holders. Common practice, no source.
 */
export function useOfCopy(copy: KeptCopy): BoxUse {
	if (copy.isGraded) return 'graded';
	if (copy.isPersonal) return 'personal';
	if (copy.status === 'to sell') return 'to sell';
	return isInRigid(copy.holder) || copy.isValuable ? 'valuables' : 'sets';
}

/** Whether such cards share boxes year by year, whatever a set of them would fill. */
export function isKeptApart(use: BoxUse): boolean {
	return use !== 'sets' && use !== 'personal';
}

/**
 * Whether a card that stands in a box of one use has to leave it, being of another use now: into a rigid holder, or out of one.
 *
 * @example [mustLeave('valuables', 'sets'), mustLeave('to sell', 'sets')] // [true, false]
 */
export function mustLeave(use: BoxUse, boxUse: BoxUse): boolean {
	return (use === 'valuables' && boxUse === 'sets') || (use === 'sets' && boxUse === 'valuables');
}

/** The box kind that copies of a use share, those of sets apart. */
export const SHARED_KIND: Readonly<Record<Exclude<BoxUse, 'sealed packs' | 'supplies'>, string>> = {
	sets: '5000',
	personal: '5000',
	valuables: 'loaders-150',
	graded: 'case-30',
	'to sell': '800'
};
