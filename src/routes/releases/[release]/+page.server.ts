import { error, fail, redirect } from '@sveltejs/kit';
import { fillTitles, readTitles } from '$lib/core/checklist/fill-titles';
import { addVariantLine } from '$lib/core/checklist/outline/add-variant-line';
import { bad, good } from '$lib/core/problem';
import { lookAgain, settleHunt } from '$lib/core/checklist/outline/settle-hunt';
import {
	FoundFormSchema,
	LookedFormSchema,
	TitlesFormSchema,
	VariantLineFormSchema
} from '$lib/schemas/forms';
import { readFormOf } from '$lib/server/read-form';
import { theCollection } from '$lib/server/collection';
import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { listGoals } from '$lib/server/goals/read-goals';
import { findRelease } from '$lib/server/releases/load-release';
import { saveRelease } from '$lib/server/checklists/save-release';
import { removeRelease } from '$lib/server/checklists/remove-release';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const id = await findRelease(db, params.release);
	const goals = await listGoals(db);
	return {
		owned: id === null ? [] : [...countOwned(await readCopies(db, id))],
		goals: goals.filter(({ releaseKey }) => releaseKey === params.release)
	};
};

export const actions = {
	/** Records a variant or an error by one line. */
	variant: async ({ params, request }) => {
		const form = await readFormOf(request, VariantLineFormSchema);
		if (!form.ok) return fail(400, { variantProblems: form.problems });
		const { line } = form.value;
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			`record ${line}`,
			(release) => addVariantLine(release, line)
		);
		return outcome.ok ? { variantProblems: [] } : fail(400, { variantProblems: outcome.problems });
	},
	/** Fills in titles from a pasted list; lines that name no card keep all of it out. */
	/** Something hunted was found: its cards and variants are added, and it is hunted no more, in one step. */
	found: async ({ params, request }) => {
		const form = await readFormOf(request, FoundFormSchema);
		if (!form.ok) return fail(400, { huntProblems: form.problems });
		const { hunt, lines } = form.value;
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			'found what was looked for',
			(release) => settleHunt(release, hunt, lines)
		);
		return outcome.ok ? { huntProblems: [] } : fail(400, { huntProblems: outcome.problems });
	},
	/** It was looked for once more, and not found. */
	looked: async ({ params, request }) => {
		const form = await readFormOf(request, LookedFormSchema);
		if (!form.ok) return fail(400, { huntProblems: form.problems });
		const { hunt, where } = form.value;
		const collection = await theCollection();
		const outcome = await saveRelease(
			collection,
			params.release,
			'looked for it again',
			(release) => lookAgain(release, hunt, collection.now().slice(0, 10), where)
		);
		return outcome.ok ? { huntProblems: [] } : fail(400, { huntProblems: outcome.problems });
	},
	titles: async ({ params, request }) => {
		const form = await readFormOf(request, TitlesFormSchema);
		if (!form.ok) return fail(400, { titleProblems: form.problems });
		const { numbering, text } = form.value;
		const { lines, problems } = readTitles(text);
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			'fill in titles',
			(release) => {
				const result = fillTitles(release, numbering, lines);
				const all = [...problems, ...result.problems];
				return all.length > 0 ? bad(all) : good(result.release);
			}
		);
		return outcome.ok ? { titleProblems: [] } : fail(400, { titleProblems: outcome.problems });
	},
	remove: async ({ params }) => {
		if (!(await removeRelease(await theCollection(), params.release))) {
			error(404, 'This release is not in the collection.');
		}
		redirect(303, '/releases');
	}
};
