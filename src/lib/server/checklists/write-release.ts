import { eq } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import type { Transaction } from '../database/open.ts';
import { cards, parallels, releases, sections, variants } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import { releaseRows } from './release-rows.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** Stores a new release; gives its id. */
export async function insertRelease(
	record: Recorder,
	tx: Transaction,
	release: Release
): Promise<number> {
	const [head] = await record.insert(releases, [releaseRows(release).head]);
	if (!head) throw new RangeError(`insertRelease: ${release.key} was not stored`);
	await writeRelease(record, tx, head.id, release);
	return head.id;
}

/** Brings the rows of a release to the state given: by key, only what differs is written. */
export async function writeRelease(
	record: Recorder,
	tx: Transaction,
	releaseId: ReleaseId,
	release: Release
): Promise<void> {
	const rows = releaseRows(release);
	const [head] = await tx.select().from(releases).where(eq(releases.id, releaseId));
	if (head && differs(head, rows.head)) await record.update(releases, releaseId, rows.head);

	const sectionIds = new Map<string, number>();
	const write = async (
		table: typeof sections | typeof cards | typeof parallels | typeof variants,
		wanted: readonly KeyedRow[]
	) => {
		const old: readonly StoredRow[] = await tx
			.select()
			.from(table)
			.where(eq(table.releaseId, releaseId));
		const plan = planRows(old, wanted);
		const fresh = await record.insert(
			table,
			plan.fresh.map((row) => ({ ...row, releaseId })) as never
		);
		await record.updateMany<typeof table>(
			table,
			plan.changed.map(({ id, row }) => ({ id, values: row }))
		);
		return { gone: plan.gone, stored: [...old, ...(fresh as readonly StoredRow[])] };
	};
	const sectionPlan = await write(sections, rows.sections);
	for (const { key, id } of sectionPlan.stored) sectionIds.set(key, id);
	const cardPlan = await write(
		cards,
		rows.cards.map(({ sectionKey, ...row }) => {
			const sectionId = sectionIds.get(sectionKey);
			if (sectionId === undefined) throw new RangeError(`writeRelease: no section ${sectionKey}`);
			return { ...row, sectionId };
		})
	);
	await record.remove(cards, cardPlan.gone);
	// Only now: cards may have moved to another section.
	await record.remove(sections, sectionPlan.gone);
	await record.remove(parallels, (await write(parallels, rows.parallels)).gone);
	await record.remove(variants, (await write(variants, rows.variants)).gone);
}

interface KeyedRow {
	readonly key: string;
}
type StoredRow = KeyedRow & { readonly id: number };

function planRows(old: readonly StoredRow[], wanted: readonly KeyedRow[]) {
	const oldRows = new Map(old.map((row) => [row.key, row]));
	const kept = new Set(wanted.map(({ key }) => key));
	return {
		fresh: wanted.filter(({ key }) => !oldRows.has(key)),
		changed: wanted.flatMap((row) => {
			const before = oldRows.get(row.key);
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
