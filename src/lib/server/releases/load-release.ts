import { group } from 'd3-array';
import { asc, eq, inArray, like, sql } from 'drizzle-orm';
import type { Card } from '../../core/checklist/card.ts';
import type { Parallel } from '../../core/checklist/parallel.ts';
import type { Release } from '../../core/checklist/release.ts';
import type { Section } from '../../core/checklist/section.ts';
import type { Reader } from '../database/open.ts';
import { readRows } from '../database/read-rows.ts';
import { cards, parallels, releases, sections, variants } from '../database/tables/index.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** A release with its database id. */
export interface StoredRelease {
	readonly id: ReleaseId;
	readonly release: Release;
}

/** The database id of a release. */
export async function findRelease(db: Reader, key: string): Promise<ReleaseId | null> {
	const [row] = await db.select({ id: releases.id }).from(releases).where(eq(releases.key, key));
	return row?.id ?? null;
}

export async function loadRelease(db: Reader, key: string): Promise<StoredRelease | null> {
	const id = await findRelease(db, key);
	return id === null ? null : ((await loadReleases(db, [id]))[0] ?? null);
}

/** The releases of a year, seasons that begin in it too, by maker and name; at most so many. */
export async function releasesOfYear(
	db: Reader,
	year: string,
	most: number
): Promise<readonly Release[]> {
	const rows = await db
		.select({ id: releases.id })
		.from(releases)
		.where(like(releases.year, `${year}%`))
		.orderBy(asc(releases.maker), asc(releases.name))
		.limit(most);
	return (
		await loadReleases(
			db,
			rows.map(({ id }) => id)
		)
	).map(({ release }) => release);
}

/** Loads releases by id, with everything in them, in the order of the ids; unknown ids are passed over. */
export async function loadReleases(
	db: Reader,
	ids: readonly ReleaseId[]
): Promise<readonly StoredRelease[]> {
	if (ids.length === 0) return [];
	const wanted = [...ids];
	const heads = await db.select().from(releases).where(inArray(releases.id, wanted));
	const sectionRows = await db
		.select()
		.from(sections)
		.where(inArray(sections.releaseId, wanted))
		.orderBy(asc(sections.position));
	const cardRows = await readRows(
		db,
		cards,
		inArray(cards.releaseId, wanted),
		sql`${cards.position}`
	);
	const parallelRows = await db
		.select()
		.from(parallels)
		.where(inArray(parallels.releaseId, wanted))
		.orderBy(asc(parallels.position));
	const variantRows = await db
		.select()
		.from(variants)
		.where(inArray(variants.releaseId, wanted))
		.orderBy(asc(variants.position));
	const headOf = new Map(heads.map((head) => [head.id, head]));
	const ofRelease = {
		sections: group(sectionRows, ({ releaseId }) => releaseId),
		parallels: group(parallelRows, ({ releaseId }) => releaseId),
		variants: group(variantRows, ({ releaseId }) => releaseId)
	};
	const bySection = group(cardRows, ({ sectionId }) => sectionId);
	return ids.flatMap((id) => {
		const head = headOf.get(id);
		if (!head) return [];
		return {
			id,
			release: {
				key: head.key,
				name: head.name,
				maker: head.maker,
				year: head.year,
				...optional('theme', head.theme),
				...optional('note', head.note),
				...(head.collectibles.length > 0 ? { collectibles: head.collectibles } : {}),
				...(head.hunts.length > 0 ? { hunts: head.hunts } : {}),
				packTypes: head.packTypes,
				rarities: head.rarities,
				sections: (ofRelease.sections.get(id) ?? []).map((row) =>
					toSection(row, (bySection.get(row.id) ?? []).map(toCard))
				),
				parallels: (ofRelease.parallels.get(id) ?? []).map(toParallel),
				variants: (ofRelease.variants.get(id) ?? []).map(({ key, rule }) => ({ key, ...rule }))
			}
		};
	});
}

function toSection(row: typeof sections.$inferSelect, members: readonly Card[]): Section {
	return {
		key: row.key,
		name: row.name,
		kind: row.kind,
		...optional('numberedIn', row.numberedIn),
		listed: row.listed,
		...optional('statedTotal', row.statedTotal),
		...optional('format', row.format),
		...optional('arrangement', row.arrangement),
		...optional('edition', row.edition),
		alsoIn: row.alsoIn,
		...optional('printRun', row.printRun),
		...optional('note', row.note),
		...row.details,
		series: row.series,
		odds: row.odds,
		cards: members
	};
}

function toCard(row: typeof cards.$inferSelect): Card {
	return {
		key: row.key,
		number: row.number,
		otherNumbers: row.otherNumbers,
		title: row.title,
		subjects: row.subjects,
		...optional('group', row.group),
		marks: row.marks,
		...optional('rarity', row.rarity),
		...optional('place', row.place),
		panelOf: row.panelOf,
		...row.details
	};
}

export function toParallel(row: typeof parallels.$inferSelect): Parallel {
	return {
		key: row.key,
		name: row.name,
		...optional('channel', row.channel),
		...optional('look', row.look),
		...optional('palette', row.palette),
		...optional('howToTell', row.howToTell),
		...optional('tells', row.tells),
		...(row.isBaseFinish ? { isBaseFinish: true } : {}),
		...optional('stockPt', row.stockPt),
		...optional('shape', row.shape),
		runs: row.runs
	};
}

function optional<Name extends string, Value>(name: Name, value: Value | null) {
	return (value === null ? {} : { [name]: value }) as { [Key in Name]?: Value };
}
