import { Type, type Static } from 'typebox';
import { closed } from './vocabulary.ts';

/** By what worth is reckoned, as its owner sets it. */
export const WorthRulesSchema = Type.Object(
	{
		mostSales: Type.Integer({ minimum: 1, maximum: 50, description: '1 to 50 sales.' }),
		oldMonths: Type.Integer({ minimum: 1, maximum: 1200, description: '1 to 1,200 months.' }),
		jump: Type.Number({ minimum: 1.1, maximum: 100, description: 'At least 1.1 times.' }),
		lowerPercent: Type.Number({ minimum: 0, maximum: 100, description: '0 to 100 %.' })
	},
	closed
);
export type WorthRulesKept = Static<typeof WorthRulesSchema>;
