import { sum } from 'd3-array';
import { singularOf } from './singular.ts';
import type { Condition } from '../../copies/condition.ts';
import type { Problem } from '../../problem.ts';
import type { EntryContext } from '../../shorthand/entry-context.ts';
import { readShorthand } from '../../shorthand/read-shorthand.ts';
import type { Price } from '../../worth/prices/price.ts';
import { isAll, parsePriceLine, type PlacedPhrase } from './price-phrase.ts';
import { isCommon, type SheetWant } from './sheet-want.ts';

/** Where prices are typed. */
export interface PriceGround extends EntryContext {
	/** What is missing of the release; "all" is said of these alone. */
	readonly wants: readonly SheetWant[];
	/** Versions that have a price of their own by now: "all …" leaves them out. */
	readonly priced: ReadonlySet<string>;
	/** ISO 4217: what is meant where no currency is said. */
	readonly currency: string;
	/** Whether "5x3" says that there are three, as of an offer; a price alone is of one card. */
	readonly takesCounts?: boolean;
}

/** How what a price is said of is told. */
interface SaidOf {
	readonly price: Price;
	readonly condition?: Condition;
	/** 1 to 10 in halves */
	readonly grade?: number;
	readonly isAuthentic?: true;
	readonly reason?: string;
}

/** What one card of a version is asked for. */
export interface SaidPrice extends SaidOf {
	readonly version: string;
	/** How many there are for that, as "5x3" says; usually 1. */
	readonly quantity: number;
}

/** One sum for several cards together. */
export interface SaidLump extends SaidOf {
	/** As it was said: "all commons". */
	readonly words: string;
	readonly versions: readonly string[];
	/** How many of each version, as "5x3" says; usually 1. */
	readonly quantities: readonly number[];
	/** How many cards of these are missing, at least one of each. */
	readonly cards: number;
}

/** What a line of prices says. With any problem it must not be applied. */
export interface PriceReading {
	readonly prices: readonly SaidPrice[];
	readonly lumps: readonly SaidLump[];
	readonly problems: readonly Problem[];
	/** What is said of cards that are not missing. */
	readonly notes: readonly Problem[];
}

/**
 * Reads a line of prices against what is missing of a release: `5 24 nm; 7 4–4.50; all commons 30`. Cards
 * are named as on the entry line. "all" with a word takes what is missing and has no price of its own:
 * "commons", "rest", a kind ("inserts"), a rarity class, several of them ("commons and ripples"); or words of the entry
 * line: a finish, a section.
 * Of a card priced twice in a line, in the same condition, the later price counts. Every word is accounted for: a
 * number of copies (but of offers), a serial number or a place says nothing of a price, and is a problem.
 */
export function readPriceLine(text: string, ground: PriceGround): PriceReading {
	const { phrases, problems } = parsePriceLine(text, ground.currency);
	const all: Problem[] = [...problems];
	const notes: Problem[] = [];
	const prices = new Map<string, SaidPrice>();
	const lumps: SaidLump[] = [];
	const missing = new Set(ground.wants.flatMap(({ versions }) => versions));
	const quantityOf = new Map(
		ground.wants.flatMap(({ versions, quantity }) =>
			versions.map((key) => [key, quantity] as const)
		)
	);
	for (const phrase of phrases) {
		const { cards, price, of, grade, isAuthentic, reason, start } = phrase;
		const saidBefore = [...prices.values()].map(({ version }) => version);
		const priced = new Set([...ground.priced, ...saidBefore]);
		const { counts, condition } = namedBy(phrase, { ...ground, priced }, all);
		const named = [...counts.keys()];
		if (named.length === 0) continue;
		const isKnown = named.some((version) => missing.has(version));
		if (!isKnown) {
			const message = named.length === 1 ? 'this is not missing' : 'none of these is missing';
			notes.push({ start, end: start + cards.length, message });
		}
		const said = {
			price,
			...(condition ? { condition } : {}),
			...(grade === undefined ? {} : { grade }),
			...(isAuthentic ? { isAuthentic } : {}),
			...(reason === undefined ? {} : { reason })
		};
		if (of === 'together' && sum(counts.values()) > 1) {
			const quantities = [...counts.values()];
			const count = sum(counts, ([version, quantity]) =>
				Math.max(quantity, quantityOf.get(version) ?? 1)
			);
			lumps.push({ words: cards, versions: named, quantities, cards: count, ...said });
			continue;
		}
		for (const [version, quantity] of counts) {
			const key = [version, condition ?? '', grade ?? '', isAuthentic ?? ''].join(' ');
			prices.set(key, { version, quantity, ...said });
		}
	}
	const isApplicable = all.length === 0;
	return {
		prices: isApplicable ? [...prices.values()] : [],
		lumps: isApplicable ? lumps : [],
		problems: all.sort((a, b) => (a.start ?? 0) - (b.start ?? 0)),
		notes
	};
}

/** What a phrase names: versions, how many of each, and the condition that stands among its cards or behind its price. */
interface NamedVersions {
	readonly counts: ReadonlyMap<string, number>;
	readonly condition: Condition | undefined;
}

