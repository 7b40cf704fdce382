import { expect, test } from 'vitest';
import { resolveRelease } from './draft/resolve-release.ts';
import { lookAlikes } from './look-alikes.ts';

test('cards that are like each other are named from both sides, each once, editions beside what they repeat', () => {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: [
					{ number: '1', sameAs: ['s/base-9'], samePictureAs: ['s/base-9', 'r/base-2'] },
					{ number: '2' },
					{ number: '3' }
				]
			},
			{
				name: 'Foil',
				kind: 'extra',
				edition: { of: ['base'], without: ['2', '3'] },
				cards: [{ number: 'X' }]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	expect(Object.fromEntries(lookAlikes([outcome.value]))).toEqual({
		'r/base-1': [
			{ release: 's', card: 'base-9', why: 'cannot be told apart' },
			{ release: 'r', card: 'base-2', why: 'same picture' },
			{ release: 'r', card: 'foil-1', why: 're-issue' }
		],
		's/base-9': [{ release: 'r', card: 'base-1', why: 'cannot be told apart' }],
		'r/base-2': [{ release: 'r', card: 'base-1', why: 'same picture' }],
		'r/foil-1': [{ release: 'r', card: 'base-1', why: 'first issue' }]
	});
	expect(lookAlikes([]).size).toBe(0);
});
