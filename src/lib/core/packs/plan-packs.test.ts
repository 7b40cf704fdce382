import { expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { PackType } from '../checklist/release.ts';
import { packsBring } from './compare-kinds.ts';
import { planPacks, type PacksAsked, type PackWant } from './plan-packs.ts';

const cards = (count: number, prefix = '') =>
	Array.from({ length: count }, (_, i) => ({ number: `${prefix}${i + 1}` }));

const outcome = resolveRelease({
	release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
	packTypes: [
		{ key: 'hobby', name: 'Hobby', cardsPerPack: 4, packsPerBox: 10 },
		{ key: 'tin', name: 'Tin' }
	],
	sections: [
		{ name: 'Base', cards: cards(20) },
		{ name: 'Fresnel', kind: 'insert', odds: { hobby: '1:5' }, cards: cards(5, 'F') },
		{ name: 'Poster', kind: 'insert', cards: cards(2, 'P') }
	]
});
if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
const release = outcome.value;
const want = (card: string, cardMinor: number | null = 50, quantity = 1): PackWant => ({
	...{ versions: [`r/${card}`], quantity, cardMinor }
});
const plan = (wants: readonly PackWant[], more: Partial<PacksAsked> = {}, pack = 'hobby') => {
	const found = release.packTypes.find(({ key }) => key === pack);
	if (!found) throw new RangeError(pack);
	const rules = { packs: 10, priceMinor: 100, postageMinor: 0, extra: { share: 0, fromMinor: 0 } };
	return planPacks({ release, pack: found, wants, ...rules, ...more });
};

test('what is lacking is counted where it comes from; the rest is told', () => {
	const found = plan([
		want('base-1'),
		want('base-2', null),
		// Either will do: the base card comes more often.
		{ versions: ['r/fresnel-f1', 'r/base-3'], quantity: 1, cardMinor: 90 },
		want('fresnel-f2', 300, 2),
		want('poster-p1')
	]);
	expect(found?.groups.map(({ name, lacking }) => `${name} ${lacking}`)).toEqual([
		'Base 3',
		'Fresnel 2'
	]);
	expect(found).toMatchObject({
		...{ elsewhere: 1, unpriced: 1, unstated: [{ name: 'Poster', lacking: 1 }] }
	});
	// Ten packs of four, a card less where an insert comes: each base card in 3.8 of 20 packs.
	expect(found?.odds.groups[0]?.missing).toBeCloseTo(3 * (1 - 3.8 / 20) ** 10, 12);
	expect(found?.stop?.noneMinor).toBeCloseTo(50 + 0 + 90 + 2 * 300, 9);
	expect(found?.stop?.options.map(({ key, next }) => [key, next.packs, next.costMinor])).toEqual([
		['pack', 1, 100],
		['box', 10, 1000]
	]);
	// What a box brings: singles that need not be bought then.
	const single = (q: number) => 1 - (1 - q) ** 10;
	const twice = (q: number) => single(q) + (1 - (1 - q) ** 10 - 10 * q * (1 - q) ** 9);
	const brings = (50 + 90) * single(3.8 / 20) + 300 * twice(0.2 / 5);
	expect(found?.stop?.options[1]?.next.bringsMinor).toBeCloseTo(brings, 8);
});

test('what doubles trade for: one for one, then ten for a harder card', () => {
	const wants = [...cards(20).map((_, i) => want(`base-${i + 1}`)), want('fresnel-f2')];
	const trades = plan(wants, { packs: 10 })?.trades;
	// 38 base cards, of which some 17.6 are new; enough doubles for the others, and 18 − 10 × 0.67 to spare.
	const base = 20 * (1 - 3.8 / 20) ** 10;
	const fresnel = (1 - 0.2 / 5) ** 10;
	expect(trades?.missing).toBeCloseTo(base + fresnel, 9);
	expect(trades?.oneForOne).toBeCloseTo(0, 9);
	expect(plan([want('fresnel-f2')], { packs: 10 })?.trades).toMatchObject({
		...{ oneForOne: 0, forHarder: 0, doublesForHarder: 10 }
	});
	const few = plan([want('fresnel-f2', 9, 3)], { packs: 1 })?.trades;
	// A pack has 3.8 cards that are all doubles, and the insert itself comes in one of 25.
	expect(few?.missing).toBeCloseTo(3 - 0.04, 9);
	expect(few?.oneForOne).toBeCloseTo(3 - 0.04 - 0.16, 9);
	expect(few?.forHarder).toBeCloseTo(3 - 0.04 - 0.16 - 0.38, 9);
});

test('dear packs: open none; cheap ones of much that is lacking: some; without a price nothing is said', () => {
	const all = cards(20).map((_, i) => want(`base-${i + 1}`, 80));
	expect(plan(all, { priceMinor: 2000 })?.stop).toMatchObject({ isNone: true });
	const some = plan(all, { priceMinor: 60 })?.stop;
	expect(some?.isNone).toBe(false);
	expect(some?.best.savedMinor).toBeGreaterThan(0);
	expect(plan(all, { priceMinor: null })?.stop).toBeNull();
	// What doubles bring makes more packs worth it.
	const most = plan(all, { priceMinor: 60, extra: { share: 0.1, fromMinor: 50 } })?.stop;
	expect(most?.options[0]?.best.packs).toBeGreaterThan(some?.options[0]?.best.packs ?? 0);
	// Commons bring nothing; postage is saved with each single.
	const common = plan(all, { priceMinor: 60, extra: { share: 0.1, fromMinor: 100 } })?.stop;
	expect(common?.best.totalMinor).toBeCloseTo(some?.best.totalMinor ?? NaN, 9);
	expect(plan(all, { postageMinor: 30 })?.stop?.noneMinor).toBeCloseTo(20 * 110, 9);
});

test('nothing lacking, and a pack of which nothing is known', () => {
	const done = plan([]);
	expect(done?.odds.goal).toMatchObject({ chanceComplete: 1, packsToComplete: 0 });
	expect(done?.stop).toMatchObject({ isNone: true, noneMinor: 0 });
	expect(plan([], {}, 'tin')).toBeNull();
});

test('what a sealed box brings when it is opened is what the next box brings', () => {
	const pack = release.packTypes[0] as PackType;
	const wants = [want('base-1', 500), want('fresnel-f2', 300)];
	const rules = { postageMinor: 20, extra: { share: 0.2, fromMinor: 100 } };
	const next = plan(wants, rules)?.stop?.options.find(({ key }) => key === 'box')?.next;
	expect(packsBring({ release, pack, packs: 10 }, { wants, ...rules })).toBeCloseTo(
		next?.bringsMinor ?? NaN,
		8
	);
	expect(packsBring({ release, pack, packs: 10 }, { wants: [], ...rules })).toBe(0);
	expect(
		packsBring({ release, pack: { key: 'tin', name: 'Tin' }, packs: 1 }, { wants, ...rules })
	).toBeNull();
});
