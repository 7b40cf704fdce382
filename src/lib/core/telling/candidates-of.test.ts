import { expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import { versionMaker } from '../checklist/versions/expand.ts';
import { candidatesOf, type VersionOfCard } from './candidates-of.ts';
import { nextQuestion } from './next-question.ts';

function made() {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1926' },
		sections: [
			{
				name: 'Base',
				tells: [
					{ feature: 'name on the back', value: 'none', where: 'back' },
					{ feature: 'border', value: 'white' },
					{ feature: 'border', value: 'grey', groups: ['North'] },
					{ feature: 'corner', value: 'cut', places: [2] },
					{ feature: 'ribbon', value: 'blue', tags: { role: ['keeper', 'mate'] } },
					{ feature: 'ribbon', value: 'none', tags: { role: ['keeper'], school: ['North'] } },
					{ feature: 'crest', value: 'gull', tags: { constructor: ['x'] } }
				],
				lettering: ['Salt', null],
				arrangement: { kind: 'strip', columns: 2, rows: 1 },
				cards: [
					{ number: '1', title: 'A', place: 1 },
					{ number: '2', title: 'B', place: 2, group: 'North', tags: { role: ['mate'] } }
				]
			}
		],
		parallels: [
			{
				name: 'Brass',
				tells: [{ feature: 'Name on  the back', value: 'BRASS', where: 'back' }],
				runs: [{ printRun: 50 }]
			}
		],
		variants: [
			{
				kind: 'error',
				name: 'red',
				cards: ['2'],
				tells: [{ feature: 'line', value: 'red', otherwise: 'blue' }]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

function versionsOf(number: string): readonly VersionOfCard[] {
	const release = made();
	const make = versionMaker(release);
	return numberingsOf(release).flatMap(({ key, cards }) =>
		cards
			.filter(({ card }) => card.number === number)
			.flatMap(({ section, card }) =>
				make(key, section, card).map((version) => ({ release, section, card, version }))
			)
	);
}
const told = (number: string) =>
	candidatesOf(versionsOf(number)).map(({ key, weight, tells }) => [
		key,
		weight,
		...tells.map(({ feature, value }) => `${feature}: ${value}`)
	]);

test('a variant before its finish, that before its section; groups, places and tags; letters of the strip', () => {
	expect(told('1')).toEqual([
		['r/base-1', 1000, 'name on the back: none', 'border: white', 'letters along the edge: Salt'],
		[
			'r/base-1~brass',
			50,
			'Name on  the back: BRASS',
			'border: white',
			'letters along the edge: Salt'
		]
	]);
	// Of a card of the North the border is grey; what is narrow is told first.
	const both = ['border: grey', 'corner: cut', 'ribbon: blue'];
	const letters = 'letters along the edge: none';
	expect(told('2')).toEqual([
		['r/base-2', 1000, ...both, 'name on the back: none', letters],
		['r/base-2!red', 100, 'line: red', ...both, 'name on the back: none', letters],
		['r/base-2~brass', 50, 'Name on  the back: BRASS', ...both, letters]
	]);
});

test('the versions of a card are told apart by them, the likeliest first', () => {
	const outcome = nextQuestion(candidatesOf(versionsOf('2')));
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	expect(outcome.value.candidates[0]?.key).toBe('r/base-2');
	expect(outcome.value.question).toMatchObject({ feature: 'line', where: 'front' });
	const seen = nextQuestion(candidatesOf(versionsOf('2')), [{ feature: 'line', value: 'red' }]);
	expect(seen.ok && [seen.value.isSettled, seen.value.candidates[0]]).toEqual([
		true,
		{ key: 'r/base-2!red', chance: 1 }
	]);
});

test('a finish that is owned often is up to twice as likely; what is rare is still asked for', () => {
	const weights = (number: string, owned: Readonly<Record<string, number>>) =>
		candidatesOf(versionsOf(number), new Map(Object.entries(owned))).map(({ weight }) => weight);
	expect(weights('1', { 'other/base-1~brass': 9 })).toEqual([1000, 50]);
	// Seven copies of each finish, deviating ones among them.
	const owned = { 'r/base-2': 3, 'r/base-1~brass': 7, 'r/base-2!red': 4, 'other/x': 9 };
	expect(weights('1', owned)).toEqual([1500, 75]);
	// An error stays a tenth of its card, whatever is owned of it.
	const [regular = 0, error = 0] = weights('2', { 'r/base-2': 5000 });
	expect(error / regular).toBeCloseTo(0.1);
});
