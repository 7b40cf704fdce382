import { versionNamer } from '../../../core/copies/name-version.ts';
import { populations, wrongSums } from '../../../core/worth/population/population.ts';
import { scarcityRatio } from '../../../core/worth/population/scarcity-ratio.ts';
import type { Reader } from '../../database/open.ts';
import { listHouses } from '../houses.ts';
import { readWorthGround } from '../read-worth-ground.ts';

/** What is asked; null: the usual. */
export interface PopulationsAsk {
	readonly release: string | null;
	/** Copies of this grade or a better one are good. */
	readonly least: number;
	/** The version that others are held against; null: the one that most were graded of. */
	readonly against: string | null;
}

/** Populations of a release: totals over the houses, how many are good, how many times scarcer, reports that do not add up. */
export async function populationsView(
	db: Reader,
	{ release: key, least, against }: PopulationsAsk
) {
	const { stored, reports, releases } = await readWorthGround(db, key);
	const houses = await listHouses(db);
	const head = { releases, houses, least };
	if (!stored) {
		return { ...head, release: null, rows: [], wrong: [], against: null, reports: [] };
	}
	const { release } = stored;
	const nameOf = versionNamer(release);
	const all = populations(reports, least);
	const most = all.reduce<(typeof all)[number] | null>(
		(best, each) => (best && best.graded >= each.graded ? best : each),
		null
	);
	const held = all.find(({ version }) => version === against) ?? most;
	return {
		...head,
		release: release.key,
		against: held && { version: held.version, ...nameOf(held.version), graded: held.graded },
		rows: all
			.map((population) => ({
				...population,
				...nameOf(population.version),
				scarcer:
					held && held.version !== population.version
						? scarcityRatio(population.graded, held.graded)
						: null
			}))
			.sort((a, b) => a.graded - b.graded),
		wrong: wrongSums(reports).map((wrong) => ({ ...wrong, ...nameOf(wrong.version) })),
		reports: reports.map(({ id, version, house, on, source }) => ({
			...{ id, house, on, source: source ?? null, ...nameOf(version) }
		}))
	};
}
export type PopulationsView = Awaited<ReturnType<typeof populationsView>>;
