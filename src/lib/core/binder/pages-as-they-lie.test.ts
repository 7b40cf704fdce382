import { describe, expect, test } from 'vitest';
import { SMALL_LAYOUT, smallSlots } from './small-slots.fixture.ts';
import { PAGE_KINDS } from './page-kind.ts';
import { pagesAsTheyLie } from './pages-as-they-lie.ts';
import { planBinder } from './plan-binder.ts';

describe('pagesAsTheyLie', () => {
	test('cards are shown where they lie; on leaves that the plan no longer has, behind all others', () => {
		const { pages } = planBinder(smallSlots(3), SMALL_LAYOUT);
		const shown = pagesAsTheyLie(
			pages,
			[
				{ pocket: '1/1/2x2/4', slot: 's1' },
				{ pocket: '1/1/3x3/9', slot: 's2' },
				{ pocket: '1/7/2x2/1', slot: 'gone' },
				{ pocket: 'nonsense', slot: 's3' }
			],
			PAGE_KINDS
		);
		expect(shown.map(({ pockets }) => pockets.map((slot) => slot ?? '.').join(' '))).toEqual([
			'. . . s1',
			'. . . . . . . . s2',
			'gone . . .'
		]);
		expect(shown.map(({ page, blocks }) => `${page} ${blocks.join()}`)).toEqual([
			'1 a',
			'2 former page 1',
			'3 former page 7'
		]);
	});
});
