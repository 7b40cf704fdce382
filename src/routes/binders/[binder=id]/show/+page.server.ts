import { fail } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { BlockNoteFormSchema } from '$lib/schemas/forms/binders';
import { readBlockNotes, writeBlockNote } from '$lib/server/binders/block-notes';
import { alikeInBinder } from '$lib/server/binders/alike-in-binder';
import { tellBlocks } from '$lib/server/binders/tell-blocks';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';

/** What is told of the blocks of a binder while its pages are shown, and which cards are like others. */
export const load = async ({ params }) => {
	const { db } = await theCollection();
	const id = rowId<'binders'>(Number(params.binder));
	return {
		telling: await tellBlocks(db, id),
		notes: await readBlockNotes(db, id),
		alike: await alikeInBinder(db, id)
	};
};

export const actions = {
	note: async ({ params, request }) => {
		const form = await readFormOf(request, BlockNoteFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { block, note } = form.value;
		const id = rowId<'binders'>(Number(params.binder));
		const done = await writeBlockNote(await theCollection(), id, block, note);
		return done.ok ? { problems: [] } : fail(400, { problems: done.problems });
	}
};
