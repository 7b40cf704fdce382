import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { whatFits, type Block, type BlockStart, type FittedBinder } from './what-fits.ts';

const binder = (pages: number, ...holds: number[]): FittedBinder => ({
	key: 'A',
	pages,
	pocketsPerPage: 9,
	holds: holds.map((pockets, i) => ({ key: `held ${i}`, pockets }))
});
const blocks = (...sizes: number[]): Block[] =>
	sizes.map((pockets, i) => ({ key: `b${i}`, pockets }));

describe('what fits', () => {
	test.each<[string, FittedBinder, Block[], BlockStart, object]>([
		[
			'nothing there, nothing waiting',
			binder(2),
			[],
			'own page',
			{
				pagesUsed: 0,
				pagesFree: 2,
				pocketsFree: 18,
				pagesLacking: 0,
				mayJoin: [],
				fullest: [],
				pocketsLeft: 18
			}
		],
		[
			'a begun page is used',
			binder(3, 10),
			blocks(9, 10),
			'own page',
			{
				pagesUsed: 2,
				pagesFree: 1,
				pocketsFree: 17,
				mayJoin: ['b0'],
				fullest: ['b0'],
				pocketsLeft: 8
			}
		],
		[
			'the next pocket will do',
			binder(3, 10),
			blocks(9, 10),
			'next pocket',
			{ pagesUsed: 2, mayJoin: ['b0', 'b1'], fullest: ['b1'], pocketsLeft: 7 }
		],
		[
			'too much',
			binder(1, 10),
			blocks(1),
			'own page',
			{ pagesUsed: 2, pagesFree: 0, pagesLacking: 1, pocketsFree: 0, mayJoin: [] }
		],
		['no pages at all', binder(0), blocks(1), 'next pocket', { pagesFree: 0, mayJoin: [] }],
		[
			'what it holds already does not join',
			binder(2, 3),
			[{ key: 'held 0', pockets: 3 }],
			'own page',
			{ mayJoin: [] }
		],
		[
			'of equals the fewest blocks',
			binder(2),
			blocks(9, 9, 18),
			'own page',
			{ fullest: ['b2'], pocketsLeft: 0 }
		],
		// ● four versions of a subject in one year and five in the next fill exactly one 9-pocket page: common practice, no source
		[
			'four and five make a page',
			binder(1),
			blocks(4, 5),
			'next pocket',
			{ fullest: ['b0', 'b1'], pocketsLeft: 0 }
		]
	])('%s', (_, given, candidates, start, room) => {
		expect(whatFits([given], candidates, start)[0]).toMatchObject(room);
	});

	test('for all small binders the fullest choice is the best of all choices', () => {
		const size = fc.integer({ min: 1, max: 30 });
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 8 }),
				fc.array(size, { maxLength: 2 }),
				fc.array(size, { maxLength: 7 }),
				fc.constantFrom<BlockStart>('own page', 'next pocket'),
				(pages, holds, sizes, start) => {
					const given = binder(pages, ...holds);
					const candidates = blocks(...sizes);
					const [room] = whatFits([given], candidates, start);
					const pagesOf = (pockets: number) => Math.ceil(pockets / 9);
					const fits = (chosen: readonly Block[]) => {
						const all = [...holds, ...chosen.map(({ pockets }) => pockets)];
						return start === 'own page'
							? all.reduce((sum, pockets) => sum + pagesOf(pockets), 0) <= pages
							: all.reduce((sum, pockets) => sum + pockets, 0) <= pages * 9;
					};
					let best = { pockets: 0, blocks: 0 };
					for (let bits = 0; bits < 2 ** candidates.length; bits++) {
						const chosen = candidates.filter((_, i) => bits & (1 << i));
						const pockets = chosen.reduce((sum, block) => sum + block.pockets, 0);
						const isBetter =
							pockets > best.pockets || (pockets === best.pockets && chosen.length < best.blocks);
						if (fits(chosen) && isBetter) best = { pockets, blocks: chosen.length };
					}
					const fullest = candidates.filter(({ key }) => room?.fullest.includes(key));
					expect(fullest.reduce((sum, { pockets }) => sum + pockets, 0)).toBe(best.pockets);
					expect(fullest).toHaveLength(best.blocks);
					expect(room?.mayJoin).toEqual(
						candidates.filter((block) => fits([block])).map(({ key }) => key)
					);
				}
			),
			{ numRuns: 300 }
		);
	});
});
