import { error, fail, redirect } from '@sveltejs/kit';
import { cardsOf } from '$lib/core/checklist/release';
import { groupName } from '$lib/core/goal/missing-list';
import { BinderLayoutSchema } from '$lib/schemas/compute';
import { checkAgainst } from '$lib/schemas/validator';
import { readBinder, removeBinder, setLayout } from '$lib/server/binders/binders';
import type { BinderLayout } from '$lib/core/binder/binder-layout';
import { theCollection } from '$lib/server/collection';

export const load = async ({ params }) => {
	const found = await readBinder((await theCollection()).db, Number(params.binder));
	if (!found) error(404, 'There is no such binder. It may have been removed; undo brings it back.');
	const { binder, plan, goal, releases, slots, filling } = found;
	const missing = new Set(filling.missing.map(({ slot }) => slot));
	const cards = new Map(
		releases.flatMap((release) =>
			cardsOf(release).map(
				(found) => [`${release.key}/${found.card.key}`, { release, ...found }] as const
			)
		)
	);
	return {
		binder: { id: binder.id, name: binder.name, layout: binder.layout },
		goal: { id: goal.id, name: goal.name },
		releases: releases.map(({ name }) => name),
		hasRarities: releases.some(({ rarities }) => rarities.length > 0),
		plan,
		have: slots.length - missing.size,
		pockets: slots.map(({ key, release: home, version }) => {
			const found = cards.get(`${home}/${version.cardKey}`);
			if (!found) throw new RangeError(`binder ${binder.id}: no card ${version.cardKey}`);
			const { card, section, release } = found;
			return {
				slot: key,
				seed: `${release.key}/${card.key}`,
				number: card.number,
				title: card.title,
				group: card.group ?? '',
				place: [groupName(release, section, version.parallelKey), card.rarity]
					.filter(Boolean)
					.join(', '),
				finish: version.parallelKey,
				printRun: version.printRun,
				filled: !missing.has(key)
			};
		})
	};
};

export const actions = {
	layout: async ({ params, request }) => {
		const form = await request.formData();
		const layout = {
			pageKind: form.get('pageKind'),
			order: form.get('order'),
			blockStart: form.get('blockStart')
		};
		const problems = checkAgainst(BinderLayoutSchema, layout);
		if (problems.length > 0) return fail(400, { problems });
		const collection = await theCollection();
		if (!(await setLayout(collection, Number(params.binder), layout as BinderLayout))) {
			error(404, 'There is no such binder.');
		}
		return {};
	},
	remove: async ({ params }) => {
		if (!(await removeBinder(await theCollection(), Number(params.binder)))) {
			error(404, 'There is no such binder.');
		}
		redirect(303, '/binders');
	}
};
