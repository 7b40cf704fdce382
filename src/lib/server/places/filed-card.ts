import { sql } from 'drizzle-orm';

/**
 * Joins to `"copies"` the card of each copy (`k`, or `e` where an edition repeats it) and its section
 * (`s`): an inner select takes as many rows as there are copies.
 */
export const WITH_FILED_CARD = sql`
	left join cards k on k.release_id = "copies"."release_id" and k.key = "copies"."card_key"
	left join edition_cards e on k.id is null
		and e.release_id = "copies"."release_id" and e.key = "copies"."card_key"
	left join sections s on s.id = coalesce(k.section_id, e.section_id)`;

/** What of the card is read there. */
export const FILED_CARD = {
	number: sql<string | null>`coalesce(k.number, e.number)`,
	title: sql<string>`coalesce(k.title, e.title, "copies"."card_key")`,
	/** What it is sorted as where it has no number, and not by its title; null: by its title. */
	sortAs: sql<string | null>`coalesce(json_extract(k.details, '$.sortAs'), e.sort_as)`,
	/** What it is made like, as the text of JSON (joined to '', or a list of values would take it apart); its own format over that of its section. */
	format: sql<string | null>`case when json_extract(k.details, '$.format') is null then s.format
		else json_patch(coalesce(s.format, '{}'), json_extract(k.details, '$.format')) || '' end`,
	/** The section in whose numbering it is filed; null: the checklist has no such card any more. */
	sectionKey: sql<string | null>`coalesce(s.numbered_in, s.key)`
};
