import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { parseVersionKey, formatVersionKey } from './versions/version-key.ts';
import { asciiSlug, freeKey, keyMaker, plainName, slug } from './slug.ts';

describe('keys of names', () => {
	test.each([
		["Keeper's Ink", 'keepers-ink'],
		['Österliche Früchte', 'osterliche-fruchte'],
		['Łódź', 'łodz'],
		['Маяк', 'маяк'],
		['Кит й', 'кит-й'],
		['灯台 3', '灯台-3'],
		['등대', '등대'],
		['★', 'x'],
		['', 'x'],
		['No. 3 of 9', 'no.-3-of-9'],
		['  -- A -- ', 'a']
	])('%s: %s', (name, key) => expect(slug(name)).toBe(key));

	test('names that differ in letters of any script differ', () => {
		const names = ['Маяк', 'Кит', '灯台', '鯨', 'φάρος', 'منارة', '★', '✦', 'и', 'й'];
		expect(new Set(names.map(plainName)).size).toBe(names.length);
	});

	test('for all names, a key can stand in a version key and is read back', () => {
		fc.assert(
			fc.property(fc.string({ unit: 'grapheme' }), fc.string({ unit: 'binary' }), (a, b) => {
				const name = { release: slug(a), card: slug(b), parallel: slug(b), variant: slug(a) };
				expect(parseVersionKey(formatVersionKey(name))).toEqual(name);
			})
		);
	});

	test('for all names of plain letters, the keys are those that were made before', () => {
		fc.assert(
			fc.property(fc.string({ unit: fc.constantFrom(..."abZ09 .-'é!,") }), (name) => {
				expect(slug(name)).toBe(asciiSlug(name));
			})
		);
	});

	test('for all lists, one maker gives what single calls do', () => {
		fc.assert(
			fc.property(fc.array(fc.constantFrom('a', 'b', 'a-2', 'a-3')), (wanted) => {
				const make = keyMaker(new Set(['a']));
				const taken = new Set(['a']);
				expect(wanted.map(make)).toEqual(wanted.map((key) => freeKey(key, taken)));
			})
		);
	});
});
