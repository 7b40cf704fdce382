import { expect, test } from 'vitest';
import { PAGE_KINDS } from './page-kind.ts';
import { describePocketName, pocketName } from './pocket-name.ts';

test.each([
	['2/17/3x3/4', 1, 'page 17, row 2, pocket 1'],
	['2/17/3x3/4', 2, 'volume 2, page 17, row 2, pocket 1'],
	['1/1/2x4/8', 1, 'page 1, row 2, pocket 4'],
	['nonsense', 1, 'nonsense']
])('a pocket in words: %s', (name, volumes, words) => {
	expect(describePocketName(name, PAGE_KINDS, volumes)).toBe(words);
	expect(pocketName({ volume: 2, pageInVolume: 17, kind: '3x3', pocket: 3 })).toBe('2/17/3x3/4');
});
