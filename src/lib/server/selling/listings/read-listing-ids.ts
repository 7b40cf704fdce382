import { rowId, type ListingId } from '../../../core/row-id.ts';

/** A parcel or an export of more is none. */
const MOST = 500;

/** The listings that an address names: `?listing=1&listing=2`; what is no id is passed over. */
export function readListingIds(query: URLSearchParams): readonly ListingId[] {
	return query
		.getAll('listing')
		.filter((id) => /^[1-9]\d{0,14}$/.test(id))
		.slice(0, MOST)
		.map((id) => rowId(Number(id)));
}
