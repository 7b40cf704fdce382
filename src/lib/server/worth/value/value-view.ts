import { asc } from 'drizzle-orm';
import type { PricePoint } from '../../../core/worth/prices/price-point.ts';
import { setWorth, worthOverTime } from '../../../core/worth/value/set-worth.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { readPriceBook } from '../../buying/prices/read-price-book.ts';
import type { Reader } from '../../database/open.ts';
import { binders, boxes, goals } from '../../database/tables/index.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { listReleases } from '../../releases/list-releases.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { WORTH_RULES, worthRulesOf } from '../worth-rules.ts';
import { loadRelease } from '../../releases/load-release.ts';
import { panelsOfRelease } from './panels-of-release.ts';
import { readWorthCopies, type WorthScope } from './read-worth-copies.ts';

export interface ValueAsk {
	readonly scope: WorthScope;
	/** ISO 8601 date */
	readonly today: string;
}

/** The dearest lines that are listed. */
const MOST_LISTED = 60;
/** Lines up to which the change over time is reckoned. */
const MOST_OVER_TIME = 20_000;
/** Quarters that are looked back. */
const QUARTERS = 8;

/** What copies are worth together, by group, one step worse, and how that changed. */
export async function valueView(db: Reader, { scope, today }: ValueAsk) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const kept = await readPreference(db, WORTH_RULES);
	const { copies, releases } = await readWorthCopies(db, scope, { currency, rates });
	const book = await readPriceBook(db, releases, currency);
	const points: readonly PricePoint[] = [...book.points.values()].flat();
	const rules = worthRulesOf(kept);
	const { lines, ...worth } = setWorth(copies, points, today, rules);
	const dearest = [...lines]
		.filter(({ basis }) => basis !== 'unknown')
		.sort((a, b) => b.eachMinor - a.eachMinor)
		.slice(0, MOST_LISTED);
	const names = await nameVersions(
		db,
		dearest.map(({ version }) => version)
	);
	const stored = scope.sort === 'release' ? await loadRelease(db, scope.key) : null;
	return {
		...{ currency, kept, scope, worth, problems: book.problems },
		panels: stored ? panelsOfRelease(stored.release, copies, points, today, rules) : [],
		dearest: dearest.map((line) => ({
			...line,
			...(names.get(line.version) ?? { card: line.version, release: '' })
		})),
		overTime:
			copies.length > MOST_OVER_TIME
				? []
				: worthOverTime(copies, points, quartersBefore(today), rules),
		choices: {
			releases: (await listReleases(db))
				.filter(({ owned }) => owned > 0)
				.map(({ key, name }) => ({ key, name })),
			goals: await db.select({ id: goals.id, name: goals.name }).from(goals).orderBy(asc(goals.id)),
			binders: await db
				.select({ id: binders.id, name: binders.name })
				.from(binders)
				.orderBy(asc(binders.id)),
			boxes: await db.select({ id: boxes.id, name: boxes.name }).from(boxes).orderBy(asc(boxes.id))
		}
	};
}
export type ValueView = Awaited<ReturnType<typeof valueView>>;

/** The first days of the last quarters and the day itself, the earliest first. */
function quartersBefore(today: string): readonly string[] {
	const [year = 0, month = 1] = today.split('-').map(Number);
	const quarter = Math.floor((month - 1) / 3);
	const days = Array.from({ length: QUARTERS }, (_, i) => {
		const at = year * 4 + quarter - i;
		return `${String(Math.floor(at / 4)).padStart(4, '0')}-${String(3 * (at % 4) + 1).padStart(2, '0')}-01`;
	}).reverse();
	return days.includes(today) ? days : [...days, today];
}
