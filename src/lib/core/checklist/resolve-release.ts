import { bad, good, type Outcome, type Problem } from '../problem.ts';
import type { Card } from './card.ts';
import { normalCardNumber } from './card-number.ts';
import { checkRelease } from './check-release.ts';
import type { CardDraft, ReleaseDraft, SectionDraft } from './draft.ts';
import type { PackType, Release } from './release.ts';
import { parseOdds, type Odds, type Section } from './section.ts';
import { freeKey, slug } from './slug.ts';

/**
 * Fills in what a draft leaves out (keys from names and numbers, empty lists, a base section's
 * kind) and checks that the parts fit together. All problems come at once, each with the JSON
 * Pointer of its place in the draft.
 */
export function resolveRelease(draft: ReleaseDraft): Outcome<Release> {
	const problems: Problem[] = [];
	const packTypes = resolvePackTypes(draft);
	const sectionKeys = keysOf(draft.sections);
	const cardKeys = new Set(
		draft.sections.flatMap((section) => section.cards.flatMap((card) => card.key ?? []))
	);
	const sections = draft.sections.map((section, s) => {
		const key = sectionKeys[s] ?? slug(section.name);
		return resolveSection(section, key, `/sections/${s}`, packTypes, cardKeys, problems);
	});
	const parallelKeys = keysOf(draft.parallels ?? []);
	const { key, name, maker, year, note } = draft.release;
	const release: Release = {
		key: key ?? slug(`${name} ${name.includes(year) ? '' : year}`),
		name,
		maker,
		year,
		...(note ? { note } : {}),
		packTypes,
		rarities: draft.rarities ?? [
			...new Set(sections.flatMap((section) => section.cards.flatMap((card) => card.rarity ?? [])))
		],
		sections,
		parallels: (draft.parallels ?? []).map((parallel, p) => ({
			...parallel,
			key: parallelKeys[p] ?? slug(parallel.name)
		}))
	};
	problems.push(...checkRelease(release));
	return problems.length > 0 ? bad(problems) : good(release);
}

/** Given keys stand; the others are made of the names, clear of the given ones. */
function keysOf(things: readonly { readonly key?: string; readonly name: string }[]): string[] {
	const taken = new Set(things.flatMap((thing) => thing.key ?? []));
	return things.map((thing) => thing.key ?? freeKey(slug(thing.name), taken));
}

function resolvePackTypes(draft: ReleaseDraft): readonly PackType[] {
	const keys = keysOf(draft.packTypes ?? []);
	return (draft.packTypes ?? []).map((packType, p) => ({
		...packType,
		key: keys[p] ?? slug(packType.name)
	}));
}

function resolveSection(
	draft: SectionDraft,
	key: string,
	pointer: string,
	packTypes: readonly PackType[],
	cardKeys: Set<string>,
	problems: Problem[]
): Section {
	const { numberedIn, printRun, note } = draft;
	return {
		key,
		name: draft.name,
		kind: draft.kind ?? 'base',
		...(numberedIn ? { numberedIn } : {}),
		...(printRun ? { printRun } : {}),
		...(note ? { note } : {}),
		series: draft.series ?? [],
		odds: resolveOdds(draft, pointer, packTypes, problems),
		cards: draft.cards.map((card, c) =>
			resolveCard(card, numberedIn ?? key, `${pointer}/cards/${c}`, cardKeys, problems)
		)
	};
}

function resolveOdds(
	draft: SectionDraft,
	pointer: string,
	packTypes: readonly PackType[],
	problems: Problem[]
): readonly Odds[] {
	return Object.entries(draft.odds ?? {}).flatMap(([packType, text]) => {
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
	taken: Set<string>,
	problems: Problem[]
): Card {
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
	return {
		// Numbers are unique in a numbering (checked), so their keys need no counter: a repeat is a problem.
		key:
			draft.key ??
			freeKey(`${numberingKey}-${slug(number ? normalCardNumber(number) : title)}`, taken),
		number,
		title,
		subjects: draft.subjects ?? [],
		...(draft.group ? { group: draft.group } : {}),
		marks: draft.marks ?? [],
		...(draft.rarity ? { rarity: draft.rarity } : {})
	};
}
