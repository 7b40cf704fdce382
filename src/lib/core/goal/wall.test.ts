import { describe, expect, test } from 'vitest';
import { release } from './small-release.fixture.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import { fillTiles, stepTiles, wallFaces, wallTiles } from './wall.ts';

describe('the number wall', () => {
	const [numbering] = numberingsOf(release);
	if (!numbering) throw new RangeError('the sample has a numbering');
	const owned = new Map([
		['r-1994/base-1', 1],
		['r-1994/base-2', 3],
		['r-1994/base-12~ten', 1]
	]);

	test('tiles tell have, missing, spare and not needed, with subset and ladder', () => {
		const tiles = wallTiles(wallFaces(release, numbering, null), { owned });
		expect(tiles.map(({ state }) => state).slice(0, 3)).toEqual(['have', 'spare', 'missing']);
		expect(tiles[11]).toMatchObject({
			number: '12',
			subset: 'Sub',
			ladder: [
				{ key: 'r-1994/base-12', isVariant: false, owned: false },
				{ key: 'r-1994/base-12~brass', isVariant: false, owned: false },
				{ key: 'r-1994/base-12~ten', isVariant: false, owned: true }
			]
		});
		const inTen = wallTiles(wallFaces(release, numbering, 'ten'), { owned });
		expect(inTen.filter(({ state }) => state !== 'not-needed')).toHaveLength(3);
		const narrow = wallTiles(wallFaces(release, numbering, null), {
			owned,
			needed: new Set(['r-1994/base-3'])
		});
		expect(narrow.map(({ state }) => state).slice(0, 4)).toEqual([
			'spare',
			'spare',
			'missing',
			'not-needed'
		]);
	});

	test('a run of tiles is filled or emptied as a whole', () => {
		const [first, two, three, four] = wallTiles(wallFaces(release, numbering, null), { owned });
		if (!first || !two || !three || !four) throw new RangeError('the sample has four tiles');
		expect(fillTiles([first, two, three, four], true)).toEqual([
			{ version: 'r-1994/base-3', quantity: 1 },
			{ version: 'r-1994/base-4', quantity: 1 }
		]);
		expect(fillTiles([first, two, three], false)).toEqual([
			{ version: 'r-1994/base-1', quantity: 0 },
			{ version: 'r-1994/base-2', quantity: 0 }
		]);
		expect(stepTiles([two, three], -1)).toEqual([{ version: 'r-1994/base-2', quantity: 2 }]);
	});
});
