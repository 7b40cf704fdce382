import { expect, test } from 'vitest';
import { at } from '../at.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { partsOfPack } from './format-parts.ts';
import type { PackWant } from './plan-packs.ts';

const cards = (count: number, prefix = '') =>
	Array.from({ length: count }, (_, i) => ({ number: `${prefix}${i + 1}` }));
const made = (onlyIn: readonly string[]) => {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		packTypes: [
			{ key: 'hobby', name: 'Hobby', cardsPerPack: 5 },
			{ key: 'bonus', name: 'Bonus', cardsPerPack: 1 },
			{
				...{ key: 'shop', name: 'Shop card' },
				packs: [
					{ packType: 'hobby', count: 2 },
					{ packType: 'bonus', count: 1 }
				]
			},
			{ key: 'tin', name: 'Tin' }
		],
		sections: [
			{ name: 'Base', cards: cards(20).map((card, i) => (i < 5 ? { ...card, onlyIn } : card)) },
			{
				name: 'Fresnel',
				kind: 'insert',
				odds: { hobby: '1:5', bonus: '1:2' },
				cards: cards(5, 'F')
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
};
const want = (...versions: string[]): PackWant => ({
	...{ versions: versions.map((card) => `r/${card}`), quantity: 1, cardMinor: null }
});

test('a format is the packs it is made of; groups of the same cards bear one key, each want counts once', () => {
	const release = made(['hobby', 'bonus']);
	// Either will do: the base card comes more often, in the hobby pack.
	const wants = [want('base-1'), want('fresnel-f1', 'base-2'), want('fresnel-f2')];
	const read = partsOfPack(release, at(release.packTypes, 2), wants);
	expect(
		read.ok &&
			read.value.parts.map(({ packs, profile }) => [
				packs,
				profile.groups.map(({ key, classes }) => [
					key,
					classes[0]?.lacking === 1 ? classes[0].cards : 0
				])
			])
	).toEqual([
		[
			2,
			[
				['Base', 2],
				['Fresnel', 1]
			]
		],
		[
			1,
			[
				['Base', 2],
				['Fresnel', 1]
			]
		]
	]);
	const single = partsOfPack(release, at(release.packTypes, 0), wants);
	expect(single.ok && single.value.parts.map(({ packs }) => packs)).toEqual([1]);
});

test('groups that share some cards only, and packs of which nothing is known, are told', () => {
	const release = made(['hobby']);
	const torn = partsOfPack(release, at(release.packTypes, 2), []);
	expect(torn.ok ? [] : torn.problems.map(({ message }) => message)).toEqual([
		'Base of Bonus shares only some of its cards with Base'
	]);
	const tin = partsOfPack(release, at(release.packTypes, 3), []);
	expect(tin.ok ? [] : tin.problems.map(({ message }) => message)).toEqual([
		'nothing is known of what such packs hold'
	]);
});
