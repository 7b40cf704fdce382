import { isNamed } from '../checklist/card-selector.ts';
import type { Card } from '../checklist/card.ts';
import { versionMaker, type Version } from '../checklist/expand.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import { cardsOf, type Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import type { VariantKindName } from '../checklist/variant.ts';
import { resolveRules, type GoalChoice, type GoalRules } from './goal-rules.ts';
import type { Slot } from './slot.ts';

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
	let skipped = 0;
	const single = releases.flatMap((release) => {
		const asked = askedCards(release, rules);
		const versionsOf = versionMaker(release);
		const kinds = new Map(release.variants.map(({ key, kind }) => [key, kind]));
		return numberingsOf(release).flatMap((numbering) =>
			numbering.cards
				.filter(({ card }) => asked.has(card.key))
				.flatMap(({ card, section }) => {
					const all = versionsOf(numbering.key, section, card);
					const slots = slotsOf(all, rules, kinds).flatMap((versions) => {
						const made = versions.filter(
							({ printRun }) => (printRun ?? Infinity) >= rules.leastRun
						);
						if (made.length === 0) skipped++;
						const [version] = made;
						return version ? [{ version, versions: made.map(({ key }) => key) }] : [];
					});
					return slots.map((slot) => ({ ...slot, release: release.key, section }));
				})
		);
	});
	const slots = Array.from({ length: rules.sets }, (_, i) =>
		single.map(({ section, version, versions, release }): ScopedSlot => {
			const least = rules.sectionConditions[`${release}/${section.key}`] ?? rules.leastCondition;
			return {
				key: i === 0 ? version.key : `${version.key}#${i + 1}`,
				versions,
				version,
				release,
				set: i + 1,
				quantity: 1,
				...(i > 0 ? { tier: i } : {}),
				...(least ? { leastCondition: least } : {}),
				...(rules.cut === 'any' ? {} : { needs: [rules.cut] })
			};
		})
	).flat();
	return { slots, skipped: skipped * rules.sets };
}

/** Keys of the cards that the rules ask for, by section, subject, group, hand, and panels or singles. */
function askedCards(release: Release, rules: GoalRules): ReadonlySet<string> {
	const picked = rules.picked && new Set(rules.picked);
	const cards = cardsOf(release);
	const asked = new Map(
		cards
			.filter(
				({ section, card }) =>
					isSectionIn(release, section, rules) &&
					(rules.subject === undefined || card.subjects.includes(rules.subject)) &&
					(rules.group === undefined || card.group === rules.group) &&
					(!picked || picked.has(`${release.key}/${card.key}`))
			)
			.map(({ card }) => [card.key, card])
	);
	const panels = [...asked.values()].filter(({ panelOf }) => panelOf.length > 0);
	if (panels.length === 0) return new Set(asked.keys());
	const singlesOf = (panel: Card) =>
		panel.panelOf.map((name) => cards.find(({ card }) => isNamed(card, name))?.card.key ?? '');
	for (const panel of panels) {
		const singles = singlesOf(panel);
		if (rules.panels === 'intact') for (const key of singles) asked.delete(key);
		else if (singles.every((key) => asked.has(key))) asked.delete(panel.key);
	}
	return new Set(asked.keys());
}

function isSectionIn(release: Release, section: Section, rules: GoalRules): boolean {
	const name = `${release.key}/${section.key}`;
	if (rules.sectionsOut.includes(name)) return false;
	if (rules.sectionsIn.includes(name)) return true;
	if (section.edition !== undefined && !rules.editions) return false;
	return rules.kinds.includes(section.kind);
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
	return [...byFinish].flatMap(([parallel, own]) => {
		if (!isFinishIn(parallel, rules)) return [];
		const regular = own.find(({ variantKey }) => variantKey === null);
		const kindOf = ({ variantKey }: Version) => kinds.get(variantKey ?? '');
		const errors = own.filter((version) => kindOf(version) === 'error');
		const corrected = own.filter((version) => kindOf(version) === 'corrected');
		const others = own.filter(
			(version) => version !== regular && ![...errors, ...corrected].includes(version)
		);
		// Where the correction is recorded as a variant, the regular card is the error.
		const [right] = corrected;
		const first = rules.errors === 'corrected' && right ? right : regular;
		if (!first) return [];
		const sameSlot = [
			...(rules.variants === 'any' ? others : []),
			...(rules.errors === 'either' ? [...errors, ...corrected] : [])
		];
		const ownSlots = [
			...(rules.variants === 'each' ? others : []),
			...(rules.errors === 'both' ? [...errors, ...corrected] : [])
		];
		return inOrderOf(own, [[first, ...sameSlot], ...ownSlots.map((version) => [version])]);
	});
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
