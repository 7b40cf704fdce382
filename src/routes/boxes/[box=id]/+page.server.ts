import { group } from 'd3-array';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Outcome } from '$lib/core/problem';
import { foldRuns } from '$lib/core/checklist/fold-runs';
import { readBox } from '$lib/server/storage/room/read-box';
import { readBoxKinds } from '$lib/server/places/box-kinds';
import { readHosts, readShelves } from '$lib/server/storage/room/read-storage';
import { boxFields, removeBox, saveBox, shiftBox } from '$lib/server/storage/room/edit-boxes';
import { addDivider, removeDivider, renameDivider } from '$lib/server/storage/room/edit-dividers';
import { respacingOf, takeRespaceStep } from '$lib/server/storage/room/respace-box';
import { checkDivider } from '$lib/server/storage/stock-take/stock-take';
import { readKeeping } from '$lib/server/places/keeping';
import { listOutings } from '$lib/server/copies/outings';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';
import {
	BoxFormSchema,
	CheckFormSchema,
	DividerFormSchema,
	NewDividerFormSchema,
	RenameFormSchema,
	RespaceFormSchema,
	ShiftFormSchema
} from '$lib/schemas/forms/boxes';
import { nameReleases } from '$lib/server/releases/list-releases';
import { findRelease } from '$lib/server/releases/load-release';
import { rowId } from '$lib/core/row-id';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	const box = await readBox(db, rowId(Number(params.box)));
	if (!box) error(404, 'There is no such box.');
	const { dividers, ...head } = box;
	const inside = new Set(dividers.flatMap(({ standing }) => standing.map(({ copyId }) => copyId)));
	const names = await nameReleases(
		db,
		dividers.flatMap(({ standing }) => standing.map(({ release }) => release))
	);
	return {
		box: head,
		out: (await listOutings(db, now())).filter(({ copyId }) => inside.has(copyId)),
		respacing: respacingOf(box),
		kinds: await readBoxKinds(db),
		uses: (await readKeeping(db)).uses,
		hosts: await readHosts(db),
		shelves: await readShelves(db),
		dividers: dividers.map(({ standing, ...divider }) => ({
			...divider,
			/** Sets behind it: of strays there may be several. */
			releases: [...new Set(standing.map(({ release }) => release))].map((key) => ({
				key,
				name: names.get(key) ?? key
			})),
			numbers: [...group(standing, ({ release }) => release)]
				.map(([key, cards]) => {
					const runs = foldRuns(cards.flatMap(({ number }) => number ?? []));
					const name = names.get(key) ?? key;
					return divider.releaseId === null && runs ? `${name}: ${runs}` : runs;
				})
				.join('; '),
			titles: standing.filter(({ number }) => number === null).map(({ title }) => title),
			/** Of how many cards there are several. */
			doubles: standing.filter(({ quantity }) => quantity > 1).length
		}))
	};
};

const answer = (done: Outcome<unknown>) =>
	done.ok ? { done: true } : fail(400, { problems: done.problems });

export const actions = {
	save: async ({ params, request }) => {
		const form = await readFormOf(request, BoxFormSchema);
		if (!form.ok) return answer(form);
		return answer(
			await saveBox(await theCollection(), boxFields(form.value), rowId(Number(params.box)))
		);
	},
	shift: async ({ params, request }) => {
		const form = await readFormOf(request, ShiftFormSchema);
		if (!form.ok) return answer(form);
		const by = form.value.by === 'right' ? 1 : -1;
		return answer(await shiftBox(await theCollection(), rowId(Number(params.box)), by));
	},
	remove: async ({ params }) => {
		const done = await removeBox(await theCollection(), rowId(Number(params.box)));
		if (done.ok) redirect(303, '/boxes');
		return answer(done);
	},
	divider: async ({ params, request }) => {
		const form = await readFormOf(request, NewDividerFormSchema);
		if (!form.ok) return answer(form);
		const collection = await theCollection();
		const { db } = collection;
		const { release: key } = form.value;
		const label = form.value.label || ((await nameReleases(db, [key])).get(key) ?? '');
		return answer(
			await addDivider(
				collection,
				rowId(Number(params.box)),
				form.value.row,
				label,
				await findRelease(db, key)
			)
		);
	},
	rename: async ({ request }) => {
		const form = await readFormOf(request, RenameFormSchema);
		if (!form.ok) return answer(form);
		const { divider, label } = form.value;
		return answer(await renameDivider(await theCollection(), divider, label));
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, DividerFormSchema);
		if (!form.ok) return answer(form);
		return answer(await removeDivider(await theCollection(), form.value.divider));
	},
	respace: async ({ params, request }) => {
		const form = await readFormOf(request, RespaceFormSchema);
		if (!form.ok) return answer(form);
		const { step } = form.value;
		return answer(await takeRespaceStep(await theCollection(), rowId(Number(params.box)), step));
	},
	/** Stock-take of a divider: as recorded, or by an entry line of what stands there. */
	check: async ({ request }) => {
		const form = await readFormOf(request, CheckFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems, divider: null });
		const { divider, release = null, line = null } = form.value;
		const done = await checkDivider(await theCollection(), divider, release, line);
		return done.ok
			? { checked: { divider, ...done.value } }
			: fail(400, { problems: done.problems, divider });
	}
};
