import type { Card } from '../card.ts';
import type { Evidence } from '../confidence.ts';
import { wholeSections } from '../edition.ts';
import type { Release } from '../release.ts';
import type { Doubt } from './chapter.ts';
import { evidenceOf } from './evidence.ts';
import { quirkFinder } from './quirk-finder.ts';

/** What is not certain: sections, cards, runs and deviations with a confidence below that, and members not known. */
export function doubtsOf(release: Release): readonly Doubt[] {
	const isDoubtful = ({ confidence }: Evidence) =>
		confidence !== undefined && confidence !== 'certain';
	const doubt = (what: string, thing: Evidence): Doubt => ({ what, ...evidenceOf(thing) });
	const cardName = ({ number, title }: Card) => [number, title].filter(Boolean).join(' ');
	const quirks = quirkFinder(release);
	return [
		...release.sections.filter(isDoubtful).map((section) => doubt(section.name, section)),
		...release.sections.flatMap((section) =>
			section.cards
				.filter(isDoubtful)
				.map((card) => doubt(`${section.name}, ${cardName(card)}`, card))
		),
		...release.parallels.flatMap(({ name, runs }) =>
			runs
				.filter(isDoubtful)
				.map((rule) => doubt(`${name}${rule.printRun ? ` /${rule.printRun}` : ''}`, rule))
		),
		...wholeSections(release)
			.flatMap((section) => quirks(section).map((quirk) => ({ section, quirk })))
			.flatMap(({ section, quirk }): Doubt[] => {
				const { name, cards, believed, known } = quirk;
				const what = `${section.name} ${cards}: ${name}`;
				const missing = believed !== undefined && (believed.most ?? believed.least) > known;
				const most = believed?.most === undefined ? '' : ` to ${believed.most}`;
				if (missing)
					return [
						doubt(`${what}; ${believed.least}${most} believed to exist, ${known} known`, quirk)
					];
				return isDoubtful(quirk) ? [doubt(what, quirk)] : [];
			})
	];
}
