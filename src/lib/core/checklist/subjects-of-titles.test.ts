import { expect, test } from 'vitest';
import { readOutline } from './outline/read-outline.ts';
import { subjectsOf, subjectsOfTitles, withSubjects } from './subjects-of-titles.ts';

test.each<[string, Parameters<typeof subjectsOf>[1], string[]]>([
	['Ada Hale', ['vs', '/', '&'], ['Ada Hale']],
	['Ada Hale vs Bram', ['vs'], ['Ada Hale', 'Bram']],
	['Ada VS. Bram/Cliff & Dory', ['vs', '/', '&'], ['Ada', 'Bram', 'Cliff', 'Dory']],
	['Oliver vs Sandy and Andrew', ['and'], ['Oliver vs Sandy', 'Andrew']],
	['Wave + Wave', ['+'], ['Wave']],
	['Ada (with Bram) [checklist]', ['with'], ['Ada']],
	['A/B', [], ['A/B']],
	['', ['/'], []]
])('"%s" split at %j', (title, separators, subjects) => {
	expect(subjectsOf(title, separators)).toEqual(subjects);
});

test('cards that have subjects stay unless all are wanted; a second time nothing changes', () => {
	const { release } = readOutline('release R, M, 1994\nbase B: 1-3\ninsert I: F1');
	const titled = {
		...release,
		sections: release.sections.map((section) => ({
			...section,
			cards: section.cards.map((card, i) => ({
				...card,
				title: ['Ada & Bram', 'Cliff', ''][i] ?? '',
				subjects: card.number === '2' ? ['Somebody'] : []
			}))
		}))
	};
	const cardsOf = (...rest: [object?]) =>
		subjectsOfTitles(titled, ['&'], ...rest).map(({ card }) => card);
	expect(cardsOf()).toEqual(['b-1', 'i-f1']);
	expect(cardsOf({ overwrite: true })).toEqual(['b-1', 'b-2', 'i-f1']);
	expect(cardsOf({ sections: ['i'] })).toEqual(['i-f1']);
	const after = withSubjects(titled, subjectsOfTitles(titled, ['&'], { overwrite: true }));
	expect(after.sections[0]?.cards.map(({ subjects }) => subjects)).toEqual([
		['Ada', 'Bram'],
		['Cliff'],
		[]
	]);
	expect(subjectsOfTitles(after, ['&'], { overwrite: true })).toEqual([]);
});
