import fc from 'fast-check';
import { expect, test } from 'vitest';
import { pictureGroups } from './picture-groups.ts';

const bits = fc
	.array(fc.constantFrom('0', '1'), { minLength: 8, maxLength: 8 })
	.map((signs) => signs.join(''));
const pictures = fc
	.array(bits, { maxLength: 9 })
	.map((hashes) => hashes.map((hash, i) => ({ key: String(i), bits: hash })));

test('for all photos two share a group exactly where near ones lead from one to the other', () => {
	fc.assert(
		fc.property(pictures, fc.integer({ min: 1, max: 8 }), (all, least) => {
			const groups = pictureGroups(all, least);
			expect(groups.flat().sort()).toEqual(all.map(({ key }) => key).sort());
			expect(groups.map(({ length }) => length)).toEqual(
				groups.map(({ length }) => length).sort((a, b) => b - a)
			);
			// Reach by brute force: as many rounds as there are photos.
			const apart = (a: string, b: string) => [...a].filter((sign, i) => sign !== b[i]).length;
			const reach = all.map((_, i) => new Set([i]));
			for (const _ of all) {
				for (const set of reach) {
					for (const i of [...set]) {
						all.forEach((other, j) => {
							if (apart(all[i]?.bits ?? '', other.bits) < least) set.add(j);
						});
					}
				}
			}
			const groupOf = (key: string) => groups.findIndex((group) => group.includes(key));
			all.forEach((picture, i) =>
				all.forEach((other, j) =>
					expect(groupOf(picture.key) === groupOf(other.key)).toBe(reach[i]?.has(j) ?? false)
				)
			);
		})
	);
});
