import { eq } from 'drizzle-orm';
import { expand } from '../../core/checklist/expand.ts';
import { checkRelease } from '../../core/checklist/check-release.ts';
import type { Release } from '../../core/checklist/release.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { cards, parallels, releases, sections, variants } from '../database/tables/index.ts';
import { makeChange } from '../journal/change.ts';
import type { Recorder } from '../journal/record.ts';
import { loadRelease } from './load-release.ts';
import { releaseRows } from './release-rows.ts';

/**
 * Replaces the rules of a release by edited ones. Rows are matched by key, so that unchanged cards
 * stay untouched. Copies stay attached, because their versions keep their keys; an edit under which
 * a version with copies would no longer exist is refused, and each such version is named.
 */
export function saveRelease(
	collection: Collection,
	key: string,
	label: string,
	edit: (release: Release) => Outcome<Release>
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, key);
		const refused = (problems: readonly Problem[]) => ({
			value: bad(problems),
			label: '',
			touches: []
		});
		if (!stored) return refused([{ message: 'this release is not in the collection' }]);
		const outcome = edit(stored.release);
		if (!outcome.ok) return refused(outcome.problems);
		const edited = outcome.value;
		const problems = [
			...checkRelease(edited),
			...orphans(edited, countOwned(await readCopies(tx, stored.id)))
		];
		if (problems.length > 0) return refused(problems);
		await writeRows(record, tx, stored.id, edited);
		return { value: good({ key }), label: `${edited.name}: ${label}`, touches: [stored.id] };
	});
}

/** Versions with copies that the edited rules no longer make. */
function orphans(edited: Release, owned: ReadonlyMap<string, number>): Problem[] {
	const made = new Set(expand(edited).map(({ key }) => key));
	return [...owned]
		.filter(([version]) => !made.has(version))
		.map(([version, count]) => ({
			field: version,
			message: `${count} ${count === 1 ? 'copy' : 'copies'} of ${version} would belong to nothing`,
			remedy: 'Keep the card, parallel or variant, or take these copies out first.'
		}));
}

/** Brings the rows of a release to the edited state: by key, only what differs is written. */
async function writeRows(
	record: Recorder,
	tx: Transaction,
	releaseId: number,
	edited: Release
): Promise<void> {
	const rows = releaseRows(edited);
	const [head] = await tx.select().from(releases).where(eq(releases.id, releaseId));
	if (head && differs(head, rows.head)) await record.update(releases, releaseId, rows.head);

	const oldSections = await tx.select().from(sections).where(eq(sections.releaseId, releaseId));
	const sectionIds = new Map(oldSections.map((row) => [row.key, row.id]));
	const sectionPlan = planRows(oldSections, rows.sections);
	for (const row of await record.insert(
		sections,
		sectionPlan.fresh.map((row) => ({ ...row, releaseId }))
	)) {
		sectionIds.set(row.key, row.id);
	}
	for (const { id, row } of sectionPlan.changed) await record.update(sections, id, row);

	const oldCards = await tx.select().from(cards).where(eq(cards.releaseId, releaseId));
	const newCards = rows.cards.map(({ sectionKey, ...row }) => {
		const sectionId = sectionIds.get(sectionKey);
		if (sectionId === undefined) throw new RangeError(`writeRows: no section ${sectionKey}`);
		return { ...row, sectionId };
	});
	const cardPlan = planRows(oldCards, newCards);
	await record.insert(
		cards,
		cardPlan.fresh.map((row) => ({ ...row, releaseId }))
	);
	for (const { id, row } of cardPlan.changed) await record.update(cards, id, row);
	await record.remove(cards, cardPlan.gone);
	await record.remove(sections, sectionPlan.gone);

	const oldParallels = await tx.select().from(parallels).where(eq(parallels.releaseId, releaseId));
	const parallelPlan = planRows(oldParallels, rows.parallels);
	await record.insert(
		parallels,
		parallelPlan.fresh.map((row) => ({ ...row, releaseId }))
	);
	for (const { id, row } of parallelPlan.changed) await record.update(parallels, id, row);
	await record.remove(parallels, parallelPlan.gone);

	const oldVariants = await tx.select().from(variants).where(eq(variants.releaseId, releaseId));
	const variantPlan = planRows(oldVariants, rows.variants);
	await record.insert(
		variants,
		variantPlan.fresh.map((row) => ({ ...row, releaseId }))
	);
	for (const { id, row } of variantPlan.changed) await record.update(variants, id, row);
	await record.remove(variants, variantPlan.gone);
}

interface KeyedRow {
	readonly key: string;
}

function planRows<New extends KeyedRow>(
	old: readonly (KeyedRow & { readonly id: number })[],
	wanted: readonly New[]
) {
	const there = new Map(old.map((row) => [row.key, row]));
	const kept = new Set(wanted.map(({ key }) => key));
	return {
		fresh: wanted.filter(({ key }) => !there.has(key)),
		changed: wanted.flatMap((row) => {
			const before = there.get(row.key);
			return before && differs(before, row) ? [{ id: before.id, row }] : [];
		}),
		gone: old.filter(({ key }) => !kept.has(key)).map(({ id }) => id)
	};
}

/** Whether any field that the new row names is another one in the old row. */
function differs(before: object, after: object): boolean {
	const old = before as Readonly<Record<string, unknown>>;
	return Object.entries(after).some(
		([name, value]) => JSON.stringify(old[name] ?? null) !== JSON.stringify(value ?? null)
	);
}
