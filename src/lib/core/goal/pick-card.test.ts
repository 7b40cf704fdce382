import { expect, test } from 'vitest';
import { nameCard, pickCard } from './pick-card.ts';

const card = (key: string, number: string | null, title: string, section = 'Base') => ({
	key,
	number,
	title,
	section
});
const cards = [
	card('a', '5', 'Ada Hale'),
	card('b', '5', 'Bram Marsh', 'Ink'),
	card('c', 'F3', 'The Long Lens', 'Fresnel'),
	card('d', null, 'Bread', 'Log'),
	card('e', '12', '')
];

test.each([
	['F3', 'c'],
	['f03', 'c'],
	[' the  long LENS ', 'c'],
	['F3 The Long Lens', 'c'],
	['5 Ada Hale', 'a'],
	['bram marsh', 'b'],
	['Bread', 'd'],
	['12', 'e']
])('%s', (text, key) => {
	const outcome = pickCard(cards, text);
	expect(outcome.ok && outcome.value.key).toBe(key);
});

test.each([
	['5', /may be 5 Ada Hale \(Base\), 5 Bram Marsh \(Ink\)/],
	['99', /no card is called "99"/],
	['', /no card is called/]
])('"%s" is no single card', (text, message) => {
	const outcome = pickCard(cards, text);
	expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(message);
});

test('a card is named by number and title', () => {
	expect(cards.map(nameCard)).toEqual([
		'5 Ada Hale',
		'5 Bram Marsh',
		'F3 The Long Lens',
		'Bread',
		'12'
	]);
});
