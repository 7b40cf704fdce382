/** A card that should stand behind a divider is not there; or one stands there that is not recorded. */
export type DiscrepancySort = 'not there' | 'not recorded';

/** What may be answered, by sort; each with the key that answers it. */
export interface DiscrepancyAnswer {
	readonly key: string;
	readonly name: string;
	/** What it does. */
	readonly does: string;
}

export const DISCREPANCY_ANSWERS: Readonly<Record<DiscrepancySort, readonly DiscrepancyAnswer[]>> =
	{
		'not there': [
			{ key: 'f', name: 'Found', does: 'it stands there after all' },
			{ key: 'o', name: 'Out', does: 'it is somewhere: it has no place until it is put away' },
			{ key: 'g', name: 'Gone', does: 'it is taken out of the collection' }
		],
		'not recorded': [
			{ key: 'l', name: 'Log', does: 'it is new, and stands there' },
			{
				key: 'h',
				name: 'Here',
				does: 'it is one that had another place or none: it stands here now'
			},
			{ key: 'n', name: 'No', does: 'it was misread; nothing changes' }
		]
	};
