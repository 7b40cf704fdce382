import { sort } from 'd3-array';
import { inArray } from 'drizzle-orm';
import type { SheetWant } from '../../../core/buying/prices/sheet-want.ts';
import { middleOf } from '../../../core/worth/prices/price.ts';
import { typicalPrice, type KnownPrice } from '../../../core/buying/prices/typical-price.ts';
import {
	parseSearchTemplate,
	searchText,
	USUAL_SEARCH
} from '../../../core/buying/wants/search-text.ts';
import {
	isTooDear,
	wantsList,
	type ChosenGoal,
	type Want,
	type WantMark
} from '../../../core/buying/wants/wants-list.ts';
import type { Release } from '../../../core/checklist/release.ts';
import { cardFinder } from '../../../core/checklist/versions/find-version.ts';
import { isBought } from '../../../core/copies/copy-record.ts';
import { versionNamer } from '../../../core/copies/name-version.ts';
import { groupName } from '../../../core/goal/missing-list.ts';
import type { Problem } from '../../../core/problem.ts';
import { convertMinor, type ExchangeRate } from '../../../core/money/exchange-rates.ts';
import type { BuyingRules } from '../../../schemas/buying.ts';
import type { Reader } from '../../database/open.ts';
import { goalChoices, releases, wantMarks } from '../../database/tables/index.ts';
import { workOutContent, type GoalRow } from '../../goals/work-out-goals.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { readPriceBook } from '../prices/read-price-book.ts';

/** A want with its names, what it is expected to cost, and the text to search for it with. */
export interface NamedWant extends Want {
	/** "41, Brass" */
	readonly name: string;
	readonly title: string;
	/** Its number, empty for a card without; its finish and variant, empty for the regular one. */
	readonly number: string;
	readonly printing: string;
	readonly release: string;
	readonly releaseKey: string;
	/** "Base, Brass" */
	readonly group: string;
	readonly search: string;
	/** The same as a price line needs to know it. */
	readonly sheet: SheetWant;
	readonly price: KnownPrice | null;
	/** Where it has no price of its own: the sum it was priced in with others, and its share in minor units. */
	readonly inSum: { readonly words: string; readonly eachMinor: number } | null;
	/** What is said of the card itself; null: nothing. */
	readonly mark: WantMark | null;
	/** Whether the expected price is above the most one would pay. */
	readonly isTooDear: boolean;
}

/** The wants list of all goals that are to be finished. */
export interface WantsView {
	readonly rules: BuyingRules;
	readonly goals: readonly Pick<GoalRow, 'id' | 'name'>[];
	readonly wants: readonly NamedWant[];
	readonly problems: readonly Problem[];
}

/** Reads what is wanted: the goals chosen to be finished, joined; what is on its way is not wanted. */
export async function readWants(db: Reader): Promise<WantsView> {
	const rules = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const chosen = (await db.select().from(goalChoices)).filter(({ choice }) => choice === 'finish');
	if (chosen.length === 0) return { rules, goals: [], wants: [], problems: [] };
	const content = await workOutContent(
		db,
		chosen.map(({ goalId }) => goalId),
		new Map(),
		isBought
	);
	const lacking = new Map(content.filling.missing.map(({ slot, quantity }) => [slot, quantity]));
	const marks = await readMarks(db, rules.currency, rates);
	// In the order of the checklist: slots come set by set.
	const position = new Map<string, number>();
	for (const { version } of content.slots) {
		if (!position.has(version.key)) position.set(version.key, position.size);
	}
	const places = sort(content.slots, ({ version }) => position.get(version.key));
	const wants = wantsList(
		places.flatMap((slot) => {
			const quantity = lacking.get(slot.key);
			return quantity === undefined ? [] : [{ ...slot, quantity }];
		}),
		chosen.map((choice): ChosenGoal => {
			const { goalId, priority } = choice;
			return { key: String(goalId), priority, mostMinor: limitOf(choice, rules.currency, rates) };
		}),
		marks
	);
	const keys = content.releases.map(({ key }) => key);
	const heads = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, keys));
	const { points, lumps, problems } = await readPriceBook(
		db,
		new Map(heads.map(({ id, key }) => [id, key])),
		rules.currency
	);
	const sums = new Map(
		chosen
			.flatMap(({ goalId }) => lumps.get(goalId) ?? [])
			.flatMap((lump) => {
				const inSum = { words: lump.words, eachMinor: Math.round(middleOf(lump) / lump.cards) };
				return lump.versions.map((version) => [version, inSum] as const);
			})
	);
	const nameOf = wantNamer(content.releases, rules.template);
	return {
		rules,
		goals: content.goals.map(({ id, name }) => ({ id, name })),
		problems,
		wants: wants.map((want): NamedWant => {
			const price = typicalPrice(
				want.versions.flatMap((version) => points.get(version) ?? []),
				want
			);
			const [version = ''] = want.versions;
			const inSum = price ? null : (sums.get(version) ?? null);
			const mark = marks.get(version) ?? null;
			const { sheet, ...names } = nameOf(version);
			const asked = { ...sheet, versions: want.versions, quantity: want.quantity };
			return {
				...want,
				...names,
				sheet: asked,
				price,
				inSum,
				mark,
				isTooDear: isTooDear(price, want.mostMinor)
			};
		})
	};
}

