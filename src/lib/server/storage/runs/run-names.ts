import { group } from 'd3-array';
import { asc, inArray } from 'drizzle-orm';
import type { RunNames } from '../../../core/storage/runs/run.ts';
import { chunks } from '../../database/chunks.ts';
import type { Reader } from '../../database/open.ts';
import { parallels, sections } from '../../database/tables/index.ts';
import type { ReleaseId } from '../../../core/row-id.ts';

/** What names the runs of some releases; of others nothing is known. */
export async function readRunNames(
	db: Reader,
	releaseIds: readonly ReleaseId[]
): Promise<(releaseId: ReleaseId) => RunNames> {
	const read = async (table: typeof sections | typeof parallels) => {
		const rows: { releaseId: ReleaseId; key: string; name: string }[] = [];
		for (const ids of chunks([...new Set(releaseIds)], 500)) {
			const { releaseId, key, name, position } = table;
			rows.push(
				...(await db
					.select({ releaseId, key, name })
					.from(table)
					.where(inArray(releaseId, [...ids]))
					.orderBy(asc(position)))
			);
		}
		return group(rows, (row) => row.releaseId);
	};
	const [ofSections, ofParallels] = [await read(sections), await read(parallels)];
	return (id) => ({ sections: ofSections.get(id) ?? [], parallels: ofParallels.get(id) ?? [] });
}
