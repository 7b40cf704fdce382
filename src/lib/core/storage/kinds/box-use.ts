/** What a box is for: sets by year and number, or what is kept apart from them. */
export const BOX_USES = [
	'sets',
	'personal',
	'valuables',
	'graded',
	'to sell',
	'sealed packs',
	'supplies'
] as const;
export type BoxUse = (typeof BOX_USES)[number];