/** The most one would pay, in the currency that is reckoned in; null: no limit, or in money that no rate leads from. */
function limitOf(
	{
		mostMinor,
		currency: code
	}: { readonly mostMinor: number | null; readonly currency: string | null },
	currency: string,
	rates: readonly ExchangeRate[]
): number | null {
	return mostMinor === null ? null : convertMinor(mostMinor, code ?? currency, currency, rates);
}

async function readMarks(
	db: Reader,
	currency: string,
	rates: readonly ExchangeRate[]
): Promise<ReadonlyMap<string, WantMark>> {
	const rows = await db.select().from(wantMarks);
	return new Map(
		rows.map((row) => {
			const most = limitOf(row, currency, rates);
			return [
				row.version,
				{
					isFavourite: row.isFavourite,
					...(row.priority === null ? {} : { priority: row.priority }),
					...(most === null ? {} : { mostMinor: most }),
					...(row.leastCondition === null ? {} : { leastCondition: row.leastCondition })
				}
			] as const;
		})
	);
}

function wantNamer(known: readonly Release[], template: string) {
	const read = parseSearchTemplate(template);
	const usual = parseSearchTemplate(USUAL_SEARCH);
	const pieces = read.ok ? read.value : usual.ok ? usual.value : [];
	const byKey = new Map(
		known.map((release) => [
			release.key,
			{ release, find: cardFinder(release), nameOf: versionNamer(release) }
		])
	);
	return (key: string) => {
		const of = byKey.get(key.split('/')[0] ?? '');
		const found = of?.find(key);
		if (!of || !found)
			return {
				...{
					name: key,
					title: '',
					number: '',
					printing: '',
					release: '',
					releaseKey: '',
					group: '',
					search: key
				},
				sheet: bareWant(key, '')
			};
		const { release, nameOf } = of;
		const { section, card, version } = found;
		const nameIn = (
			list: readonly { readonly key: string; readonly name: string }[],
			which: string | null
		) => list.find((each) => each.key === which)?.name ?? '';
		return {
			...nameOf(key),
			number: card.number ?? '',
			printing: [
				nameIn(release.parallels, version.parallelKey),
				nameIn(release.variants, version.variantKey)
			]
				.filter(Boolean)
				.join(' '),
			release: release.name,
			releaseKey: release.key,
			group: groupName(release, section, version.parallelKey),
			sheet: {
				...bareWant(key, release.key),
				...{ section: section.key, kind: section.kind, parallel: version.parallelKey },
				...{ isVariant: version.variantKey !== null, marks: card.marks },
				...(card.rarity === undefined ? {} : { rarity: card.rarity })
			},
			search: searchText(pieces, {
				year: release.year,
				maker: release.maker,
				// The year stands in many a name already.
				set: release.name.replace(release.year, '').trim(),
				section: section.kind === 'base' ? '' : section.name,
				finish: nameIn(release.parallels, version.parallelKey),
				number: card.number ?? '',
				title: card.title,
				subject: card.subjects.join(' ') || card.title,
				variant: nameIn(release.variants, version.variantKey)
			})
		};
	};
}

function bareWant(key: string, release: string): SheetWant {
	return {
		...{ key, versions: [key], quantity: 1, release, section: '', kind: 'base', parallel: null },
		...{ isVariant: false, marks: [] }
	};
}
