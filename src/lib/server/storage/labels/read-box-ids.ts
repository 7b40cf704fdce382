import { type BoxId, rowId } from '../../../core/row-id.ts';
/** The boxes that a query names (`box=4&box=7`); none: all of them, as where "all boxes" is chosen (`box=`). */
export function readBoxIds(query: URLSearchParams): readonly BoxId[] {
	const ids = query.getAll('box').filter((text) => /^[1-9]\d{0,14}$/.test(text));
	return [...new Set(ids.map((id): BoxId => rowId(Number(id))))];
}
