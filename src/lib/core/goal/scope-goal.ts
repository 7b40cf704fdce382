import { group } from 'd3-array';
import { versionMaker, type Version, type VersionMaker } from '../checklist/versions/expand.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import { isBeside } from '../checklist/with-collectibles.ts';
import type { VariantKindName } from '../checklist/variant.ts';
import { askedCards, cardFinder } from './asked-cards.ts';
import { resolveRules, type GoalChoice, type GoalRules } from './goal-rules.ts';
import { withAskedCollectibles } from './with-asked-collectibles.ts';
import type { Slot } from './slot.ts';
import { sureness } from './sureness.ts';

/** A slot with the version that names it: where it stands in the release. */
export interface ScopedSlot extends Slot {
	readonly release: string;
	readonly version: Version;
	/** 1 for the first set, 2 for the next … */
	readonly set: number;
}

/** What a goal asks for, and what its rules leave out as unobtainable. */
export interface Scope {
	readonly slots: readonly ScopedSlot[];
	/** Slots left out because fewer copies were made than the rules ask for. */
	readonly skipped: number;
}

/** A slot of the first set. */
interface AskedSlot extends Pick<ScopedSlot, 'version' | 'versions' | 'panels' | 'release'> {
	readonly section: Section;
}

/** The slots of a goal over one release: see `scopeGoals`. */
export function scopeGoal(release: Release, choice: GoalChoice): readonly ScopedSlot[] {
	return scopeGoals([release], choice).slots;
}

/**
 * The slots of a goal over releases, in the order of `expand`, set by set. A slot names every version
 * that may fill it, the regular one first. A parallel that is not there adds none.
 */
export function scopeGoals(releases: readonly Release[], choice: GoalChoice): Scope {
	const rules = resolveRules(choice);
	const namedCards = new Set(rules.versions.map((key) => key.replace(/[~!].*$/, '')));
	let skipped = 0;
	const single = releases.flatMap((plain): readonly AskedSlot[] => {
		const release = withAskedCollectibles(plain, rules);
		const asked = askedCards(release, rules);
		const isSure = sureness(release, rules.leastConfidence);
		const versionsAsked = new Set(rules.versions);
		const versionsOf = versionMaker(release);
		const kinds = new Map(release.variants.map(({ key, kind }) => [key, kind]));
		const panelsFor = rules.panels === 'counts' ? panelFinder(release, versionsOf) : () => [];
		return numberingsOf(release).flatMap((numbering) =>
			numbering.cards
				.filter(({ card }) => asked.has(card.key) || namedCards.has(`${release.key}/${card.key}`))
				.flatMap(({ card, section }) => {
					const all = versionsOf(numbering.key, section, card).filter((version) =>
						isSure(version, section, card)
					);
					const byRule = !asked.has(card.key)
						? []
						: isBeside(section)
							? [all]
							: slotsOf(all, rules, kinds);
					const slots = withNamed(byRule, all, versionsAsked).flatMap((versions) => {
						const made = versions.filter(
							({ printRun, estimatedRun }) =>
								(printRun ?? estimatedRun ?? Infinity) >= rules.leastRun
						);
						if (made.length === 0) skipped++;
						const [version] = made;
						if (!version) return [];
						const panels = panelsFor(version);
						const keys = made.map(({ key }) => key);
						return panels.length > 0
							? [{ version, versions: [...keys, ...panels], panels }]
							: [{ version, versions: keys }];
					});
					return slots.map((slot) => ({ ...slot, release: release.key, section }));
				})
		);
	});
	// What all sets share is made once: there may be a hundred of them.
	const shared = single.map(({ section, version, versions, panels, release }): ScopedSlot => {
		const place = `${release}/${section.key}`;
		const ofSection = Object.hasOwn(rules.sectionConditions, place)
			? rules.sectionConditions[place]
			: undefined;
		const thing = { key: version.key, set: 1, versions, version, release, quantity: 1 };
		// A poster is asked for as it is: what is said of cards is not said of it.
		if (isBeside(section)) return thing;
		const least = ofSection ?? rules.leastCondition;
		return {
			...thing,
			...(panels ? { panels } : {}),
			...(least ? { leastCondition: least } : {}),
			...(rules.cut === 'any' ? {} : { needs: [rules.cut] }),
			...(rules.graded ? { graded: rules.graded } : {})
		};
	});
	const slots: ScopedSlot[] = [];
	for (let set = 1; set <= rules.sets; set++) {
		for (const slot of shared) slots.push(set === 1 ? slot : ofSet(slot, set));
	}
	return { slots, skipped: skipped * rules.sets };
}

