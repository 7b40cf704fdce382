import { Type } from 'typebox';
import { closed } from './vocabulary.ts';

/** How often a backup is made by itself, and how many of these are kept. */
export const BackupRulesSchema = Type.Object(
	{
		everyDays: Type.Integer({ minimum: 0, maximum: 90 }),
		keep: Type.Integer({ minimum: 1, maximum: 100 })
	},
	closed
);
