import { group } from 'd3-array';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';
import type { PricePoint } from './price-point.ts';

/** What prices have to share to be compared: the version, the quality, and the house that graded it. */
export interface LikeNeed extends LabelledQuality {
	readonly version: string;
	/** Left out: of whichever house. */
	readonly house?: string;
}

/** Points by version, and then by quality: looked up often, made once. */
export type PointIndex = ReadonlyMap<string, ReadonlyMap<string, readonly PricePoint[]>>;

/** Points by version and by the label of their quality. */
export function indexPoints(points: readonly PricePoint[]): PointIndex {
	return group(
		points,
		({ version }) => version,
		(point) => formatQuality(point)
	);
}

/** The points that are like a copy. A house counts only for a graded copy that says its house. */
export function likePoints(index: PointIndex, need: LikeNeed): readonly PricePoint[] {
	const alike = index.get(need.version)?.get(formatQuality(need)) ?? [];
	const isGraded = need.grade !== undefined || need.isAuthentic === true;
	return need.house !== undefined && isGraded
		? alike.filter(({ house }) => house === need.house)
		: alike;
}
