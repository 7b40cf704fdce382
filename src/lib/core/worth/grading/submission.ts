import { GRADES } from '../../copies/condition.ts';
import type { Problem } from '../../problem.ts';

/** Why a card is sent to a house: for a grade, or, graded already, for a new holder because it sits badly in its old one. */
export const SUBMISSION_PURPOSES = ['grade', 're-holder'] as const;
export type SubmissionPurpose = (typeof SUBMISSION_PURPOSES)[number];

/** Cards that go to a house together. Amounts in minor units. */
export interface SubmissionDraft {
	readonly house: string;
	/** What the house calls the service that is chosen. */
	readonly tier: string;
	/** Of each card. */
	readonly feeMinor: number;
	/** Postage and insurance both ways, of all together. */
	readonly postageMinor: number;
	/** ISO 8601 dates; null: nobody has said when they are due. */
	readonly sentOn: string;
	readonly dueOn: string | null;
	readonly cards: readonly SubmittedCard[];
}

/** A card of a submission as it is sent. */
export interface SubmittedCard {
	/** "27 Quiet Harbour Light" */
	readonly name: string;
	readonly purpose: SubmissionPurpose;
	/** null: nothing is said. */
	readonly insuredMinor: number | null;
	/** The grade that its owner thinks it is; null: none is said. */
	readonly estimate: number | null;
	/** It has a grade already. */
	readonly isGraded: boolean;
}

/** What cannot be of a submission, all at once. */
export function checkSubmission(draft: SubmissionDraft): readonly Problem[] {
	const { house, cards, sentOn, dueOn } = draft;
	return [
		...(house.trim() === ''
			? [{ field: 'house', message: 'no house is named', remedy: 'Say who grades them.' }]
			: []),
		...(cards.length === 0
			? [{ field: 'copy', message: 'no copy is chosen', remedy: 'Choose what is sent.' }]
			: []),
		...(dueOn !== null && dueOn < sentOn
			? [{ field: 'dueOn', message: 'it is due before it goes', remedy: 'Name a later day.' }]
			: []),
		...cards.flatMap(({ name, purpose, estimate, isGraded }): readonly Problem[] => [
			...(estimate !== null && !GRADES.includes(estimate)
				? [
						{
							field: 'estimate',
							message: `${name}: ${estimate} is no grade`,
							remedy: 'Grades go from 1 to 10 in halves.'
						}
					]
				: []),
			...(purpose === 're-holder' && !isGraded
				? [
						{
							field: 'purpose',
							message: `${name} has no grade, so it has no holder to be changed`,
							remedy: 'Send it for a grade.'
						}
					]
				: [])
		])
	];
}

/**
 * What a card of a submission costs: its fee and its even part of postage and insurance, in whole minor units. The first cards
 * bear the rest, so that the parts add up.
 *
 * @throws RangeError for no card
 * @example gradingCosts({ feeMinor: 1500, postageMinor: 1000 }, 3) // [1834, 1833, 1833]
 */
export function gradingCosts(
	{ feeMinor, postageMinor }: Pick<SubmissionDraft, 'feeMinor' | 'postageMinor'>,
	cards: number
): readonly number[] {
	if (!(cards >= 1)) throw new RangeError(`gradingCosts: ${cards} cards`);
	const part = Math.floor(postageMinor / cards);
	const rest = postageMinor - part * cards;
	return Array.from({ length: cards }, (_, i) => feeMinor + part + (i < rest ? 1 : 0));
}
