import { Type, type Static } from 'typebox';
import { USUAL_BOX_RULES } from '../../../core/storage/plan/choose-box.ts';
import { BOX_SCHOOLS } from '../../../core/storage/plan/school.ts';
import type { Reader } from '../../database/open.ts';
import { readPreference, type Preference } from '../../preferences/preferences.ts';
import type { RoomRules } from '../../../core/storage/plan/plan-room.ts';

const Percent = Type.Integer({ minimum: 0, maximum: 100 });
const StorageChoiceSchema = Type.Object(
	{
		school: Type.Enum([...BOX_SCHOOLS]),
		fill: Percent,
		have: Percent,
		growth: Percent,
		/** Whether tiny sets stand in small boxes of their own; left out by programs before there were some. */
		small: Type.Optional(Type.Boolean())
	},
	{ additionalProperties: false }
);
/** How a plan is asked for: percentages as whole numbers. */
export type StorageChoice = Static<typeof StorageChoiceSchema>;

/** The choice by which boxes were stood last: new sets join them in the same order. */
export const STORAGE_CHOICE: Preference<typeof StorageChoiceSchema> = {
	key: 'box plan',
	schema: StorageChoiceSchema,
	usual: {
		school: 'year',
		fill: Math.round(100 * USUAL_BOX_RULES.leastFill),
		have: Math.round(100 * USUAL_BOX_RULES.leastHave),
		growth: 50
	}
};

/** The choice out of an address; what is missing there, or no percentage, is as it was last. */
export async function readStorageChoice(
	db: Reader,
	query: URLSearchParams
): Promise<StorageChoice> {
	const last = await readPreference(db, STORAGE_CHOICE);
	const percent = (name: 'fill' | 'have' | 'growth') => {
		const text = query.get(name);
		return text !== null && /^\d{1,3}$/.test(text) && Number(text) <= 100
			? Number(text)
			: last[name];
	};
	return {
		school: BOX_SCHOOLS.find((choice) => choice === query.get('school')) ?? last.school,
		fill: percent('fill'),
		have: percent('have'),
		growth: percent('growth'),
		small: query.get('small') === null ? (last.small ?? false) : query.get('small') === 'yes'
	};
}

export function storageOptions({ school, fill, have, growth, small }: StorageChoice): RoomRules {
	return {
		school,
		smallBoxes: small ?? false,
		growth: growth / 100,
		rules: { ...USUAL_BOX_RULES, leastFill: fill / 100, leastHave: have / 100 }
	};
}
