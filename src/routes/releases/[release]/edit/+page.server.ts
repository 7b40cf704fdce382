import { fail } from '@sveltejs/kit';
import { applyMend } from '$lib/core/checklist/doctor/apply-mend';
import { examine } from '$lib/core/checklist/doctor/examine';
import { bad, good } from '$lib/core/problem';
import { MendFormSchema } from '$lib/schemas/forms';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';
import { saveRelease } from '$lib/server/checklists/save-release';

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
	}
};
