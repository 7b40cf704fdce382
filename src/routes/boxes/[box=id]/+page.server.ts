import { group } from 'd3-array';
import { error, fail, redirect } from '@sveltejs/kit';
import type { Outcome } from '$lib/core/problem';
import { foldRuns } from '$lib/core/checklist/fold-runs';
import { BOX_USES } from '$lib/core/storage/kinds/box-use';
import { readBox } from '$lib/server/storage/room/read-box';
import { readBoxKinds, readShelves } from '$lib/server/storage/room/read-storage';
import { removeBox, saveBox, shiftBox } from '$lib/server/storage/room/edit-boxes';
import { addDivider, removeDivider, renameDivider } from '$lib/server/storage/room/edit-dividers';
import { respacingOf, takeRespaceStep } from '$lib/server/storage/room/respace-box';
import { checkDivider } from '$lib/server/storage/stock-take/stock-take';
import { theCollection } from '$lib/server/collection';
import { formFields } from '$lib/server/form-fields';
import { listReleaseNames } from '$lib/server/releases/list-releases';
import { rowId } from '$lib/core/row-id';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const box = await readBox(db, rowId(Number(params.box)));
	if (!box) error(404, 'There is no such box.');
	const { dividers, ...head } = box;
	const releases = await listReleaseNames(db);
	return {
		box: head,
		respacing: respacingOf(box),
		kinds: await readBoxKinds(db),
		shelves: await readShelves(db),
		releases,
		dividers: dividers.map(({ standing, ...divider }) => ({
			...divider,
			/** Sets behind it: of strays there may be several. */
			releases: [...new Set(standing.map(({ release }) => release))].map((key) => ({
				key,
				name: releases.find((release) => release.key === key)?.name ?? key
			})),
			numbers: [...group(standing, ({ release }) => release)]
				.map(([key, cards]) => {
					const runs = foldRuns(cards.flatMap(({ number }) => number ?? []));
					const name = releases.find((release) => release.key === key)?.name ?? key;
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
		const { word, idOrNull } = formFields(await request.formData());
		const use = BOX_USES.find((choice) => choice === word('use')) ?? 'sets';
		const fields = {
			name: word('name'),
			kind: word('kind'),
			use,
			shelfId: idOrNull<'shelves'>('shelf')
		};
		return answer(await saveBox(await theCollection(), fields, rowId(Number(params.box))));
	},
	shift: async ({ params, request }) => {
		const { word } = formFields(await request.formData());
		const by = word('by') === 'right' ? 1 : -1;
		return answer(await shiftBox(await theCollection(), rowId(Number(params.box)), by));
	},
	remove: async ({ params }) => {
		const done = await removeBox(await theCollection(), rowId(Number(params.box)));
		if (done.ok) redirect(303, '/boxes');
		return answer(done);
	},
	divider: async ({ params, request }) => {
		const { word, id } = formFields(await request.formData());
		const { db } = await theCollection();
		const release = (await listReleaseNames(db)).find(({ key }) => key === word('release'));
		const label = word('label') || (release?.name ?? '');
		const collection = await theCollection();
		return answer(
			await addDivider(collection, rowId(Number(params.box)), id('row'), label, release?.id ?? null)
		);
	},
	rename: async ({ request }) => {
		const { word, id } = formFields(await request.formData());
		return answer(await renameDivider(await theCollection(), id('divider'), word('label')));
	},
	drop: async ({ request }) => {
		const { id } = formFields(await request.formData());
		return answer(await removeDivider(await theCollection(), id('divider')));
	},
	respace: async ({ params, request }) => {
		const { word } = formFields(await request.formData());
		return answer(
			await takeRespaceStep(await theCollection(), rowId(Number(params.box)), word('step'))
		);
	},
	/** Stock-take of a divider: as recorded, or by an entry line of what stands there. */
	check: async ({ request }) => {
		const { word, id } = formFields(await request.formData());
		const line = word('line') === '' ? null : word('line');
		const release = word('release') === '' ? null : word('release');
		const done = await checkDivider(await theCollection(), id('divider'), release, line);
		return done.ok
			? { checked: { divider: id('divider'), ...done.value } }
			: fail(400, { problems: done.problems, divider: id('divider') });
	}
};
