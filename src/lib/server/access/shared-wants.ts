import {
	compareCardNumbers,
	compareTitles
} from '../../core/checklist/numbers/compare-card-numbers.ts';
import type { FriendRow } from '../../formats/friend-list.ts';
import type { WantsView } from '../buying/wants/read-wants.ts';

/** What a friend is told of a card that is looked for: neither what it may cost, nor how much it matters. */
export interface SharedWant extends FriendRow {
	/** "Base, Brass" */
	readonly group: string;
}

/** The want list as it is shared, by release, part and number: the order of the list itself would tell what matters most. */
export const sharedWants = ({ wants }: Pick<WantsView, 'wants'>): readonly SharedWant[] =>
	wants
		.map(({ release, group, number, title, printing, quantity, leastCondition }) => ({
			...{ release, group, number, title, printing, quantity, condition: leastCondition ?? '' }
		}))
		.sort(
			(a, b) =>
				compareTitles(a.release, b.release) ||
				compareTitles(a.group, b.group) ||
				compareCardNumbers(a.number || null, b.number || null) ||
				compareTitles(a.title, b.title)
		);
