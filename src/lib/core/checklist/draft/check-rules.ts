import type { Problem } from '../../problem.ts';
import { compareCardNumbers } from '../numbers/compare-card-numbers.ts';
import type { Card } from '../card.ts';
import { callFinder, isNamed, narrowness, type CardSelector } from '../card-selector.ts';
import { wholeSections } from '../edition.ts';
import type { Release } from '../release.ts';
import { repeatedKeys } from './repeated-keys.ts';
import type { Section } from '../section.ts';
import { parallelsOf } from '../variant.ts';

/** What rules of a release name wrongly: parallels, variants, editions, panels. */
export function checkRules(release: Release): readonly Problem[] {
	const sections = wholeSections(release);
	const callIn = callFinders(sections);
	return [
		...checkParallels(release, sections, callIn),
		...checkVariants(release, sections, callIn),
		...checkEditions(release),
		...checkPanels(release, sections)
	];
}

type CallIn = (keys: readonly string[] | undefined) => (name: string) => boolean;

/** Tells whether cards of some sections are called so; rules name the same sections over and over. */
function callFinders(sections: readonly Section[]): CallIn {
	const finders = new Map<string, (name: string) => boolean>();
	return (keys) => {
		const within = sections.filter(({ key }) => keys === undefined || keys.includes(key));
		const name = within.map(({ key }) => key).join(' ');
		const known = finders.get(name) ?? callFinder(within.flatMap(({ cards }) => cards));
		finders.set(name, known);
		return known;
	};
}

function checkParallels(release: Release, sections: readonly Section[], callIn: CallIn): Problem[] {
	return [
		...repeatedKeys('parallels', release.parallels),
		...release.parallels.flatMap((parallel, p) => {
			const covered = new Set<string>();
			return parallel.runs.flatMap((rule, r) => {
				const pointer = `/parallels/${p}/runs/${r}`;
				const problems = checkSelector(rule, pointer, sections, callIn);
				if (narrowness(rule) > 0) return problems;
				(rule.sections ?? sections.map(({ key }) => key)).forEach((key, i) => {
					if (covered.has(key)) {
						problems.push({
							pointer: rule.sections ? `${pointer}/sections/${i}` : pointer,
							field: 'sections',
							message: `${parallel.name} names the section "${key}" in two runs`,
							remedy: 'Keep one of them: a version exists once.'
						});
					}
					covered.add(key);
				});
				return problems;
			});
		})
	];
}

function checkVariants(release: Release, sections: readonly Section[], callIn: CallIn): Problem[] {
	const parallels = new Set(release.parallels.map(({ key }) => key));
	const cards = sections.flatMap((section) => section.cards);
	return [
		...repeatedKeys('variants', release.variants),
		...release.variants.flatMap((variant, v) => {
			const pointer = `/variants/${v}`;
			const unknown = parallelsOf(variant).filter((key) => !parallels.has(key));
			const problems = checkSelector(variant, pointer, sections, callIn);
			const { earns } = variant;
			if (earns !== undefined && !cards.some((card) => isNamed(card, earns))) {
				problems.push({
					pointer: `${pointer}/earns`,
					field: 'earns',
					message: `there is no card "${earns}" to be earned`,
					remedy: 'Enter the prize card, too, and name it by number or title.'
				});
			}
			for (const key of unknown) {
				problems.push({
					pointer: variant.inParallels?.includes(key)
						? `${pointer}/inParallels`
						: `${pointer}/finishes`,
					field: variant.inParallels?.includes(key) ? 'inParallels' : 'finishes',
					message: `no parallel has the key "${key}"`,
					remedy: `Use one of: ${[...parallels].join(', ')}.`
				});
			}
			return problems;
		})
	];
}

function checkSelector(
	selector: CardSelector,
	pointer: string,
	sections: readonly Section[],
	callIn: CallIn
): Problem[] {
	const problems = (selector.sections ?? []).flatMap((key, i): Problem[] =>
		sections.some((section) => section.key === key)
			? []
			: [
					{
						pointer: `${pointer}/sections/${i}`,
						field: 'sections',
						message: `no section has the key "${key}"`,
						remedy: `Use one of: ${sections.map((section) => section.key).join(', ')}.`
					}
				]
	);
	const { from, to } = selector;
	if (from !== undefined && to !== undefined && compareCardNumbers(from, to) > 0) {
		problems.push({
			pointer: `${pointer}/from`,
			field: 'from',
			message: `the range runs backwards, from ${from} to ${to}`,
			remedy: `Write ${to} to ${from}.`
		});
	}
	const within = sections.filter(
		({ key }) => selector.sections === undefined || selector.sections.includes(key)
	);
	const isCalled = selector.cards ? callIn(selector.sections) : () => true;
	(selector.cards ?? []).forEach((name, i) => {
		if (isCalled(name)) return;
		problems.push({
			pointer: `${pointer}/cards/${i}`,
			field: 'cards',
			message: `there is no card "${name.slice(0, 60)}" in ${within
				.map((section) => section.name)
				.join(', ')
				.slice(0, 120)}`,
			remedy: 'Name a card by its number, or by its title where it has none.'
		});
	});
	return problems;
}

function checkEditions(release: Release): Problem[] {
	return release.sections.flatMap(({ edition }, s) => {
		if (!edition) return [];
		const pointer = `/sections/${s}/edition`;
		const repeated = release.sections.filter(
			(section) => edition.of.includes(section.key) && section.edition === undefined
		);
		const problems = edition.of.flatMap((key, i): Problem[] =>
			repeated.some((section) => section.key === key)
				? []
				: [
						{
							pointer: `${pointer}/of/${i}`,
							field: 'of',
							message: `"${key}" is no section with cards of its own to repeat`,
							remedy: 'Name a section that is not an edition itself.'
						}
					]
		);
		const named = [
			...edition.changes.map(({ card }, i) => [card, `changes/${i}/card`] as const),
			...edition.without.map((card, i) => [card, `without/${i}`] as const)
		];
		const isCalled = callFinder(named.length > 0 ? repeated.flatMap(({ cards }) => cards) : []);
		for (const [name, at] of named) {
			if (isCalled(name)) continue;
			problems.push({
				pointer: `${pointer}/${at}`,
				field: at.split('/')[0] ?? at,
				message: `there is no card "${name.slice(0, 60)}" in the sections repeated`,
				remedy: 'Name a card by its number, or by its title where it has none.'
			});
		}
		return problems;
	});
}

function checkPanels(release: Release, sections: readonly Section[]): Problem[] {
	const cards = sections.flatMap((section) => section.cards);
	const isCalled = callFinder(cards);
	// A panel is none of its own singles.
	const isThere = (panel: Card, name: string) =>
		isCalled(name) &&
		(!isNamed(panel, name) || cards.some((card) => card.key !== panel.key && isNamed(card, name)));
	return release.sections.flatMap((section, s) =>
		section.cards.flatMap((card, c) =>
			card.panelOf.flatMap((name, i): Problem[] =>
				isThere(card, name)
					? []
					: [
							{
								pointer: `/sections/${s}/cards/${c}/panelOf/${i}`,
								field: 'panelOf',
								message: `the single card "${name.slice(0, 60)}" of this panel is not there`,
								remedy: 'List the single cards as cards, too.'
							}
						]
			)
		)
	);
}
