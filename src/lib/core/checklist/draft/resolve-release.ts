import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import type { Card } from '../card.ts';
import { normalCardNumber } from '../numbers/card-number.ts';
import { checkRelease } from './check-release.ts';
import { CARD_DETAILS, pickDetails } from '../card-details.ts';
import type { CardDraft, OddsDraft, ReleaseDraft, SectionDraft } from './draft.ts';
import type { PackType, Release } from '../release.ts';
import { SECTION_DETAILS, type Section } from '../section.ts';
import { parseOdds, type Odds } from '../odds.ts';
import { keyMaker, slug } from '../slug.ts';

/** What the parts of one release share while it is resolved. */
interface Resolving {
	readonly packTypes: readonly PackType[];
	readonly makeCardKey: (wanted: string) => string;
	readonly problems: Problem[];
}

/**
 * Completes a draft and checks that its parts fit together. All problems come at once, each with
 * the JSON Pointer of its place in the draft.
 */
export function resolveRelease(draft: ReleaseDraft): Outcome<Release> {
	const { release, problems } = completeDraft(draft);
	const all = [...problems, ...checkRelease(release)];
	return all.length > 0 ? bad(all) : good(release);
}

/**
 * Fills in what a draft leaves out: keys from names and numbers, empty lists, a base section's kind.
 * Whether the parts fit together is not looked at; the problems are of single fields.
 */
export function completeDraft(draft: ReleaseDraft): {
	readonly release: Release;
	readonly problems: readonly Problem[];
} {
	const problems: Problem[] = [];
	const cardKeys = draft.sections.flatMap(({ cards }) => cards.flatMap((card) => card.key ?? []));
	const packTypes = withKeys(draft.packTypes ?? []);
	const resolving: Resolving = {
		packTypes,
		makeCardKey: keyMaker(new Set(cardKeys)),
		problems
	};
	const sections = withKeys(draft.sections).map((section, s) =>
		resolveSection(section, `/sections/${s}`, resolving)
	);
	const { key, name, maker, year, theme, note } = draft.release;
	const release: Release = {
		key: key ?? slug(`${name} ${name.includes(year) ? '' : year}`),
		name,
		maker,
		year,
		...(theme ? { theme } : {}),
		...(note ? { note } : {}),
		...(draft.collectibles?.length ? { collectibles: withKeys(draft.collectibles) } : {}),
		...(draft.hunts?.length ? { hunts: withKeys(draft.hunts) } : {}),
		packTypes,
		rarities: draft.rarities ?? [
			...new Set(sections.flatMap((section) => section.cards.flatMap((card) => card.rarity ?? [])))
		],
		sections,
		parallels: withKeys(draft.parallels ?? []).map((parallel, p) => ({
			...parallel,
			runs: parallel.runs.map((rule, r) => withOdds(rule, `/parallels/${p}/runs/${r}`, resolving))
		})),
		variants: withKeys(draft.variants ?? []).map(({ finishes, ...variant }, v) => ({
			...withOdds(variant, `/variants/${v}`, resolving),
			...(finishes
				? {
						finishes: finishes.map((finish, f) =>
							withOdds(finish, `/variants/${v}/finishes/${f}`, resolving)
						)
					}
				: {})
		}))
	};
	return { release, problems };
}

/** Given keys stand; the others are made of the names, clear of the given ones. */
function withKeys<Thing extends { readonly key?: string; readonly name: string }>(
	things: readonly Thing[]
): (Thing & { readonly key: string })[] {
	const makeKey = keyMaker(new Set(things.flatMap((thing) => thing.key ?? [])));
	return things.map((thing) => ({ ...thing, key: thing.key ?? makeKey(slug(thing.name)) }));
}

function resolveSection(
	draft: SectionDraft & { readonly key: string },
	pointer: string,
	resolving: Resolving
): Section {
	const { key, numberedIn, printRun, note, statedTotal, format, arrangement, edition } = draft;
	const kind = draft.kind ?? 'base';
	return {
		key,
		name: draft.name,
		kind,
		...(numberedIn ? { numberedIn } : {}),
		listed: draft.listed ?? kind !== 'extra',
		...(statedTotal ? { statedTotal } : {}),
		...(printRun ? { printRun } : {}),
		...(note ? { note } : {}),
		...pickDetails(draft, SECTION_DETAILS),
		...(format ? { format } : {}),
		...(arrangement ? { arrangement } : {}),
		...(edition
			? {
					edition: {
						of: edition.of,
						changes: edition.changes ?? [],
						without: edition.without ?? [],
						...(edition.from ? { from: edition.from } : {})
					}
				}
			: {}),
		alsoIn: draft.alsoIn ?? [],
		series: draft.series ?? [],
		odds: resolveOdds(draft.odds ?? {}, pointer, resolving),
		cards: draft.cards.map((card, c) =>
			resolveCard(card, numberedIn ?? key, `${pointer}/cards/${c}`, resolving)
		)
	};
}

function withOdds<Thing extends { readonly odds?: OddsDraft }>(
	thing: Thing,
	pointer: string,
	resolving: Resolving
): Omit<Thing, 'odds'> & { readonly odds?: readonly Odds[] } {
	const { odds, ...rest } = thing;
	return odds ? { ...rest, odds: resolveOdds(odds, pointer, resolving) } : rest;
}

function resolveOdds(
	draft: OddsDraft,
	pointer: string,
	{ packTypes, problems }: Resolving
): readonly Odds[] {
	return Object.entries(draft).flatMap(([packType, text]) => {
		const at = `${pointer}/odds/${packType}`;
		const odds = parseOdds(text);
		if (!odds) {
			problems.push({
				pointer: at,
				field: 'odds',
				message: `"${text}" are no odds`,
				remedy: 'Write them as on the pack: 1:6 is one in six packs.'
			});
		}
		if (packTypes.length > 0 && !packTypes.some((known) => known.key === packType)) {
			problems.push({
				pointer: at,
				field: 'odds',
				message: `no pack type has the key "${packType}"`,
				remedy: `Use one of: ${packTypes.map((known) => known.key).join(', ')}.`
			});
		}
		return odds ? [{ packType, ...odds }] : [];
	});
}

function resolveCard(
	draft: CardDraft,
	numberingKey: string,
	pointer: string,
	resolving: Resolving
): Card {
	const { makeCardKey, problems } = resolving;
	const number = draft.number?.trim() || null;
	const title = draft.title?.trim() ?? '';
	if (number === null && title === '') {
		problems.push({
			pointer,
			field: 'number',
			message: 'the card has neither a number nor a title',
			remedy: 'Give it at least one of them.'
		});
	}
	const name = number ? normalCardNumber(number) : title;
	const { odds, ...details } = pickDetails(draft, CARD_DETAILS);
	return {
		key: draft.key ?? makeCardKey(`${numberingKey}-${slug(name)}`),
		number,
		otherNumbers: draft.otherNumbers ?? [],
		title,
		subjects: draft.subjects ?? [],
		...(draft.group ? { group: draft.group } : {}),
		marks: draft.marks ?? [],
		...(draft.rarity ? { rarity: draft.rarity } : {}),
		...(draft.place ? { place: draft.place } : {}),
		panelOf: draft.panelOf ?? [],
		...details,
		...(odds ? { odds: resolveOdds(odds, pointer, resolving) } : {})
	};
}
