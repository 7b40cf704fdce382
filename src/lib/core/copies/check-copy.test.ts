import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { checkCopy, formatSerial, parseSerial, repeatedSerials } from './check-copy.ts';

describe('serial numbers', () => {
	test.each([
		['14/65', { number: 14, of: 65 }],
		['014 / 065', { number: 14, of: 65 }],
		['65/14', { number: 65, of: 14 }],
		['0/65', null],
		['14', null],
		['14/', null],
		['a/b', null],
		['XIV/LXV', { number: 14, of: 65 }],
		['iv / x', { number: 4, of: 10 }],
		['IIII/X', null],
		['14/L', { number: 14, of: 50 }]
	])('%s', (text, serial) => {
		expect(parseSerial(text)).toEqual(serial);
	});

	test('for all serial numbers, parse(format(x)) = x', () => {
		const whole = fc.integer({ min: 1, max: 9_999_999 });
		fc.assert(
			fc.property(whole, whole, (number, of) => {
				expect(parseSerial(formatSerial({ number, of }))).toEqual({ number, of });
			})
		);
	});

	test('two copies with one serial number are named, however they are written', () => {
		const copies = [
			{ version: 'a', serial: '14/65' },
			{ version: 'a', serial: '014/065' },
			{ version: 'b', serial: '14/65' },
			{ version: 'a' }
		];
		expect(repeatedSerials(copies)).toEqual([{ version: 'a', serial: '14/65', copies: 2 }]);
	});
});

test.each<[string, Parameters<typeof checkCopy>[0], number | null, string[]]>([
	['right', { quantity: 1, serial: '14/65', grade: 9.5 }, 65, []],
	['the run is not known', { quantity: 1, serial: '14/65' }, null, []],
	['beyond the run', { quantity: 1, serial: '66/65' }, 65, ['there is no copy 66 of 65']],
	[
		'of another run',
		{ quantity: 1, serial: '14/70' },
		65,
		['this version has a print run of 65, not 70']
	],
	['none', { quantity: 1, serial: 'x' }, 65, ['"x" is no serial number']],
	[
		'a pile',
		{ quantity: 3, serial: '1/9', certificate: 'A1' },
		9,
		['a pile of several cards has no serial number', 'a pile of several cards has no certificate']
	],
	['no grade', { quantity: 1, grade: 9.7 }, null, ['9.7 is no grade']],
	['no currency', { quantity: 1, valueMinor: 100 }, null, ['an amount needs its currency']]
])('a copy: %s', (_, copy, run, messages) => {
	expect(checkCopy(copy, run).map(({ message }) => message)).toEqual(messages);
});
