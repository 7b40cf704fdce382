import { describe, expect, test } from 'vitest';
import { finishesContext } from './entry-context.fixture.ts';
import { nearestPhrase, normalPhrase } from './vocabulary.ts';

describe('words that are nearly right', () => {
	test('the nearest phrase is told, nothing far off', () => {
		const { vocabulary } = finishesContext();
		expect(nearestPhrase(vocabulary, 'brss')).toBe('Brass');
		expect(nearestPhrase(vocabulary, 'oyster')).toBeNull();
		expect(normalPhrase("Keeper's Ink")).toBe('keepers-ink');
	});
});
