import { fail, redirect } from '@sveltejs/kit';
import { expand } from '$lib/core/checklist/expand';
import { foldCards } from '$lib/core/checklist/fold-runs';
import { wholeSections } from '$lib/core/checklist/edition';
import { cardsOf, type Release } from '$lib/core/checklist/release';
import type { Problem } from '$lib/core/problem';
import { CSV_COLUMNS } from '$lib/formats/checklist-csv-columns';
import { readChecklist, type TableReading } from '$lib/formats/read-checklist';
import { theCollection } from '$lib/server/collection';
import { checkNewRelease, importRelease } from '$lib/server/releases/import-release';

/** The checklist a form brings: the file that was chosen, or else the text that was pasted. */
async function readForm(request: Request) {
	const form = await request.formData();
	const given = (name: string) => String(form.get(name) ?? '');
	const file = form.get('file');
	const isChosen = file instanceof File && (file.size > 0 || file.name !== '');
	const bytes = isChosen
		? new Uint8Array(await file.arrayBuffer())
		: new TextEncoder().encode(given('text'));
	const columns = form
		.getAll('column')
		.map((word) => CSV_COLUMNS.find((one) => one === word) ?? null);
	const reading = await readChecklist(bytes, {
		name: given('name'),
		maker: given('maker'),
		year: given('year'),
		sheet: given('sheet'),
		...(columns.length > 0 ? { columns } : {})
	});
	return { source: isChosen ? file.name : 'the pasted text', ...reading };
}

/** What an import would create, in figures. */
function previewOf(release: Release) {
	return {
		name: release.name,
		maker: release.maker,
		year: release.year,
		key: release.key,
		versions: expand(release).length,
		cards: cardsOf(release).length,
		variants: release.variants.length,
		sections: wholeSections(release).map((section) => ({
			name: section.name,
			kind: section.kind,
			cards: section.cards.length,
			numbers: clip(foldCards(section.cards)),
			firstTitles: section.cards.slice(0, 3).map(({ title }) => title)
		})),
		parallels: release.parallels.map(({ name, runs }) => ({
			name,
			runs: runs.map(({ sections, printRun }) => ({
				sections: (sections ?? release.sections.map(({ key }) => key)).map(
					(key) => release.sections.find((section) => section.key === key)?.name ?? key
				),
				printRun: printRun ?? null
			}))
		}))
	};
}

function clip(text: string): string {
	return text.length > 120 ? `${text.slice(0, 119)}…` : text;
}

function refused(
	source: string,
	table: TableReading | null,
	problems: readonly Problem[],
	notes: readonly Problem[]
) {
	return fail(400, { source, table, problems, notes, preview: null });
}

export const actions = {
	preview: async ({ request }) => {
		const { source, outcome, table } = await readForm(request);
		if (!outcome.ok) return refused(source, table, outcome.problems, outcome.notes);
		const problems = await checkNewRelease((await theCollection()).db, outcome.value);
		if (problems.length > 0) return refused(source, table, problems, outcome.notes);
		return { source, table, problems: [], notes: outcome.notes, preview: previewOf(outcome.value) };
	},
	create: async ({ request }) => {
		const { source, outcome, table } = await readForm(request);
		if (!outcome.ok) return refused(source, table, outcome.problems, outcome.notes);
		const created = await importRelease(await theCollection(), outcome.value);
		if (!created.ok) return refused(source, table, created.problems, outcome.notes);
		redirect(303, `/releases/${created.value.key}`);
	}
};
