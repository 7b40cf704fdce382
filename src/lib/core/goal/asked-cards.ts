import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import { namesOf } from '../checklist/card-selector.ts';
import type { Card } from '../checklist/card.ts';
import { seriesFinder } from '../checklist/numbering.ts';
import { cardsOf, type Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import { isBeside } from '../checklist/with-collectibles.ts';
import type { GoalRules } from './goal-rules.ts';

/**
 * Keys of the cards that the rules ask for, by section, subject, group, tag, series, hand, and panels or singles;
 * what is collected beside them by its kind alone.
 */
export function askedCards(release: Release, rules: GoalRules): ReadonlySet<string> {
	const picked = rules.picked && new Set(rules.picked);
	const all = cardsOf(release);
	const cards = all.filter(({ section }) => !isBeside(section));
	const beside = all.filter(
		({ section, card }) =>
			isBeside(section) && rules.collectibles.some((kind) => kind === card.group)
	);
	const seriesOf = seriesFinder(release);
	// Where a numbering has no series, its cards are of none.
	const isInSeries = (section: Section, card: Card) =>
		rules.series.length === 0 || rules.series.includes(seriesOf(section, card)?.name ?? '');
	const asked = new Map(
		cards
			.filter(
				({ section, card }) =>
					isSectionIn(release, section, rules) &&
					(rules.subject === undefined || card.subjects.includes(rules.subject)) &&
					(rules.group === undefined || card.group === rules.group) &&
					hasTags(card, rules.tags) &&
					isInSeries(section, card) &&
					(!picked || picked.has(`${release.key}/${card.key}`))
			)
			.map(({ card }) => [card.key, card])
	);
	for (const { card } of beside) asked.set(card.key, card);
	const panels = [...asked.values()].filter(({ panelOf }) => panelOf.length > 0);
	if (panels.length === 0 || rules.panels === 'both') return new Set(asked.keys());
	const nameOf = cardFinder(release);
	for (const panel of panels) {
		const singles = panel.panelOf.map((name) => nameOf(name) ?? '');
		if (rules.panels === 'intact') for (const key of singles) asked.delete(key);
		else if (singles.every((key) => asked.has(key))) asked.delete(panel.key);
	}
	return new Set(asked.keys());
}

/** Finds the key of a card by what people call it: the first of those that bear the name. */
export function cardFinder(release: Release): (name: string) => string | undefined {
	const byName = new Map<string, string>();
	for (const { card } of cardsOf(release)) {
		for (const name of namesOf(card)) if (!byName.has(name)) byName.set(name, card.key);
	}
	return (name) => byName.get(name) ?? byName.get(normalCardNumber(name));
}

function isSectionIn(release: Release, section: Section, rules: GoalRules): boolean {
	const name = `${release.key}/${section.key}`;
	if (rules.sectionsOut.includes(name)) return false;
	if (rules.sectionsIn.includes(name)) return true;
	if (section.edition !== undefined && !rules.editions) return false;
	return rules.kinds.includes(section.kind);
}

/** Whether a card bears a word of each family that is asked for. */
function hasTags({ tags = {} }: Card, wanted: GoalRules['tags']): boolean {
	return Object.entries(wanted).every(([family, words]) => {
		const has = Object.hasOwn(tags, family) ? (tags[family] ?? []) : [];
		return words.length === 0 || words.some((word) => has.includes(word));
	});
}
