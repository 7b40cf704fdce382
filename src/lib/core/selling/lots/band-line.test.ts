import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
	formatBandLines,
	formatChannelLines,
	parseBandLines,
	parseChannelLines
} from './band-line.ts';

const name = fc.stringMatching(/^[a-z]([a-z ]{0,12}[a-z])?$/);
const messages = (
	read: ReturnType<typeof parseBandLines> | ReturnType<typeof parseChannelLines>
) => (read.ok ? [] : read.problems.map(({ message }) => message));

test('for all bands and channels: parse(format(x)) = x', () => {
	const band = fc.record({
		fromMinor: fc.integer({ min: 0, max: 1_000_000 }),
		channel: name,
		as: fc.constantFrom('single' as const, 'lot' as const),
		mostCards: fc.integer({ min: 1, max: 10_000 })
	});
	fc.assert(
		fc.property(
			fc.uniqueArray(band, { minLength: 1, maxLength: 5, selector: ({ fromMinor }) => fromMinor }),
			(some) => {
				const bands = some
					.sort((a, b) => a.fromMinor - b.fromMinor)
					.map((each) => (each.as === 'single' ? { ...each, mostCards: 1 } : each));
				expect(parseBandLines(formatBandLines(bands, 'EUR'), 'EUR')).toMatchObject({
					value: bands
				});
			}
		)
	);
	const channel = fc.record({
		name,
		feePercent: fc.integer({ min: 0, max: 1000 }).map((tenths) => tenths / 10),
		feeMinor: fc.integer({ min: 0, max: 10_000 })
	});
	fc.assert(
		fc.property(
			fc.uniqueArray(channel, { maxLength: 5, selector: (each) => each.name }),
			(channels) => {
				expect(parseChannelLines(formatChannelLines(channels, 'EUR'), 'EUR')).toMatchObject({
					value: channels
				});
			}
		)
	);
});

test.each<[string, string, readonly RegExp[]]>([
	['empty', '', [/there is no band/]],
	['other money', 'from 1 USD: singles, market', [/line 1/]],
	['a lot of none', 'from 0: lots of 0, fair', [/line 1/]],
	['every line is told', 'x\nfrom 0: singles, fair\nfrom: lots, fair', [/line 1/, /line 3/]],
	['falling', 'from 2: singles, a\nfrom 1: singles, a', [/1.00 does not follow on 2.00/]]
])('bands, %s', (_, text, told) => {
	const said = messages(parseBandLines(text, 'EUR'));
	expect(said).toHaveLength(told.length);
	told.forEach((pattern, i) => expect(said[i]).toMatch(pattern));
});

test.each<[string, string, RegExp]>([
	['above 100', 'market: 101 %', /line 1/],
	['no percent', 'market: 12', /line 1/],
	['other money', 'market: 12 % + 1 USD', /line 1/],
	['twice', 'fair: 0 %\nfair: 1 %', /"fair" is there twice/]
])('channels, %s', (_, text, told) => {
	expect(messages(parseChannelLines(text, 'EUR'))).toEqual([expect.stringMatching(told)]);
});
