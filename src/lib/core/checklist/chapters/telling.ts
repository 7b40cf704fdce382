import { foldCards } from '../fold-runs.ts';
import { formatOdds } from '../odds.ts';
import type { Release } from '../release.ts';
import type { Chapter, ReleaseChapters } from './chapter.ts';
import { chaptersOf } from './chapters-of.ts';

/** What is told of a numbering in a finish while its pages are shown. */
export interface Telling {
	/** Key of the section that owns the numbering. */
	readonly section: string;
	/** null: the base finish */
	readonly parallel: string | null;
	readonly lines: readonly string[];
}

/** So many quirks are told of a numbering; the others are counted. */
const TOLD_QUIRKS = 4;

/**
 * What a collector tells at each numbering of a release, finish by finish: its note, how it is known, how it
 * came out of packs, how many were made, the hardest cards and what is odd about it; in the base finish of
 * its subsets too. A numbering of which nothing is known has no lines.
 */
export function tellingsOf(release: Release): readonly Telling[] {
	const story = chaptersOf(release);
	const chapters = [...story.parts, ...story.editions];
	return chapters
		.filter(({ numberedIn }) => numberedIn === undefined)
		.flatMap((chapter) => tellNumbering(chapter, chapters));
}

function tellNumbering(owner: Chapter, chapters: ReleaseChapters['parts']): readonly Telling[] {
	const guests = chapters.filter(({ numberedIn }) => numberedIn === owner.name);
	return owner.finishes.map(({ parallelKey, look, howToTell, channel, runs }): Telling => {
		const made = runs.flatMap(({ printRun, isEstimate }) =>
			printRun === null ? [] : [isEstimate ? `some ${printRun} of each` : `/${printRun}`]
		);
		const finish = [look, howToTell, channel, [...new Set(made)].join(', ')].filter(isSaid);
		return {
			section: owner.key,
			parallel: parallelKey,
			lines:
				parallelKey === null ? [...tellChapter(owner), ...finish, ...guests.map(tellGuest)] : finish
		};
	});
}

function tellChapter(chapter: Chapter): readonly string[] {
	const { note, howToTell, odds, difficulty, keyCards, quirks } = chapter;
	const odd = quirks
		.slice(0, TOLD_QUIRKS)
		.map(({ cards, name, howToTell: how }) => `${cards}: ${name}${how ? ` (${how})` : ''}`);
	const more = quirks.length - odd.length;
	return [
		note,
		howToTell,
		odds.map((each) => `${each.pack} ${formatOdds(each)}`).join(', '),
		difficulty ? `${difficulty.level} to find` : '',
		keyCards.length > 0 ? `Key cards: ${foldCards(keyCards)}` : '',
		odd.join('; ') + (more > 0 ? `; and ${more} more` : '')
	].filter(isSaid);
}

function tellGuest({ name, numbers, note, howToTell }: Chapter): string {
	return `${name}, ${numbers}${[note, howToTell]
		.filter(isSaid)
		.map((text) => `: ${text}`)
		.join('')}`;
}

const isSaid = (text: string | undefined): text is string => text !== undefined && text !== '';
