import { group } from 'd3-array';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import {
	compareQualities,
	formatQuality,
	parseQuality,
	type LabelledQuality
} from '../../core/copies/quality-label.ts';
import { versionNamer } from '../../core/copies/name-version.ts';
import { populations } from '../../core/worth/population/population.ts';
import { scarcityRatio } from '../../core/worth/population/scarcity-ratio.ts';
import { gradeLadder } from '../../core/worth/ladder/grade-ladder.ts';
import { priceCurves } from '../../core/worth/prices/price-curve.ts';
import { printingRatio } from '../../core/worth/prices/printing-ratio.ts';
import { tenFoldSlips } from '../../core/worth/prices/ten-fold.ts';
import type { Reader } from '../database/open.ts';
import { readEye } from './grading/read-eye.ts';
import { readWorthGround } from './read-worth-ground.ts';

/** What is asked of a ladder; null: the usual. */
export interface LadderAsk {
	readonly release: string | null;
	/** Label of the grade that is ranked by. */
	readonly column: string | null;
	readonly house: string | null;
	readonly top: number;
	/** The card that is looked at closely: a version. */
	readonly card: string | null;
	/** ISO 8601 date */
	readonly today: string;
}

/** From this grade on copies count as good. Common practice, no source. */
const GOOD_GRADE = 8;
/** A card of this part of the last of the top has nearly made it. */
const NEAR_SHARE = 0.8;

/** Cards of a release by grades, ranked at one; and a card looked at closely. */
export async function ladderView(db: Reader, ask: LadderAsk) {
	const ground = await readWorthGround(db, ask.release);
	const { stored, points, reports, rules, kept, currency, releases, problems } = ground;
	const { all: eye } = await readEye(db);
	const houses = [
		...new Set([
			...points.flatMap(({ house }) => house ?? []),
			...reports.map(({ house }) => house)
		])
	].sort();
	const house = houses.find((each) => each === ask.house) ?? null;
	const head = { currency, releases, houses, house, kept, problems, top: ask.top };
	const columns = columnsOf([...points, ...reports.flatMap(({ counts }) => counts)]);
	const versions = [...new Set([...points, ...reports].map(({ version }) => version))];
	if (!stored || columns.length === 0) {
		return {
			...head,
			release: stored?.release.key ?? null,
			...{ columns: [], column: null, rows: [], close: null }
		};
	}
	const { release } = stored;
	const asked = ask.column === null ? null : parseQuality(ask.column);
	const wanted = asked?.ok ? formatQuality(asked.value) : null;
	const column =
		columns.map(formatQuality).find((label) => label === wanted) ?? usualColumn(columns, points);
	const find = cardFinder(release);
	const nameOf = versionNamer(release);
	const cards = versions.flatMap((version) => {
		const found = find(version);
		if (!found) return [];
		const isKey = found.card.marks.some((mark) => mark === 'key' || mark === 'rookie');
		return [{ version, isKey: isKey || found.version.variantKey !== null }];
	});
	const ladder = gradeLadder({
		...{ cards, columns, points, populations: reports, house, on: ask.today, rules },
		rank: { column, top: ask.top, nearShare: NEAR_SHARE },
		jump: kept.jump
	});
	const keys = new Set(cards.flatMap(({ version, isKey }) => (isKey ? [version] : [])));
	const card = ladder.rows.find(({ version }) => version === ask.card)?.version ?? null;
	return {
		...head,
		release: release.key,
		columns: ladder.columns,
		column,
		rows: ladder.rows.map((row) => ({
			...row,
			...nameOf(row.version),
			isKey: keys.has(row.version)
		})),
		close: card === null ? null : closeOf(card)
	};

	/** A card by itself: its curves, its population, its other printings. */
	function closeOf(version: string) {
		const known = points.filter((point) => point.version === version);
		const [population = null] = populations(
			reports.filter((report) => report.version === version),
			GOOD_GRADE
		);
		const printings = cards
			.map((each) => each.version)
			.filter((each) => each !== version && find(each)?.card.key === find(version)?.card.key);
		const totals = new Map(
			populations(reports, GOOD_GRADE).map(({ version: each, graded }) => [each, graded])
		);
		return {
			...{ version, cardKey: find(version)?.card.key ?? '' },
			...nameOf(version),
			curves: priceCurves(known, ask.today, rules).map((curve) => ({
				...curve,
				points: curve.points.map((point) => ({ ...point, label: formatQuality(point) })),
				inversions: curve.inversions.map(({ better, worse }) => ({
					...{ better: formatQuality(better), worse: formatQuality(worse) },
					...{ betterMinor: better.typicalMinor, worseMinor: worse.typicalMinor },
					...{ betterOn: better.on, worseOn: worse.on }
				}))
			})),
			slips: tenFoldSlips(known).map(({ point, againstMinor }) => ({
				...{ label: formatQuality(point), lowMinor: point.lowMinor, on: point.on, againstMinor }
			})),
			population,
			eye: eye.differences,
			printings: printings.map((each) => ({
				...nameOf(each),
				...printingRatio(points, version, each, ask.today, rules),
				scarcer:
					totals.has(version) && totals.has(each)
						? scarcityRatio(totals.get(version) ?? 0, totals.get(each) ?? 0)
						: null
			}))
		};
	}
}
export type LadderView = Awaited<ReturnType<typeof ladderView>>;

/** Qualities that anything is known of: raw ones first, then the grades, each from the worst to the best. */
function columnsOf(said: readonly LabelledQuality[]): readonly LabelledQuality[] {
	const known = [...group(said, formatQuality).values()].flatMap(
		([first]): readonly LabelledQuality[] => {
			if (!first) return [];
			const { condition, grade, isAuthentic, qualifier } = first;
			return [
				{
					...(grade === undefined && !isAuthentic && condition !== undefined ? { condition } : {}),
					...(grade === undefined ? {} : { grade }),
					...(grade === undefined && isAuthentic ? { isAuthentic } : {}),
					...(qualifier === undefined ? {} : { qualifier })
				}
			];
		}
	);
	return known.sort(compareQualities).reverse();
}

/** The grade with most sales: an affordable one that people trade in. */
function usualColumn(
	columns: readonly LabelledQuality[],
	points: readonly LabelledQuality[]
): string {
	const counts = group(points, formatQuality);
	const labels = columns.map(formatQuality);
	return labels.reduce((best, label) =>
		(counts.get(label)?.length ?? 0) > (counts.get(best)?.length ?? 0) ? label : best
	);
}
