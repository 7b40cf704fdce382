import { and, eq, inArray } from 'drizzle-orm';
import { lookAlikes, type LookAlike } from '../../core/checklist/look-alikes.ts';
import { cardsOf } from '../../core/checklist/release.ts';
import type { BinderId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { cards, releases } from '../database/tables/index.ts';
import { releasesInBinder } from './tell-blocks.ts';

/** A look-alike with the names that people know it by. */
export interface NamedLookAlike extends LookAlike {
	readonly title: string;
	readonly releaseName: string;
}

/** Cards of a binder's releases ("release/card") that are like others, with these; what is not there is left out. */
export async function alikeInBinder(
	db: Reader,
	id: BinderId
): Promise<ReadonlyMap<string, readonly NamedLookAlike[]>> {
	const held = await releasesInBinder(db, id);
	const alike = lookAlikes(held);
	const names = new Map(
		held.flatMap((release) =>
			cardsOf(release).map(({ card }) => [
				`${release.key}/${card.key}`,
				{
					title: [card.number, card.title].filter(Boolean).join(' '),
					releaseName: release.name
				}
			])
		)
	);
	// A release may be known here only by the sections that it shares.
	const strange = [...alike.values()]
		.flat()
		.filter(({ release, card }) => !names.has(`${release}/${card}`));
	const keys = [...new Set(strange.map(({ card }) => card))];
	const others =
		keys.length === 0
			? []
			: await db
					.select({
						release: releases.key,
						releaseName: releases.name,
						card: cards.key,
						number: cards.number,
						title: cards.title
					})
					.from(cards)
					.innerJoin(releases, eq(cards.releaseId, releases.id))
					.where(
						and(
							inArray(cards.key, keys),
							inArray(releases.key, [...new Set(strange.map(({ release }) => release))])
						)
					);
	for (const { release, card, number, title, releaseName } of others) {
		names.set(`${release}/${card}`, {
			title: [number, title].filter(Boolean).join(' '),
			releaseName
		});
	}
	return new Map(
		[...alike].map(([of, list]) => [
			of,
			list.flatMap((each): readonly NamedLookAlike[] => {
				const named = names.get(`${each.release}/${each.card}`);
				return named ? [{ ...each, ...named }] : [];
			})
		])
	);
}
