import type { Problem } from '../../problem.ts';
import { normalCardNumber } from '../numbers/card-number.ts';
import { compareCardNumbers } from '../numbers/compare-card-numbers.ts';
import { checkDetails } from './check-details.ts';
import { checkRules } from './check-rules.ts';
import { wholeSections } from '../edition.ts';
import type { Release } from '../release.ts';

/** What keeps a release from being used at all: parts that name each other wrongly, things that stand twice. */
export function checkRelease(release: Release): readonly Problem[] {
	return [
		...checkSections(release),
		...checkNumbers(release),
		...checkCardKeys(release),
		...checkRules(release),
		...checkDetails(release)
	];
}

function checkSections(release: Release): Problem[] {
	const problems: Problem[] = [];
	const first = new Map<string, number>();
	if (release.sections.length === 0) {
		problems.push({
			pointer: '/sections',
			message: 'the release has no section',
			remedy: 'Give it at least one section with its cards.'
		});
	}
	release.sections.forEach((section, s) => {
		const pointer = `/sections/${s}`;
		if (first.has(section.key)) {
			problems.push({
				pointer: `${pointer}/key`,
				field: 'key',
				message: `the key "${section.key}" is already used by section ${(first.get(section.key) ?? 0) + 1}`,
				remedy: 'Give each section its own key.'
			});
		} else first.set(section.key, s);
		if (section.numberedIn === undefined) {
			if (section.kind === 'subset') {
				problems.push({
					pointer: `${pointer}/numberedIn`,
					field: 'numberedIn',
					message: `the subset "${section.name}" does not say in whose numbering it lives`,
					remedy: 'Name the section, for example "base".'
				});
			}
		} else {
			const owner = release.sections.find((other) => other.key === section.numberedIn);
			if (!owner || owner.key === section.key || owner.numberedIn !== undefined) {
				problems.push({
					pointer: `${pointer}/numberedIn`,
					field: 'numberedIn',
					message: `"${section.numberedIn}" is no section with a numbering of its own`,
					remedy: 'Name the section that owns the numbering, for example "base".'
				});
			}
		}
		section.series.forEach((series, i) => {
			if (compareCardNumbers(series.from, series.to) > 0) {
				problems.push({
					pointer: `${pointer}/series/${i}`,
					field: 'series',
					message: `the series "${series.name}" runs backwards, from ${series.from} to ${series.to}`,
					remedy: `Write ${series.to} to ${series.from}.`
				});
			}
		});
	});
	return problems;
}

function checkNumbers(release: Release): Problem[] {
	const problems: Problem[] = [];
	const first = new Map<string, string>();
	wholeSections(release).forEach((section, s) => {
		const repeated = section.cards.length - (release.sections[s]?.cards.length ?? 0);
		section.cards.forEach((card, c) => {
			if (card.number === null) return;
			const place = `${section.numberedIn ?? section.key} ${normalCardNumber(card.number)}`;
			const other = first.get(place);
			if (other !== undefined) {
				problems.push({
					pointer:
						c < repeated ? `/sections/${s}/edition` : `/sections/${s}/cards/${c - repeated}/number`,
					field: 'number',
					message: `number ${card.number} is already used by "${other}" in the same numbering`,
					remedy: 'Give one of them another number, or remove the repeated card.'
				});
			} else first.set(place, card.title || card.number);
		});
	});
	return problems;
}

function checkCardKeys(release: Release): Problem[] {
	const problems: Problem[] = [];
	const seen = new Set<string>();
	release.sections.forEach((section, s) => {
		section.cards.forEach((card, c) => {
			if (seen.has(card.key)) {
				problems.push({
					pointer: `/sections/${s}/cards/${c}/key`,
					field: 'key',
					message: `the card key "${card.key}" stands twice`,
					remedy: 'Leave it out, or give each card its own.'
				});
			}
			seen.add(card.key);
		});
	});
	return problems;
}
