import type { Price } from '../../../core/worth/prices/price.ts';
import { priceSheet, type SheetLine } from '../../../core/buying/prices/price-sheet.ts';
import type { SheetWant } from '../../../core/buying/prices/sheet-want.ts';
import { isBought } from '../../../core/copies/copy-record.ts';
import { versionNamer } from '../../../core/copies/name-version.ts';
import { groupName } from '../../../core/goal/missing-list.ts';
import type { GoalId } from '../../../core/row-id.ts';
import { listSynonyms } from '../../copies/synonyms.ts';
import type { Reader } from '../../database/open.ts';
import { goals, releases } from '../../database/tables/index.ts';
import { workOutGoals, type GoalState } from '../../goals/work-out-goals.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { finishSlots } from '../finish-slots.ts';
import { readPriceBook, type PriceBook } from './read-price-book.ts';
import { inArray } from 'drizzle-orm';

/** A line of the sheet as it is shown. */
export interface NamedLine extends SheetLine {
	/** "41, Brass", or the words of a sum. */
	readonly name: string;
	readonly title: string;
	/** "Base, Brass", where the line is of one group. */
	readonly group: string;
	/** What is typed to say it anew: the cards, as the entry line names them. */
	readonly version: string | null;
}

/** The price sheet of a goal, with all that is needed to read a line of prices; null: there is no such goal. */
export async function sheetView(db: Reader, id: GoalId) {
	const [state] = await workOutGoals(db, (goal) => goal.id === id, isBought);
	if (!state) return null;
	const { goal, releases: known } = state;
	const rules = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const { book, slots } = await pricedSlots(db, state, rules.currency, rates);
	const wants = slots.filter(({ quantity }) => quantity > 0);
	const lumps = book.lumps.get(goal.id) ?? [];
	const sheet = priceSheet(wants, lumps, rules.postageMinor, slots);
	const nameOf = lineNamer(state);
	const words = new Map(lumps.map((lump) => [lump.key, lump.words]));
	const wantOf = new Map(wants.map((want) => [want.key, want]));
	return {
		goal: { id: goal.id, name: goal.name },
		rules,
		problems: book.problems,
		releases: known,
		synonyms: (await listSynonyms(db)).map(({ word, means }) => [word, means] as const),
		wants: wants.map((want): SheetWant & { readonly price: Price | null } => {
			const { key, versions, quantity, release, section, kind, parallel, isVariant } = want;
			const { rarity, marks, price } = want;
			return {
				...{ key, versions, quantity, release, section, kind, parallel, isVariant, marks },
				...(rarity === undefined ? {} : { rarity }),
				price: price && { lowMinor: price.lowMinor, highMinor: price.highMinor }
			};
		}),
		sheet: {
			...sheet,
			lines: sheet.lines.map((line): NamedLine => {
				const want = wantOf.get(line.key);
				const said = words.get(line.key);
				return want
					? { ...line, ...nameOf(want), version: want.versions[0] ?? null }
					: { ...line, name: said ?? line.key, title: '', group: '', version: null };
			})
		}
	};
}

/** The slots of a goal with prices, and the book they come from. */
async function pricedSlots(
	db: Reader,
	state: GoalState,
	currency: string,
	rates: Parameters<typeof finishSlots>[2]['rates']
): Promise<{ readonly book: PriceBook; readonly slots: ReturnType<typeof finishSlots> }> {
	const keys = state.releases.map(({ key }) => key);
	const heads = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, keys));
	const book = await readPriceBook(db, new Map(heads.map(({ id, key }) => [id, key])), currency);
	return { book, slots: finishSlots(state, book.points, { currency, rates }) };
}

function lineNamer({ releases: known }: GoalState) {
	const byKey = new Map(
		known.map((release, i) => [
			release.key,
			{ release, isHome: i === 0, nameOf: versionNamer(release) }
		])
	);
	return ({ release: key, section: sectionKey, parallel, versions }: SheetWant) => {
		const found = byKey.get(key);
		const { name, title } = found?.nameOf(versions[0] ?? '') ?? {
			name: versions[0] ?? '',
			title: ''
		};
		const section = found?.release.sections.find((each) => each.key === sectionKey);
		const of = found && section ? groupName(found.release, section, parallel) : sectionKey;
		return { name, title, group: found?.isHome ? of : `${found?.release.name ?? key}, ${of}` };
	};
}

/** Goals to choose a sheet of. */
export async function listSheets(db: Reader) {
	return db.select({ id: goals.id, name: goals.name }).from(goals).orderBy(goals.id);
}
