import { inArray } from 'drizzle-orm';
import { formatQuality, parseQuality } from '../../core/copies/quality-label.ts';
import { populations } from '../../core/worth/population/population.ts';
import { estimatePrice } from '../../core/worth/prices/estimate-price.ts';
import { indexPoints } from '../../core/worth/prices/like-points.ts';
import { BUYING_RULES } from '../buying/buying-rules.ts';
import { readPriceBook } from '../buying/prices/read-price-book.ts';
import type { Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { readPreference } from '../preferences/preferences.ts';
import { subjectView } from '../subjects/subject-view.ts';
import { readReports } from './read-worth-ground.ts';
import { WORTH_RULES, worthRulesOf } from './worth-rules.ts';

/** What is asked of a subject. */
export interface SubjectPricesAsk {
	readonly subject: string;
	/** Label of the grade or condition. */
	readonly quality: string;
	/** ISO 8601 date */
	readonly today: string;
}

const GOOD_GRADE = 8;

/** A subject over all issues at one grade, the cheapest first; those without a price by their year. */
export async function subjectPricesView(db: Reader, { subject, quality, today }: SubjectPricesAsk) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rules = worthRulesOf(await readPreference(db, WORTH_RULES));
	const read = parseQuality(quality);
	const wanted = read.ok ? read.value : { condition: 'near mint' as const };
	const { cards, untold } = await subjectView(db, subject);
	const heads = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, [...new Set(cards.map(({ releaseKey }) => releaseKey))]));
	const keys = new Map(heads.map(({ id, key }) => [id, key]));
	const book = await readPriceBook(db, keys, currency);
	const points = [...book.points.values()].flat();
	const index = indexPoints(points);
	const counted = new Map(
		populations(await readReports(db, keys), GOOD_GRADE).map((each) => [each.version, each])
	);
	const labels = [...new Set(points.map(formatQuality))].sort((a, b) =>
		a.localeCompare(b, 'en', { numeric: true })
	);
	const lines = cards.flatMap(({ versions, places: _, ...card }) =>
		versions.map(({ key, name, count, printRun }) => ({
			...{ card, key, name, count, printRun },
			estimate: estimatePrice(index, { ...wanted, version: key }, today, rules),
			graded: counted.get(key)?.graded ?? null
		}))
	);
	const isPriced = ({ estimate }: (typeof lines)[number]) => estimate.basis === 'sales';
	return {
		...{ subject, currency, untold, labels, quality: formatQuality(wanted) },
		problems: [...(read.ok ? [] : read.problems), ...book.problems],
		lines: lines
			.filter((line) => isPriced(line) || line.name === 'base' || line.count > 0 || line.graded)
			.sort(
				(a, b) =>
					Number(isPriced(b)) - Number(isPriced(a)) ||
					(a.estimate.middleMinor ?? 0) - (b.estimate.middleMinor ?? 0) ||
					a.card.year.localeCompare(b.card.year)
			)
	};
}
export type SubjectPricesView = Awaited<ReturnType<typeof subjectPricesView>>;
