import { expect, test } from 'vitest';
import { at } from '../at.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { compareKinds, type KindAsked } from './compare-kinds.ts';
import { planPacks, type PackWant } from './plan-packs.ts';

const cards = (count: number, prefix = '') =>
	Array.from({ length: count }, (_, i) => ({ number: `${prefix}${i + 1}` }));
const outcome = resolveRelease({
	release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
	packTypes: [
		{ key: 'hobby', name: 'Hobby', cardsPerPack: 5 },
		{ key: 'bonus', name: 'Bonus' },
		{
			key: 'shop',
			name: 'Shop card',
			packs: [
				{ packType: 'hobby', count: 2 },
				{ packType: 'bonus', count: 1 }
			]
		},
		{ key: 'tin', name: 'Tin' }
	],
	sections: [
		{ name: 'Base', cards: cards(20), onlyIn: ['hobby'] },
		{ name: 'Fresnel', kind: 'insert', odds: { hobby: '1:5' }, cards: cards(5, 'F') },
		{ name: 'Glow', kind: 'insert', odds: { bonus: '1:1' }, cards: cards(4, 'G') }
	]
});
if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
const release = outcome.value;
const kind = (i: number, priceMinor: number | null): KindAsked => {
	const pack = at(release.packTypes, i);
	return { key: pack.key, release, pack, priceMinor };
};
const want = (card: string, cardMinor: number | null = 50): PackWant => ({
	...{ versions: [`r/${card}`], quantity: 1, cardMinor }
});
const rules = { postageMinor: 0, extra: { share: 0, fromMinor: 0 } };
const all = [
	...cards(20).map((_, i) => want(`base-${i + 1}`, 60)),
	...[1, 2, 3, 4].map((n) => want(`glow-g${n}`, 300))
];

test('which packs hold what is lacking, formats too', () => {
	const { kinds, noneMinor } = compareKinds({
		...{ kinds: [kind(0, 100), kind(1, null), kind(2, 250), kind(3, 10)], wants: all, ...rules }
	});
	expect(noneMinor).toBe(20 * 60 + 4 * 300);
	expect(
		kinds.map(({ key, lacking, newAPack, best }) => [
			key,
			lacking,
			Number(newAPack.toFixed(6)),
			best !== null
		])
	).toEqual([
		// Five a pack, less one where an insert comes.
		['hobby', 20, 4.8, true],
		['bonus', 4, 1, false],
		['shop', 24, 10.6, true],
		['tin', 0, 0, true]
	]);
	expect(kinds[3]?.best?.packs).toBe(0);
});

test('of one kind it is what its own plan says; together no worse than any alone', () => {
	const hobby = compareKinds({ kinds: [kind(0, 100)], wants: all, ...rules });
	const plan = planPacks({
		...{ release, pack: at(release.packTypes, 0), wants: all.slice(0, 20) },
		...{ packs: 10, priceMinor: 100, ...rules }
	});
	expect(hobby.kinds[0]?.best?.packs).toBe(plan?.stop?.options[0]?.best.packs);
	const both = compareKinds({
		kinds: [kind(0, 100), kind(1, 120), kind(2, 350)],
		wants: all,
		...rules
	});
	for (const { best } of both.kinds) {
		expect(both.best.totalMinor).toBeLessThanOrEqual((best?.totalMinor ?? NaN) + 1e-9);
	}
	// Dear formats, cheap packs: of each kind some, and no format.
	expect(both.best.packs.map(({ packs }) => packs > 0)).toEqual([true, true, false]);
	expect(both.best.savedMinor).toBeGreaterThan(0);
	// A format for less than its packs is better than these.
	const cheap = compareKinds({
		kinds: [kind(0, 100), kind(1, 120), kind(2, 200)],
		wants: all,
		...rules
	});
	expect(cheap.best.packs.find(({ key }) => key === 'shop')?.packs).toBeGreaterThan(0);
	expect(cheap.best.totalMinor).toBeLessThan(both.best.totalMinor);
});

test('nothing wanted, no kinds, no prices', () => {
	expect(compareKinds({ kinds: [], wants: all, ...rules })).toMatchObject({
		kinds: [],
		isNone: true
	});
	expect(compareKinds({ kinds: [kind(0, 100)], wants: [], ...rules })).toMatchObject({
		...{ noneMinor: 0, isNone: true, kinds: [{ lacking: 0, newAPack: 0 }] }
	});
	const unpriced = compareKinds({ kinds: [kind(0, null)], wants: all, ...rules });
	expect(unpriced).toMatchObject({ isNone: true, kinds: [{ lacking: 20, best: null }] });
});
