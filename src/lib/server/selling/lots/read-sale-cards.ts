import { flatRollup } from 'd3-array';
import { eq } from 'drizzle-orm';
import { cardFinder } from '../../../core/checklist/versions/find-version.ts';
import { qualityRank } from '../../../core/copies/condition.ts';
import { groupName } from '../../../core/goal/missing-list.ts';
import type { CopyId, ReleaseId } from '../../../core/row-id.ts';
import type { SaleCards } from '../../../core/selling/lots/deal-lots.ts';
import { whatMayGo, type GoingRules } from '../../../core/selling/lots/what-may-go.ts';
import { setWorth, type WorthCopy } from '../../../core/worth/value/set-worth.ts';
import { convertMinor } from '../../../core/money/exchange-rates.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { readPriceBook } from '../../buying/prices/read-price-book.ts';
import { outOf } from '../../copies/outings.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import { readCopies } from '../../copies/read-copies.ts';
import { chunks } from '../../database/chunks.ts';
import type { Reader } from '../../database/open.ts';
import { releases } from '../../database/tables/index.ts';
import { listedCopies } from '../listings/listed-copies.ts';
import { workOutGoals } from '../../goals/work-out-goals.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { loadReleases } from '../../releases/load-release.ts';
import { WORTH_RULES, worthRulesOf } from '../../worth/worth-rules.ts';

/** Prices of so many releases are read together. */
const RELEASES_AT_ONCE = 200;

/**
 * Cards that may go by the rules, of a release or of all, with what each is worth. What is out, on its way or in a listing already
 * is left out.
 */
export async function readSaleCards(
	db: Reader,
	release: string | null,
	rules: GoingRules,
	today: string
): Promise<{ readonly currency: string; readonly cards: readonly SaleCards[] }> {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const worthRules = worthRulesOf(await readPreference(db, WORTH_RULES));
	const heads = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(release === null ? undefined : eq(releases.key, release))
		.orderBy(releases.year, releases.name);
	const ids = heads.map(({ id }) => id);
	const needed = await neededCopies(db, ids);
	const taken = await listedCopies(db);
	const out = await outOf(db);
	const all: SaleCards[] = [];
	for (const some of chunks(heads, RELEASES_AT_ONCE)) {
		const keys = new Map(some.map(({ id, key }) => [id, key]));
		const book = await readPriceBook(db, keys, currency);
		const points = byRelease(book.points);
		for (const { id, release: stored } of await loadReleases(
			db,
			some.map((head) => head.id)
		)) {
			const find = cardFinder(stored);
			const here = (await readCopies(db, id)).flatMap((copy) => {
				const quantity = copy.quantity - (out.get(copy.id) ?? 0);
				const found = find(copy.version);
				if (quantity < 1 || !found || taken.has(copy.id)) return [];
				const { kind } = found.section;
				const { parallelKey } = found.version;
				const isBase = parallelKey === null && (kind === 'base' || kind === 'subset');
				const { version, status } = copy;
				const rank = qualityRank(copy);
				const group = groupName(stored, found.section, parallelKey);
				const asked = { version, status, isBase, quantity, rank, needed: needed.get(copy.id) ?? 0 };
				return [{ ...asked, copy, group }];
			});
			const going = whatMayGo(here, rules);
			if (going.length === 0) continue;
			const worth = setWorth(
				going.map(({ copy: { copy, group }, quantity }): WorthCopy => {
					const { house, valueMinor } = copy;
					const said =
						valueMinor === undefined
							? null
							: convertMinor(valueMinor, copy.currency ?? currency, currency, rates);
					return {
						...{ key: copy.key, version: copy.version, quantity, isKey: false, group },
						...qualityOfRow(copy),
						...(house === undefined ? {} : { house }),
						...(said === null ? {} : { saidMinor: said })
					};
				}),
				points.get(stored.key) ?? [],
				today,
				worthRules
			);
			going.forEach(({ copy: { copy, group, isBase }, quantity }, i) => {
				const line = worth.lines[i];
				const eachMinor = line && line.basis !== 'unknown' ? line.eachMinor : null;
				all.push({ key: copy.key, release: stored.name, group, isBase, quantity, eachMinor });
			});
		}
	}
	return { currency, cards: all };
}

/** Price points by version, as price points by the key of their release. */
const byRelease = <Point>(points: ReadonlyMap<string, readonly Point[]>) =>
	new Map(
		flatRollup(
			points,
			(some) => some.flatMap(([, of]) => of),
			([version]) => version.split('/')[0] ?? ''
		)
	);

/** How many cards of each copy fill places of goals; where goals share copies, as many as the one that takes most. */
async function neededCopies(
	db: Reader,
	ids: readonly ReleaseId[]
): Promise<ReadonlyMap<CopyId, number>> {
	const isAsked = new Set(ids);
	const states = await workOutGoals(db, (_, over) => over.some((id) => isAsked.has(id)));
	const needed = new Map<string, number>();
	for (const { filling } of states) {
		const here = new Map<string, number>();
		for (const { copy } of filling.placements) here.set(copy, (here.get(copy) ?? 0) + 1);
		for (const [copy, count] of here) needed.set(copy, Math.max(count, needed.get(copy) ?? 0));
	}
	return new Map([...needed].map(([copy, count]) => [Number(copy) as CopyId, count]));
}
