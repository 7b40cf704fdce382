import { HoldingsFileFormSchema } from '$lib/schemas/forms/files';
import { MakeFormSchema, SettleFormSchema, UnmatchedFormSchema } from '$lib/schemas/forms/log';
import { readForm, readFormFile, readFormOf } from '$lib/server/read-form';
import { fail } from '@sveltejs/kit';
import { HOLDING_COLUMNS } from '$lib/formats/holdings-columns';
import { readHolderKinds } from '$lib/server/places/keeping';
import { theCollection } from '$lib/server/collection';
import {
	dropUnmatched,
	importHoldings,
	listUnmatched,
	matchInCollection
} from '$lib/server/holdings/import-holdings';
import { nameReleases } from '$lib/server/releases/list-releases';
import { readHoldingsFile } from '$lib/server/workers/read-file';
import { makeFromRows } from '$lib/server/holdings/make-from-rows';
import { settleRow } from '$lib/server/holdings/settle-row';

const MOST_SHOWN = 100;

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { rows, waiting } = await listUnmatched((await theCollection()).db, MOST_SHOWN);
	return { unmatched: rows, waiting };
};

/** The list a form brings, with what was chosen for its columns and sets. */
async function readHoldings(request: Request) {
	const form = await request.formData();
	const fields = readForm(form, HoldingsFileFormSchema);
	if (!fields.ok) return { source: 'the form', choices: {}, outcome: fields, table: null };
	const choice = fields.value;
	const { source, bytes } = await readFormFile(form, choice.text ?? '');
	const columns = choice.column.map(
		(word) => HOLDING_COLUMNS.find((column) => column === word) ?? null
	);
	const reading = await readHoldingsFile(
		bytes,
		{
			sheet: choice.sheet ?? '',
			holders: (await readHolderKinds((await theCollection()).db)).map(({ key }) => key),
			...(choice.currency ? { currency: choice.currency.toUpperCase() } : {}),
			...(columns.length > 0 ? { columns } : {})
		},
		request.signal
	);
	const choices = Object.fromEntries(choice.set.map((name, i) => [name, choice.release[i] ?? '']));
	return { source, choices, ...reading };
}

export const actions = {
	preview: async ({ request }) => {
		const { source, choices, outcome, table } = await readHoldings(request);
		if (!outcome.ok) return fail(400, { source, table, problems: outcome.problems });
		const { db } = await theCollection();
		const { sets, matched, unmatched } = await matchInCollection(db, outcome.value, choices);
		return {
			source,
			table,
			problems: [],
			notes: outcome.notes,
			preview: {
				rows: outcome.value.length,
				matched: matched.length,
				unmatched: unmatched.slice(0, MOST_SHOWN),
				left: unmatched.length,
				sets,
				names: Object.fromEntries(
					await nameReleases(
						db,
						sets.flatMap(({ candidates }) => candidates.map(({ key }) => key))
					)
				)
			}
		};
	},
	create: async ({ request }) => {
		const { source, choices, outcome, table } = await readHoldings(request);
		if (!outcome.ok) return fail(400, { source, table, problems: outcome.problems });
		const done = await importHoldings(await theCollection(), source, outcome.value, choices);
		return { source, table: null, problems: [], done };
	},
	settle: async ({ request }) => {
		const form = await readFormOf(request, SettleFormSchema);
		if (!form.ok) return fail(400, { settling: null, problems: form.problems });
		const { row, release, line } = form.value;
		const outcome = await settleRow(await theCollection(), row, release, line);
		return outcome.ok
			? { settled: row, problems: [] }
			: fail(400, { settling: row, problems: outcome.problems });
	},
	/** Makes the releases and cards that a waiting row, or all of them, lack, and takes them in. */
	make: async ({ request }) => {
		const form = await readFormOf(request, MakeFormSchema);
		if (!form.ok) return fail(400, { settling: null, problems: form.problems });
		const { row } = form.value;
		const outcome = await makeFromRows(await theCollection(), row === null ? 'all' : [row]);
		return outcome.ok
			? { made: outcome.value, problems: [] }
			: fail(400, { settling: row, problems: outcome.problems });
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, UnmatchedFormSchema);
		if (!form.ok) return fail(400, { settling: null, problems: form.problems });
		await dropUnmatched(await theCollection(), form.value.row);
		return { problems: [] };
	}
};