/** The slot of another set. Field by field: half a million are made so in a third of the time of a spread. */
function ofSet(slot: ScopedSlot, set: number): ScopedSlot {
	const { key, versions, panels, version, release, quantity, leastCondition, needs, graded } = slot;
	const made: { -readonly [Name in keyof ScopedSlot]: ScopedSlot[Name] } = {
		key: `${key}#${set}`,
		set,
		tier: set - 1,
		versions,
		version,
		release,
		quantity
	};
	if (panels) made.panels = panels;
	if (leastCondition) made.leastCondition = leastCondition;
	if (needs) made.needs = needs;
	if (graded) made.graded = graded;
	return made;
}

/** For a regular single card in a finish: the same finish of each intact panel that it is part of. */
function panelFinder(
	release: Release,
	versionsOf: VersionMaker
): (single: Version) => readonly string[] {
	const nameOf = cardFinder(release);
	const panels = new Map<string, string[]>();
	for (const numbering of numberingsOf(release)) {
		for (const { card, section } of numbering.cards) {
			if (card.panelOf.length === 0) continue;
			const whole = versionsOf(numbering.key, section, card);
			for (const name of card.panelOf) {
				for (const { key, parallelKey, variantKey } of whole) {
					if (variantKey !== null) continue;
					const place = `${nameOf(name) ?? ''}~${parallelKey ?? ''}`;
					panels.set(place, [...(panels.get(place) ?? []), key]);
				}
			}
		}
	}
	return ({ cardKey, parallelKey, variantKey }) =>
		variantKey === null ? (panels.get(`${cardKey}~${parallelKey ?? ''}`) ?? []) : [];
}

/** The slots of one card, each as the versions that may fill it, best first. */
function slotsOf(
	versions: readonly Version[],
	rules: GoalRules,
	kinds: ReadonlyMap<string, VariantKindName>
): readonly (readonly Version[])[] {
	const byFinish = new Map<string | null, Version[]>();
	for (const version of versions) {
		const list = byFinish.get(version.parallelKey);
		if (list) list.push(version);
		else byFinish.set(version.parallelKey, [version]);
	}
	const slots = [...byFinish].flatMap(([parallel, ofFinish]) => {
		if (!isFinishIn(parallel, rules)) return [];
		const regular = ofFinish.find(({ variantKey }) => variantKey === null);
		const kindOf = ({ variantKey }: Version) => kinds.get(variantKey ?? '');
		const errors = ofFinish.filter((version) => kindOf(version) === 'error');
		const corrected = ofFinish.filter((version) => kindOf(version) === 'corrected');
		const others = ofFinish.filter(
			(version) => version !== regular && ![...errors, ...corrected].includes(version)
		);
		// Where the correction is recorded as a variant, the regular card is the error.
		const [right] = corrected;
		const first = rules.errors === 'corrected' && right ? right : regular;
		if (!first) return [];
		const sameSlot = [
			...(rules.variants === 'any' ? others.filter((version) => kindOf(version) !== 'piece') : []),
			...(rules.errors === 'either' ? [...errors, ...corrected] : [])
		];
		const ownSlots = [
			...(rules.variants === 'each' ? others : []),
			...(rules.errors === 'both' ? [...errors, ...corrected] : [])
		];
		return inOrderOf(ofFinish, [[first, ...sameSlot], ...ownSlots.map((version) => [version])]);
	});
	// A card without a base finish is asked for once, in whichever finish comes.
	const isInBase = rules.finishes === 'base' || rules.finishes === 'base-and-chosen';
	if (slots.length > 0 || !isInBase || byFinish.size === 0 || byFinish.has(null)) return slots;
	const inEach = [...byFinish.values()].flatMap((ofFinish) =>
		slotsOf(ofFinish, { ...rules, finishes: 'all' }, kinds)
	);
	return [...group(inEach, ([first]) => first?.variantKey).values()].map((same) => same.flat());
}

/** The slots of a card with those of versions named by hand, each once, in the order of `expand`. */
function withNamed(
	slots: readonly (readonly Version[])[],
	all: readonly Version[],
	named: ReadonlySet<string>
): readonly (readonly Version[])[] {
	if (named.size === 0) return slots;
	const first = new Set(slots.map(([version]) => version));
	const more = all.filter((version) => named.has(version.key) && !first.has(version));
	return more.length === 0
		? slots
		: inOrderOf(all, [...slots, ...more.map((version) => [version])]);
}

/** Slots in the order in which their first versions stand. */
function inOrderOf(
	order: readonly Version[],
	slots: readonly (readonly Version[])[]
): readonly (readonly Version[])[] {
	const place = (slot: readonly Version[]) => (slot[0] ? order.indexOf(slot[0]) : -1);
	return [...slots].sort((a, b) => place(a) - place(b));
}

function isFinishIn(parallel: string | null, { finishes, parallels }: GoalRules): boolean {
	if (finishes === 'all') return true;
	if (parallel === null) return finishes !== 'chosen';
	return finishes !== 'base' && parallels.includes(parallel);
}
