/** A card that should stand behind a divider is not there; or one stands there that is not recorded. */
export type DiscrepancySort = 'not there' | 'not recorded';

/** What may be answered, by sort; each with the key that answers it. */
/** `found` and `no` change nothing but that the question is closed. */
export type DiscrepancyAct = 'found' | 'out' | 'gone' | 'log' | 'here' | 'no';

export interface DiscrepancyAnswer {
	readonly act: DiscrepancyAct;
	readonly key: string;
	readonly name: string;
	/** What it does. */
	readonly does: string;
}

export const DISCREPANCY_ANSWERS: Readonly<Record<DiscrepancySort, readonly DiscrepancyAnswer[]>> =
	{
		'not there': [
			{ act: 'found', key: 'f', name: 'Found', does: 'it stands there after all' },
			{
				act: 'out',
				key: 'o',
				name: 'Out',
				does: 'it is somewhere: it has no place until it is put away'
			},
			{ act: 'gone', key: 'g', name: 'Gone', does: 'it is taken out of the collection' }
		],
		'not recorded': [
			{ act: 'log', key: 'l', name: 'Log', does: 'it is new, and stands there' },
			{
				act: 'here',
				key: 'h',
				name: 'Here',
				does: 'it is one that had another place or none: it stands here now'
			},
			{ act: 'no', key: 'n', name: 'No', does: 'it was misread; nothing changes' }
		]
	};
