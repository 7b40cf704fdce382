import type { Problem } from '../problem.ts';

/** Why a card is out: somebody has it on loan, to look at it, or to grade it. */
export const OUTING_KINDS = ['loan', 'look', 'grading'] as const;
export type OutingKind = (typeof OUTING_KINDS)[number];

/** So many cards of a copy that are out. They keep their place. */
export interface Outing {
	readonly quantity: number;
	readonly kind: OutingKind;
	/** Who has them. */
	readonly to: string;
	/** ISO 8601 date */
	readonly outOn: string;
	/** ISO 8601 date; null: nobody has said. */
	readonly dueOn: string | null;
}

export const OUTING_STATES = ['overdue', 'due soon', 'out'] as const;
export type OutingState = (typeof OUTING_STATES)[number];

/**
 * Whether cards that are out should be here again. Due on a day means by the end of it.
 *
 * @param today ISO 8601 date; @param soon the last day that counts as soon
 * @example outingState({ dueOn: '1996-10-05' }, '1996-10-06', '1996-10-13') // 'overdue'
 */
export function outingState(
	{ dueOn }: Pick<Outing, 'dueOn'>,
	today: string,
	soon: string
): OutingState {
	if (dueOn === null || dueOn > soon) return 'out';
	return dueOn < today ? 'overdue' : 'due soon';
}

/** Cards that are out, the most pressing first: overdue, then by the day they are due, then by the day they went. */
export function compareOutings(
	a: Pick<Outing, 'dueOn' | 'outOn'>,
	b: Pick<Outing, 'dueOn' | 'outOn'>
): number {
	const [first, second] = [a, b].map(({ dueOn, outOn }) => `${dueOn ?? '9999'} ${outOn}`);
	return (first ?? '') < (second ?? '') ? -1 : first === second ? 0 : 1;
}

/**
 * What cannot be of an outing.
 *
 * @param here so many cards of the copy are not out yet
 */
export function checkOuting(
	{ quantity, to, outOn, dueOn }: Omit<Outing, 'kind'>,
	here: number
): readonly Problem[] {
	return [
		...(quantity > here
			? [
					{
						field: 'quantity',
						message: here === 0 ? 'it is out already' : `only ${here} of it are here`,
						remedy: 'Say first that it is back.'
					}
				]
			: []),
		...(to.trim() === ''
			? [{ field: 'to', message: 'nobody is named', remedy: 'Say who has it.' }]
			: []),
		...(dueOn !== null && dueOn < outOn
			? [{ field: 'dueOn', message: 'it is due before it goes', remedy: 'Name a later day.' }]
			: [])
	];
}
