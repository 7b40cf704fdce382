import { error, fail, redirect, type RequestEvent } from '@sveltejs/kit';
import type { Static, TObject } from 'typebox';
import { fillTitles, readTitles } from '$lib/core/checklist/fill-titles';
import {
	addCollectible,
	addHunt,
	dropCollectible,
	dropHunt
} from '$lib/core/checklist/edit-beside';
import { addVariantLine } from '$lib/core/checklist/outline/add-variant-line';
import { bad, good, type Outcome, type Problem } from '$lib/core/problem';
import type { Release } from '$lib/core/checklist/release';
import { lookAgain, settleHunt } from '$lib/core/checklist/outline/settle-hunt';
import {
	CollectibleFormSchema,
	DropFormSchema,
	FoundFormSchema,
	HuntFormSchema,
	LookedFormSchema,
	TitlesFormSchema,
	VariantLineFormSchema
} from '$lib/schemas/forms/releases';
import { readFormOf } from '$lib/server/read-form';
import { theCollection } from '$lib/server/collection';
import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { listGoals } from '$lib/server/goals/read-goals';
import { listLookAlikes } from '$lib/server/telling/look-alikes';
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
		mistaken: (await listLookAlikes(db, { release: params.release })).map(
			({ id: set, name, keys }) => ({ id: set, name, keys })
		),
		goals: goals.filter(({ releaseKey }) => releaseKey === params.release)
	};
};

type Edit<Form> = (release: Release, form: Form, today: string) => Outcome<Release>;

/** An action that edits the release by a form; `where` names the problems that its part of the page shows. */
function edits<Schema extends TObject, Where extends string>(
	where: Where,
	schema: Schema,
	label: (form: Static<Schema>) => string,
	edit: Edit<Static<Schema>>
) {
	const told = (problems: readonly Problem[]) =>
		({ [where]: problems }) as Record<Where, readonly Problem[]>;
	return async ({ params, request }: RequestEvent<{ release: string }>) => {
		const form = await readFormOf(request, schema);
		if (!form.ok) return fail(400, told(form.problems));
		const collection = await theCollection();
		const outcome = await saveRelease(collection, params.release, label(form.value), (release) =>
			edit(release, form.value, collection.now().slice(0, 10))
		);
		return outcome.ok ? told([]) : fail(400, told(outcome.problems));
	};
}

export const actions = {
	/** Records a variant or an error by one line. */
	variant: edits(
		'variantProblems',
		VariantLineFormSchema,
		({ line }) => `record ${line}`,
		(release, { line }) => addVariantLine(release, line)
	),
	/** Something suspected to exist is put on the list. */
	hunt: edits(
		'huntProblems',
		HuntFormSchema,
		({ name }) => `look for ${name}`,
		(release, { section, ...said }) => addHunt(release, { ...said, section: section ?? undefined })
	),
	/** Something hunted was found: its cards and variants are added, and it is hunted no more, in one step. */
	found: edits(
		'huntProblems',
		FoundFormSchema,
		() => 'found what was looked for',
		(release, { hunt, lines }) => settleHunt(release, hunt, lines)
	),
	/** It was looked for once more, and not found. */
	looked: edits(
		'huntProblems',
		LookedFormSchema,
		() => 'looked for it again',
		(release, { hunt, where }, today) => lookAgain(release, hunt, today, where)
	),
	/** It is looked for no more. */
	dropHunt: edits(
		'huntProblems',
		DropFormSchema,
		() => 'look for it no more',
		(release, { key }) => dropHunt(release, key)
	),
	/** Something collected beside the cards is put on the list. */
	collectible: edits(
		'besideProblems',
		CollectibleFormSchema,
		({ name }) => `beside the cards, ${name}`,
		addCollectible
	),
	dropCollectible: edits(
		'besideProblems',
		DropFormSchema,
		() => 'take something beside the cards off the list',
		(release, { key }) => dropCollectible(release, key)
	),
	/** Fills in titles from a pasted list; lines that name no card keep all of it out. */
	titles: edits(
		'titleProblems',
		TitlesFormSchema,
		() => 'fill in titles',
		(release, { numbering, text }) => {
			const { lines, problems } = readTitles(text);
			const result = fillTitles(release, numbering, lines);
			const all = [...problems, ...result.problems];
			return all.length > 0 ? bad(all) : good(result.release);
		}
	),
	remove: async ({ params }) => {
		if (!(await removeRelease(await theCollection(), params.release))) {
			error(404, 'This release is not in the collection.');
		}
		redirect(303, '/releases');
	}
};