/** The versions that a phrase names; what it names none of, and what says nothing of a price, is a problem. */
function namedBy(phrase: PlacedPhrase, ground: PriceGround, problems: Problem[]): NamedVersions {
	const { cards, start, condition } = phrase;
	const single = (versions: readonly string[]): NamedVersions => ({
		counts: new Map(versions.map((version) => [version, 1])),
		condition
	});
	const place = { start, end: start + cards.length };
	const group = isAll(cards) ? groupOf(cards, ground) : null;
	if (group) {
		const left = group.filter(
			({ versions }) => !versions.some((version) => ground.priced.has(version))
		);
		if (left.length === 0) {
			const message =
				group.length === 0
					? `nothing of "${cards}" is missing`
					: 'all of these have a price already';
			problems.push({ ...place, message, remedy: 'Name the cards by their numbers.' });
		}
		return single(left.flatMap(({ versions }) => versions[0] ?? []));
	}
	// Nothing counts as owned here: the cards that are named matter, not how many there are.
	const reading = readShorthand(cards, { ...ground, owned: new Map() });
	const moved = ({ start: from = 0, end: to = cards.length, ...problem }: Problem) => ({
		...problem,
		start: start + from,
		end: start + to
	});
	problems.push(...reading.problems.map(moved));
	const counts = new Map<string, number>();
	for (const { version, quantity } of reading.additions) {
		counts.set(version, (counts.get(version) ?? 0) + quantity);
	}
	const among = reading.additions.flatMap((addition) => addition.condition ?? []);
	const no = (message: string, remedy: string) => problems.push({ ...place, message, remedy });
	if (reading.additions.some(({ serial, place: kept }) => serial ?? kept)) {
		no('a serial number or a place says nothing of a price', 'Leave it out.');
	}
	const conditions = new Set([...among, ...(condition ? [condition] : [])]);
	if (conditions.size > 1 || (among.length > 0 && among.length < reading.additions.length)) {
		no('two conditions stand in one price', 'Write a price for each.');
	}
	if (!ground.takesCounts && [...counts.values()].some((count) => count > 1)) {
		no('a price is of one card', 'Leave the x out, or each card only once.');
	}
	if (!isAll(cards)) {
		if (counts.size === 0 && reading.problems.length === 0)
			no('this names no card', 'Write numbers.');
		return { counts, condition: [...conditions][0] };
	}
	// "all brass": what is missing of it.
	const missing = ground.wants.flatMap((want) =>
		want.versions.some((version) => ground.priced.has(version))
			? []
			: (want.versions.find((version) => counts.has(version)) ?? [])
	);
	if (missing.length === 0 && reading.problems.length === 0) {
		const message = `nothing of "${cards}" is missing without a price`;
		problems.push({ ...place, message, remedy: 'Name the cards by their numbers.' });
	}
	return { ...single(missing), condition: [...conditions][0] };
}

const KINDS = { base: 'base', subset: 'subset', insert: 'insert', extra: 'extra' } as const;

/** What is missing of a group: everything, commons, the rest, a kind, a rarity class; null: these words mean none. */
function groupOf(cards: string, ground: PriceGround): readonly SheetWant[] | null {
	const word = cards
		.slice(3)
		.trim()
		.replace(/^the\s+/i, '')
		.toLowerCase();
	const whole = wantsCalled(word, ground);
	const parts = word.split(/\s+(?:and|&|\+)\s+/);
	if (whole || parts.length === 1) return whole;
	// "commons and uncommons": each of them has to be one.
	const groups = parts.map((part) => wantsCalled(part, ground) ?? wantsOfPart(part, ground));
	if (groups.includes(null)) return null;
	const named = new Set(groups.flatMap((some) => some ?? []));
	return ground.wants.filter((want) => named.has(want));
}

/** What is missing of a section or a finish, by its name; null: nothing is called so. */
function wantsOfPart(word: string, { release, wants }: PriceGround): readonly SheetWant[] | null {
	const isCalled = ({ name }: { readonly name: string }) => name.toLowerCase() === word;
	const section = release.sections.find(isCalled);
	const parallel = release.parallels.find(isCalled);
	if (section)
		return wants.filter((want) => want.section === section.key && want.parallel === null);
	return parallel ? wants.filter((want) => want.parallel === parallel.key) : null;
}

/** What a word means by itself; null: nothing. */
function wantsCalled(word: string, { release, wants }: PriceGround): readonly SheetWant[] | null {
	const single = singularOf(word);
	if (word === '' || ['rest', 'other', 'missing'].includes(single)) return wants;
	if (single === 'common') return wants.filter((want) => isCommon(want, release.rarities));
	const rarity = release.rarities.find(
		(each) =>
			[word, single].includes(each.toLowerCase()) || singularOf(each.toLowerCase()) === single
	);
	if (rarity !== undefined)
		return wants.filter((want) => want.rarity === rarity && want.parallel === null);
	const isSection = release.sections.some(({ name }) => name.toLowerCase() === word);
	const kind = Object.hasOwn(KINDS, single) ? KINDS[single as keyof typeof KINDS] : undefined;
	if (!kind || isSection) return null;
	return wants.filter((want) => want.kind === kind && want.parallel === null);
}
