import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../checklist/resolve-release.ts';
import { indexCards } from './card-index.ts';
import type { EntryContext } from './entry-context.ts';
import { nearestPhrase, normalPhrase, vocabularyOf } from './vocabulary.ts';

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

describe('words that are nearly right', () => {
	test('the nearest phrase is told, nothing far off', () => {
		const { vocabulary } = context();
		expect(nearestPhrase(vocabulary, 'brss')).toBe('Brass');
		expect(nearestPhrase(vocabulary, 'oyster')).toBeNull();
		expect(normalPhrase("Keeper's Ink")).toBe('keepers-ink');
	});
});
