import { and, eq, inArray } from 'drizzle-orm';
import { numberingsOf } from '../../core/checklist/numbering.ts';
import { versionMaker, type Version } from '../../core/checklist/versions/expand.ts';
import type { Release } from '../../core/checklist/release.ts';
import { versionsOfCopy } from '../../core/copies/copy.ts';
import { toCopy, type StoredCopy } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { copies, releases } from '../database/tables/index.ts';
import { placesOfCopies } from '../places/places-of.ts';
import { loadReleases } from '../releases/load-release.ts';
import { readSubject, type SubjectCard } from '../releases/read-subject.ts';

/** Releases whose finishes are looked up; of those beyond only the cards are told. */
const MOST_RELEASES = 60;

/** One version of a card of the subject, and how many copies of it are there. */
export interface SubjectVersion {
	readonly key: string;
	/** "Brass", "base, wrong home town" */
	readonly name: string;
	readonly printRun: number | null;
	readonly count: number;
}

export interface SubjectCardView extends SubjectCard {
	readonly versions: readonly SubjectVersion[];
	/** Boxes, binders and other places where its copies are. */
	readonly places: readonly string[];
}

/** A subject over all releases: each card with its finishes, what is there of it, and where. */
export async function subjectView(db: Reader, subject: string) {
	const cards = await readSubject(db, subject);
	const keys = [...new Set(cards.map(({ releaseKey }) => releaseKey))];
	const rows = await db
		.select({ id: releases.id })
		.from(releases)
		.where(inArray(releases.key, keys.slice(0, MOST_RELEASES)));
	const loaded = await loadReleases(
		db,
		rows.map(({ id }) => id)
	);
	const seen = new Map<string, Pick<SubjectCardView, 'versions' | 'places'>>();
	for (const { id, release } of loaded) {
		const asked = new Set(
			cards.filter(({ releaseKey }) => releaseKey === release.key).map(({ cardKey }) => cardKey)
		);
		const owned = (
			await db
				.select()
				.from(copies)
				.where(and(eq(copies.releaseId, id), inArray(copies.cardKey, [...asked])))
		).map((row) => toCopy(release.key, row));
		const placeOf = await placesOfCopies(
			db,
			owned.map((copy) => copy.id)
		);
		for (const [card, versions] of versionsOfCards(release, asked)) {
			const here = owned.filter((copy) => isOf(copy, versions));
			seen.set(`${release.key}/${card}`, {
				versions: versions.map((version) => ({
					key: version.key,
					name: nameOf(release, version),
					printRun: version.printRun,
					count: here
						.filter(
							(copy) => copy.status !== 'incoming' && versionsOfCopy(copy).includes(version.key)
						)
						.reduce((sum, { quantity }) => sum + quantity, 0)
				})),
				places: [
					...new Set(
						here.flatMap((copy) => [
							...(placeOf.get(copy.id) ?? []).map(({ name }) => name),
							...(copy.place === undefined ? [] : [copy.place])
						])
					)
				]
			});
		}
	}
	return {
		cards: cards.map((card): SubjectCardView => ({
			...card,
			...(seen.get(`${card.releaseKey}/${card.cardKey}`) ?? { versions: [], places: [] })
		})),
		untold: Math.max(0, keys.length - MOST_RELEASES)
	};
}

const isOf = (copy: StoredCopy, versions: readonly Version[]) =>
	versions.some(({ key }) => versionsOfCopy(copy).includes(key));

function versionsOfCards(
	release: Release,
	asked: ReadonlySet<string>
): ReadonlyMap<string, readonly Version[]> {
	const versionsOf = versionMaker(release);
	return new Map(
		numberingsOf(release).flatMap((numbering) =>
			numbering.cards
				.filter(({ card }) => asked.has(card.key))
				.map(({ card, section }) => [card.key, versionsOf(numbering.key, section, card)] as const)
		)
	);
}

function nameOf(release: Release, { parallelKey, variantKey }: Version): string {
	const finish = release.parallels.find(({ key }) => key === parallelKey)?.name;
	const variant = release.variants.find(({ key }) => key === variantKey)?.name;
	return [finish ?? 'base', variant].filter(Boolean).join(', ');
}
