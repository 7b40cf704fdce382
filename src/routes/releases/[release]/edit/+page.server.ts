import { fail } from '@sveltejs/kit';
import { applyMend } from '$lib/core/checklist/doctor/apply-mend';
import { examine } from '$lib/core/checklist/doctor/examine';
import { bad, good } from '$lib/core/problem';
import { readOutline } from '$lib/core/checklist/outline/read-outline';
import { subjectsOfTitles, withSubjects } from '$lib/core/checklist/subjects-of-titles';
import {
	AddLinesFormSchema,
	MendFormSchema,
	SubjectsFormSchema
} from '$lib/schemas/forms/releases';
import { theCollection } from '$lib/server/collection';
import { readPalette } from '$lib/server/palette/palette';
import { readFormOf } from '$lib/server/read-form';
import { saveRelease } from '$lib/server/checklists/save-release';

export const load = async () => ({ palette: await readPalette((await theCollection()).db) });

export const actions = {
	/** Puts right what the doctor found: the finding is worked out anew and must still be there. */
	mend: async ({ params, request }) => {
		const form = await readFormOf(request, MendFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const wanted = form.value.message;
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			`mend: ${wanted}`,
			(release) => {
				const mend = examine(release).find(({ message }) => message === wanted)?.mend;
				return mend
					? good(applyMend(release, mend))
					: bad([{ message: 'this finding is no longer there', remedy: 'Reload the page.' }]);
			}
		);
		return outcome.ok ? { problems: [] } : fail(400, { problems: outcome.problems });
	},
	/** Adds what lines of an outline say; what is there stays. */
	lines: async ({ params, request }) => {
		const form = await readFormOf(request, AddLinesFormSchema);
		if (!form.ok) return fail(400, { lineProblems: form.problems });
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			'add lines',
			(release) => {
				const reading = readOutline(form.value.lines, release);
				return reading.problems.length > 0 ? bad(reading.problems) : good(reading.release);
			}
		);
		return outcome.ok ? { lineProblems: [] } : fail(400, { lineProblems: outcome.problems });
	},
	/** Takes the subjects of cards from their titles. */
	subjects: async ({ params, request }) => {
		const form = await readFormOf(request, SubjectsFormSchema);
		if (!form.ok) return fail(400, { subjectProblems: form.problems });
		const { separator, section, overwrite } = form.value;
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			'subjects from titles',
			(release) => {
				const found = subjectsOfTitles(release, separator, {
					overwrite: overwrite !== undefined,
					...(section ? { sections: [section] } : {})
				});
				return found.length > 0
					? good(withSubjects(release, found))
					: bad([{ message: 'no title says a subject that its card lacks' }]);
			}
		);
		return outcome.ok ? { subjectProblems: [] } : fail(400, { subjectProblems: outcome.problems });
	}
};
