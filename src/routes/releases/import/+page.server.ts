import { ChecklistFileFormSchema } from '$lib/schemas/forms/files';
import { readForm, readFormFile } from '$lib/server/read-form';
import { fail, redirect } from '@sveltejs/kit';
import { expand } from '$lib/core/checklist/versions/expand';
import { foldCards } from '$lib/core/checklist/fold-runs';
import { wholeSections } from '$lib/core/checklist/edition';
import { releaseChanges } from '$lib/core/checklist/draft/replace-release';
import { cardsOf, type Release } from '$lib/core/checklist/release';
import type { Problem } from '$lib/core/problem';
import { CSV_COLUMNS } from '$lib/formats/checklist-csv-columns';
import type { TableReading } from '$lib/formats/read-checklist';
import { theCollection } from '$lib/server/collection';
import {
	findSameRelease,
	importRelease,
	replacement,
	replaceRelease
} from '$lib/server/checklists/import-release';
import { changedSince, fingerprintOf, NOT_THERE } from '$lib/server/checklists/fingerprint';
import { cardListChanges, importCardList } from '$lib/server/checklists/import-card-list';
import { readCardListFile, readChecklistFile } from '$lib/server/workers/read-file';
import { loadRelease } from '$lib/server/releases/load-release';
import { findOrphans } from '$lib/server/checklists/save-release';

/** What a form brings: the file that was chosen, or else the text that was pasted, as it is to be read. */
async function readSent(request: Request) {
	const form = await request.formData();
	const fields = readForm(form, ChecklistFileFormSchema);
	const seen = fields.ok ? fields.value.seen : undefined;
	if (!fields.ok)
		return { kind: 'checklist', source: 'the form', outcome: fields, table: null, seen } as const;
	const { name = '', maker = '', year = '', sheet = '', text = '', column, as } = fields.value;
	const { source, bytes } = await readFormFile(form, text);
	const columns = column.map((word) => CSV_COLUMNS.find((column) => column === word) ?? null);
	const choice = { name, maker, year, sheet, ...(columns.length > 0 ? { columns } : {}) };
	return as === 'list'
		? ({
				kind: 'list',
				source,
				seen,
				...(await readCardListFile(bytes, choice, request.signal))
			} as const)
		: ({
				kind: 'checklist',
				source,
				seen,
				...(await readChecklistFile(bytes, choice, request.signal))
			} as const);
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
	return fail(400, { source, table, problems, notes, preview: null, same: null, listed: null });
}

/** What becomes of the release that is there already; null where there is none. */
async function replacedBy(imported: Release, isTable: boolean) {
	const { db } = await theCollection();
	const same = await findSameRelease(db, imported, isTable);
	if (!same) return null;
	const after = replacement(same.release, imported, isTable);
	return {
		key: same.release.key,
		seen: fingerprintOf(same.release),
		changes: releaseChanges(same.release, after),
		orphans: await findOrphans(db, same.id, after),
		release: after
	};
}

/** What the form begins with: a release that cards are added to. */
export const load = async ({ url }) => {
	const into = url.searchParams.get('into');
	const stored = into ? await loadRelease((await theCollection()).db, into) : null;
	const { name = '', maker = '', year = '' } = stored?.release ?? {};
	return { begin: { name, maker, year, as: stored ? ('list' as const) : ('checklist' as const) } };
};

export const actions = {
	preview: async ({ request }) => {
		const { kind, source, outcome, table } = await readSent(request);
		if (!outcome.ok) return refused(source, table, outcome.problems, outcome.notes);
		const { notes } = outcome;
		if (kind === 'list') {
			const listed = await cardListChanges((await theCollection()).db, outcome.value);
			return { source, table, problems: [], notes, preview: null, same: null, listed };
		}
		const same = await replacedBy(outcome.value, table !== null);
		const preview = previewOf(same?.release ?? outcome.value);
		if (!same) return { source, table, problems: [], notes, preview, same, listed: null };
		const { key, seen, changes, orphans } = same;
		return {
			source,
			table,
			problems: orphans,
			notes,
			preview,
			same: { key, seen, changes },
			listed: null
		};
	},
	create: async ({ request }) => {
		const { kind, source, outcome, table, seen } = await readSent(request);
		if (!outcome.ok) return refused(source, table, outcome.problems, outcome.notes);
		const collection = await theCollection();
		if (kind === 'list') {
			const added = await importCardList(collection, outcome.value);
			if (!added.ok) return refused(source, table, added.problems, outcome.notes);
			const [only, ...more] = added.value.keys;
			redirect(
				303,
				only && more.length === 0 ? `/releases/${encodeURIComponent(only)}` : '/releases'
			);
		}
		const same = await findSameRelease(collection.db, outcome.value, table !== null);
		const changed = seen === NOT_THERE ? changedSince(seen, same?.release ?? null) : [];
		if (changed.length > 0) return refused(source, table, changed, outcome.notes);
		const stored = same
			? await replaceRelease(collection, same.release.key, outcome.value, table !== null, seen)
			: await importRelease(collection, outcome.value);
		if (!stored.ok) return refused(source, table, stored.problems, outcome.notes);
		redirect(303, `/releases/${encodeURIComponent(stored.value.key)}`);
	}
};
