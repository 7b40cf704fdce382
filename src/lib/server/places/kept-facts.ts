import { inArray, sql } from 'drizzle-orm';
import type { CardMark } from '../../core/checklist/card.ts';
import type { SectionKind } from '../../core/checklist/section.ts';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { ReleaseId } from '../../core/row-id.ts';
import type { Keeping } from '../../core/storage/classes/keeping.ts';
import type { ClassTest, KeptCard } from '../../core/storage/classes/storage-class.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { parallels, releases } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';

/** Which facts of a card storage classes ask for. */
interface Asked {
	readonly ofCard: boolean;
	readonly ofRelease: boolean;
	readonly ofFinish: boolean;
	readonly ofPrintRun: boolean;
}

function askedBy({ rules: { classes } }: Keeping): Asked {
	const asks = (...fields: readonly (keyof ClassTest)[]) =>
		classes.some(({ where }) => fields.some((field) => where[field] !== undefined));
	return {
		ofCard: asks('subjects', 'groups', 'tags', 'marks', 'sectionKinds'),
		ofRelease: asks('releases', 'makers', 'fromYear', 'toYear'),
		ofFinish: asks('finishes'),
		ofPrintRun: asks('isNumbered')
	};
}

/** A column with what the checklist says of the card of a copy, as JSON; null where no class asks for it. Names are written out, for queries without joins. */
export function factsColumn(keeping: Keeping) {
	if (!askedBy(keeping).ofCard) return sql<string | null>`null`;
	return sql<string | null>`(coalesce((
		select json_array(k.subjects, k.card_group, k.marks, json_extract(k.details, '$.tags'), f.kind)
		from cards k join sections f on f.id = k.section_id
		where k.release_id = "copies"."release_id" and k.key = "copies"."card_key"), (
		select json_array(e.subjects, e.card_group, e.marks, json(e.tags), f.kind)
		from edition_cards e join sections f on f.id = e.section_id
		where e.release_id = "copies"."release_id" and e.key = "copies"."card_key")) || '')`;
}

/** What of a copy tells which card it is. */
interface FactsRow {
	readonly releaseId: ReleaseId;
	readonly cardKey: string;
	readonly parallelKey: string | null;
	readonly variantKey: string | null;
	readonly facts: string | null;
}

/** What storage classes ask of the cards of some releases: nothing is read that none asks for. */
export async function readFacts(
	db: Reader,
	keeping: Keeping,
	releaseIds: readonly ReleaseId[]
): Promise<(row: FactsRow) => KeptCard> {
	const asked = askedBy(keeping);
	// Of half a million rows without a question nothing is made.
	if (!Object.values(asked).includes(true)) return plainFacts;
	const ids = [...new Set(releaseIds)];
	const headOf = asked.ofRelease ? await readHeads(db, ids) : new Map<ReleaseId, KeptCard>();
	const finishOf = asked.ofFinish ? await readFinishes(db, ids) : new Map<string, string>();
	const isNumbered = asked.ofPrintRun ? await printRuns(db, ids) : () => false;
	return (row) => {
		const finish = finishOf.get(`${row.releaseId} ${row.parallelKey ?? ''}`);
		return {
			...headOf.get(row.releaseId),
			...(row.facts === null ? {} : parseFacts(row.facts)),
			...(finish === undefined ? {} : { finish }),
			...(row.variantKey === null ? {} : { isVariant: true }),
			...(isNumbered(row) ? { isNumbered: true } : {})
		};
	};
}

/** All that is known of a card where no class asks for more. */
export const PLAIN: KeptCard = {};
export const VARIANT: KeptCard = { isVariant: true };
const plainFacts = ({ variantKey }: FactsRow) => (variantKey === null ? PLAIN : VARIANT);

/** As `factsColumn` writes them; lists within are texts again, as their columns hold them. */
type CardFacts = readonly [
	subjects: string | null,
	group: string | null,
	marks: string | null,
	tags: KeptCard['tags'] | null,
	kind: SectionKind | null
];

function parseFacts(facts: string): KeptCard {
	const [subjects, group, marks, tags, kind] = JSON.parse(facts) as CardFacts;
	return {
		subjects: JSON.parse(subjects ?? '[]') as readonly string[],
		...(group == null ? {} : { group }),
		marks: JSON.parse(marks ?? '[]') as readonly CardMark[],
		...(tags == null ? {} : { tags }),
		...(kind == null ? {} : { sectionKind: kind })
	};
}

async function readHeads(db: Reader, ids: readonly ReleaseId[]) {
	const found = new Map<ReleaseId, KeptCard>();
	for (const some of chunks(ids, 500)) {
		const rows = await db
			.select()
			.from(releases)
			.where(inArray(releases.id, [...some]));
		for (const { id, key, maker, year } of rows) found.set(id, { release: key, maker, year });
	}
	return found;
}

async function readFinishes(db: Reader, ids: readonly ReleaseId[]) {
	const found = new Map<string, string>();
	for (const some of chunks(ids, 500)) {
		const rows = await db
			.select({ releaseId: parallels.releaseId, key: parallels.key, name: parallels.name })
			.from(parallels)
			.where(inArray(parallels.releaseId, [...some]));
		for (const { releaseId, key, name } of rows) found.set(`${releaseId} ${key}`, name);
	}
	return found;
}

/** Whether a version bears a serial number, by the rules of its release. */
async function printRuns(db: Reader, ids: readonly ReleaseId[]) {
	const finders = new Map(
		(await loadReleases(db, ids)).map(({ id, release }) => [
			id,
			{ release: release.key, find: cardFinder(release) }
		])
	);
	return ({ releaseId, cardKey: card, parallelKey: parallel, variantKey: variant }: FactsRow) => {
		const known = finders.get(releaseId);
		if (!known) return false;
		const { release, find } = known;
		const found = find(formatVersionKey({ release, card, parallel, variant }));
		return found !== null && found.version.printRun !== null;
	};
}
