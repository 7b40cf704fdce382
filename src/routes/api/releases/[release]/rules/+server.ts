import { json, type RequestHandler } from '@sveltejs/kit';
import { mergeRuleSheet } from '$lib/core/checklist/rule-sheet/merge-rule-sheet';
import { readRuleSheet, writeRuleSheet } from '$lib/core/checklist/rule-sheet/rule-sheet';
import { good } from '$lib/core/problem';
import { RuleSheetSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { saveRelease } from '$lib/server/checklists/save-release';

/** Replaces the sections, parallels, rules and variants of a release, all of them or none; cards stay. */
export const PUT: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, RuleSheetSchema);
	if (!body.ok) return body.response;
	const { seen, ...sheet } = body.value;
	const outcome = await saveRelease(
		await theCollection(),
		params.release ?? '',
		'edit the rules',
		(release) => {
			const merged = seen ? mergeRuleSheet(seen, sheet, writeRuleSheet(release)) : good(sheet);
			return merged.ok ? readRuleSheet(release, merged.value) : merged;
		}
	);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The rules were not changed.', outcome.problems);
};
