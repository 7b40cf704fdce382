import { describe, expect, test } from 'vitest';
import { HEAD, made, told } from './almanac.fixture.ts';
import { readOutline } from './read-outline.ts';

describe('lines of an outline', () => {
	test.each<[string, string, string[]]>([
		[
			'numbers of series',
			'base B: 1-1 to 1-3, 2-1–2-2, 3-9-3-10, 4-1 to 2',
			['B: 1-1 1-2 1-3 2-1 2-2 3-9 3-10 4-1 4-2']
		],
		[
			'marks',
			'base B: 1-4\nrookie 1-2\nkey: 2, 4\nshort print 3',
			['B: 1(rookie) 2(rookie)(key) 3(short print) 4(key)']
		],
		[
			'marks in a subset of the numbering',
			'base B: 1-4\nsubset S in B: 3-4\nrookie 1-3 in B',
			['B: 1(rookie) 2(rookie)', 'S: 3(rookie) 4']
		],
		[
			'panels two by two',
			'base B: 1-1 to 1-4, 2-1 to 2-4\npanels P of B: odd with odd, even with even',
			[
				'B: 1-1 1-2 1-3 1-4 2-1 2-2 2-3 2-4',
				'P: 1-1 with 1-3 2-1 with 2-3 1-2 with 1-4 2-2 with 2-4'
			]
		],
		[
			'panels in a row and by name',
			'base B: 1-6\npanels P of B: 3 in a row\npanels Q of B: 1 with 6',
			['B: 1 2 3 4 5 6', 'P: 1 with 2 with 3 4 with 5 with 6', 'Q: 1 with 6']
		]
	])('%s', (_, lines, sections) => {
		expect(told(made(lines))).toEqual(sections);
	});

	test('panels name the cards they come apart into', () => {
		const [, panels] = made('base B: 1-4\npanels P of B: even with even').sections;
		expect(panels).toMatchObject({
			kind: 'extra',
			listed: false,
			cards: [{ panelOf: ['2', '4'] }]
		});
	});

	test('packs, make, notes, tells, tags, editions that count on', () => {
		const release = made(
			[
				'note: printed twice',
				'pack Hobby: 10 cards, 36 packs, 12 boxes, 2 Foils or parallel Red a box, 1.50 EUR, form wrapper',
				'pack Shop box: made of 2 Hobby + 1 Bonus, 500 JPY',
				'pack Bonus: 3 cards',
				'base B: 1-3, size 2 1/2 x 3 1/2 in, 24 pt, round',
				'note: the first, of two: read the back',
				'tell: dull',
				'tell: no line',
				'extra Foils: T1-T2, no base finish, Hobby 2 a pack, on top',
				'parallel Red: Foils /50',
				'tell: red in the light',
				'extra Abroad of B: from 89',
				'insert Log: L1-L2, hobby 1:6, instead of B',
				'error 2: wrong back',
				'tell: the keeper of 3',
				'tag role = keeper: 1, 3',
				'tag __proto__ = constructor: 1 in B'
			].join('\n')
		);
		expect(release.note).toBe('printed twice');
		expect(release.packTypes).toEqual([
			{
				key: 'hobby',
				name: 'Hobby',
				cardsPerPack: 10,
				packsPerBox: 36,
				boxesPerCase: 12,
				guarantees: [{ count: 2, sections: ['foils'], parallels: ['red'] }],
				priceMinor: 150,
				currency: 'EUR',
				form: 'wrapper'
			},
			{
				key: 'shop-box',
				name: 'Shop box',
				priceMinor: 500,
				currency: 'JPY',
				packs: [
					{ packType: 'hobby', count: 2 },
					{ packType: 'bonus', count: 1 }
				]
			},
			{ key: 'bonus', name: 'Bonus', cardsPerPack: 3 }
		]);
		const [base, foils, abroad, log] = release.sections;
		expect(base).toMatchObject({
			format: { widthMm: 63.5, heightMm: 88.9, stockPt: 24, shape: 'round' },
			note: 'the first, of two: read the back',
			howToTell: 'dull\nno line'
		});
		expect(foils?.noBaseFinish).toBe(true);
		expect(foils?.odds).toEqual([{ packType: 'hobby', cards: 2, packs: 1 }]);
		expect([foils?.takesPlaceOf, log?.takesPlaceOf]).toEqual([null, 'b']);
		expect(release.parallels[0]?.howToTell).toBe('red in the light');
		expect(abroad?.edition?.from).toBe('89');
		expect(release.variants[0]?.howToTell).toBe('the keeper of 3');
		expect(base?.cards.map(({ tags }) => tags && Object.entries(tags))).toEqual([
			[
				['role', ['keeper']],
				['__proto__', ['constructor']]
			],
			undefined,
			[['role', ['keeper']]]
		]);
	});

	test.each<[string, string, number, RegExp]>([
		['a mark of a card that is not there', 'base B: 1-3\nkey 3-4', 3, /no card 4/],
		[
			'a mark of a number that two sections have',
			'base B: 1-3\ninsert C: 1-3\nkey 2',
			4,
			/2 is in B and in C/
		],
		[
			'panels that leave a card over',
			'base B: 1-5\npanels P of B: odd with odd',
			3,
			/5 is left over/
		],
		[
			'panels of a card that is not there',
			'base B: 1-5\npanels P of B: 1 with 9',
			3,
			/single card "9"/
		],
		[
			'a rule that is none',
			'base B: 1-5\npanels P of B: all together',
			3,
			/which cards hang together/
		],
		['a note below a pack', 'pack H: 3 cards\nnote: x\nbase B: 1', 3, /note has no meaning here/],
		['a tell below the release', 'tell: x\nbase B: 1', 2, /tell has no meaning here/],
		['from without an edition', 'base B: 1-3, from 89', 2, /repeats no other section/],
		['a guarantee of nothing', 'pack H: 2 Nix a box\nbase B: 1', 2, /there is no "Nix"/],
		['a place of nobody', 'base B: 1\ninsert L: L1, instead of Nix', 3, /no section "Nix"/],
		['a pack of packs that are not there', 'pack H: made of 2 Nix\nbase B: 1', 2, /nix/i],
		['a price without a currency', 'pack H: 1.50\nbase B: 1', 2, /not understood of a pack/],
		['a size that is none', 'base B: 1, size big', 2, /not understood of a section/],
		['a tag without a word', 'base B: 1\ntag role: 1', 3, /a tag needs/]
	])('%s is named with its line', (_, lines, line, message) => {
		const { problems } = readOutline(HEAD + lines);
		expect(problems.map((problem) => problem.message).join('\n')).toMatch(message);
		expect(problems[0]?.line).toBe(line);
	});
});
