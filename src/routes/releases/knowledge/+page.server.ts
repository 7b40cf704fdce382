import { fail } from '@sveltejs/kit';
import { bad } from '$lib/core/problem';
import { TakeKnowledgeFormSchema } from '$lib/schemas/forms/releases';
import { changeAside } from '$lib/server/collection';
import { readForm, readFormFile } from '$lib/server/read-form';
import { reasonOf } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';

export const actions = {
	/** What of a file is not known here, or otherwise. Nothing is taken in yet. */
	look: async ({ request }) => {
		const { bytes } = await readFormFile(await request.formData(), '');
		const looked = await runTask('lookAtKnowledge', { bytes }, request.signal).catch(
			(error: unknown) => bad([{ message: reasonOf(error) }])
		);
		return looked.ok ? { view: looked.value } : fail(400, { problems: looked.problems });
	},
	/** Takes in what was chosen; with any problem nothing. */
	take: async ({ request }) => {
		const form = await request.formData();
		const read = readForm(form, TakeKnowledgeFormSchema);
		if (!read.ok) return fail(400, { problems: read.problems });
		const { bytes } = await readFormFile(form, '');
		const take = read.value.take.split(/\r?\n/).filter(Boolean);
		const asked = { bytes, take, seen: read.value.seen };
		const done = await changeAside('takeInKnowledge', asked, request.signal).catch(
			(error: unknown) => bad([{ message: reasonOf(error) }])
		);
		return done.ok ? { done: done.value } : fail(409, { problems: done.problems });
	}
};
