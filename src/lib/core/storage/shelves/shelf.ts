import { compareTitles } from '../../checklist/numbers/compare-card-numbers.ts';

/** A board of a shelf unit. */
export interface Shelf {
	readonly key: string;
	readonly room: string;
	readonly unit: string;
	/** From 1, the lowest. */
	readonly level: number;
	readonly lengthMm: number;
	/** What its maker says it bears; null: not known. */
	readonly ratingG: number | null;
}

/** Room by room, unit by unit, from the top down: as one walks and looks. */
export function inWalkingOrder<Place extends Pick<Shelf, 'room' | 'unit' | 'level'>>(
	shelves: readonly Place[]
): Place[] {
	return [...shelves].sort(
		(a, b) => compareTitles(a.room, b.room) || compareTitles(a.unit, b.unit) || b.level - a.level
	);
}

/** "Rack A, shelf 2" */
export function nameShelf({ unit, level }: Pick<Shelf, 'unit' | 'level'>): string {
	return `${unit}, shelf ${level}`;
}
