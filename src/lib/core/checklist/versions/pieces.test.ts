import { expect, test } from 'vitest';
import { checkRules } from '../draft/check-rules.ts';
import { pieceSets } from './pieces.ts';
import { resolveRelease } from '../draft/resolve-release.ts';

function moths(earns: string) {
	const outcome = resolveRelease({
		release: { name: 'Moths', maker: 'M', year: '1961' },
		sections: [
			{ name: 'Base', cards: [{ title: 'Ash Lamp' }, { title: 'Fog' }] },
			{ name: 'Prize', kind: 'extra', cards: [{ title: 'Great Lamp' }] }
		],
		variants: [1, 2, 3, 4].map((tile) => ({
			kind: 'piece' as const,
			name: `Tile ${tile}`,
			sections: ['base'],
			earns
		}))
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

test('four of a kind earn the prize; the scarcest tile says how often', () => {
	const release = moths('Great Lamp');
	const tile = (card: string, n: number) => `moths-1961/base-${card}!tile-${n}`;
	const owned = new Map([
		[tile('ash-lamp', 1), 5],
		[tile('ash-lamp', 2), 2],
		[tile('ash-lamp', 3), 3],
		[tile('ash-lamp', 4), 2],
		[tile('fog', 1), 9],
		[tile('fog', 2), 9],
		[tile('fog', 3), 9]
	]);
	expect(
		pieceSets(release, owned).map(({ cardKey, fullSets, prize, pieces }) => [
			cardKey,
			fullSets,
			prize,
			pieces.map((piece) => piece.owned)
		])
	).toEqual([
		['base-ash-lamp', 2, 'prize-great-lamp', [5, 2, 3, 2]],
		['base-fog', 0, 'prize-great-lamp', [9, 9, 9, 0]]
	]);
	expect(pieceSets({ ...release, variants: [] }, owned)).toEqual([]);
});

test('a prize that is no card is a problem with its place', () => {
	const release = moths('Great Lamp');
	const [first, ...rest] = release.variants;
	if (!first) throw new RangeError('no variant');
	const wrong = { ...release, variants: [{ ...first, earns: 'Gold Watch' }, ...rest] };
	expect(checkRules(wrong)).toMatchObject([
		{ pointer: '/variants/0/earns', message: 'there is no card "Gold Watch" to be earned' }
	]);
	expect(checkRules(release)).toEqual([]);
});
