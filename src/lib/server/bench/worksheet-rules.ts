import {
	USUAL_WORKSHEET_RULES,
	type WorksheetRules
} from '../../core/condition/condition-worksheet.ts';
import { parseLevelLines, parseLimitLines } from '../../core/condition/worksheet-lines.ts';
import { ASPECTS, type Aspect } from '../../core/condition/worksheet-levels.ts';
import type { Condition } from '../../core/copies/condition.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { WorksheetRulesSchema } from '../../schemas/worksheet-rules.ts';
import type { Collection, Reader } from '../database/open.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../preferences/preferences.ts';

const { limits, levels } = USUAL_WORKSHEET_RULES;

/** What a worksheet's word is made by. The usual tables are common practice, no source. */
const WORKSHEET_RULES: Preference<typeof WorksheetRulesSchema> = {
	key: 'worksheet-rules',
	schema: WorksheetRulesSchema,
	usual: {
		limits: limits.map((limit) => ({ ...limit })),
		levels: {
			corners: levels.corners.map((level) => ({ ...level })),
			edges: levels.edges.map((level) => ({ ...level })),
			surface: levels.surface.map((level) => ({ ...level }))
		},
		weakFrom: 'excellent'
	}
};

/** The rules, and from which word on an aspect is weak. */
export async function readWorksheetRules(
	db: Reader
): Promise<WorksheetRules & { readonly weakFrom: Condition }> {
	return readPreference(db, WORKSHEET_RULES);
}

/** The rules as they are typed, a line each. */
export interface TypedWorksheetRules extends Readonly<Record<Aspect, string>> {
	readonly limits: string;
	readonly weakFrom: Condition;
}

/** Sets the rules; with any problem they stay. */
export function setWorksheetRules(
	collection: Collection,
	typed: TypedWorksheetRules
): Promise<Outcome<{ readonly weakFrom: Condition }>> {
	return makeChange(collection, async (record, tx) => {
		const read = {
			corners: parseLevelLines(typed.corners),
			edges: parseLevelLines(typed.edges),
			surface: parseLevelLines(typed.surface)
		};
		const limitLines = parseLimitLines(typed.limits);
		const problems: Problem[] = ASPECTS.flatMap((aspect) => {
			const levelsRead = read[aspect];
			return levelsRead.ok
				? []
				: levelsRead.problems.map((problem) => ({
						...problem,
						message: `${aspect}: ${problem.message}`
					}));
		});
		if (!limitLines.ok) {
			problems.push(
				...limitLines.problems.map((each) => ({ ...each, message: `centring: ${each.message}` }))
			);
		}
		const { corners, edges, surface } = read;
		if (!limitLines.ok || !corners.ok || !edges.ok || !surface.ok) return refused(problems);
		await writePreference(record, tx, WORKSHEET_RULES, {
			limits: limitLines.value.map((limit) => ({ ...limit })),
			levels: {
				corners: corners.value.map((level) => ({ ...level })),
				edges: edges.value.map((level) => ({ ...level })),
				surface: surface.value.map((level) => ({ ...level }))
			},
			weakFrom: typed.weakFrom
		});
		return { value: good({ weakFrom: typed.weakFrom }), label: 'Tolerances of the bench' };
	});
}
