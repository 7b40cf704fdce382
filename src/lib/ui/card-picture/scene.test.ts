import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { sceneOf } from './scene';

describe('the picture of a card', () => {
	test('is always the same for a card, and not the same for its neighbours', () => {
		const scenes = Array.from({ length: 60 }, (_, i) => sceneOf(`r/base-${i}`, '', '', null));
		expect(scenes).toEqual(scenes.map((_, i) => sceneOf(`r/base-${i}`, '', '', null)));
		expect(new Set(scenes.map(({ sky }) => sky)).size).toBeGreaterThan(4);
		expect(new Set(scenes.map(({ chances }) => chances.join())).size).toBe(60);
	});

	test('keeps its scene in every finish, in another frame', () => {
		const plain = sceneOf('r/base-1', 'Gannet Point', 'Lighthouses', null);
		const frames = ['brass', 'verdigris', 'first-beam'].map((finish) => {
			const { frame, ...rest } = sceneOf('r/base-1', 'Gannet Point', 'Lighthouses', finish);
			expect({ ...rest, frame: plain.frame }).toEqual(plain);
			return frame;
		});
		for (const frame of frames) expect(frame).not.toBe(plain.frame);
	});

	test.each([
		['Lighthouses', 'Gannet Point', 'tower'],
		['Keepers', 'The Storm Lamp', 'keeper'],
		['', 'The Candlemas Gale', 'storm'],
		['Moths', 'Harbour Prominent', 'moth'],
		["Keepers' Dogs", 'Button', 'keeper'],
		['Dogs', 'Button', 'dog']
	])('group "%s", title "%s": %s', (group, title, motif) => {
		expect(sceneOf('r/x', title, group, null).motif).toBe(motif);
	});

	test('for all keys, lots lie between 0 and 1', () => {
		fc.assert(
			fc.property(fc.string(), (seed) => {
				for (const chance of sceneOf(seed, '', '', null).chances) {
					expect(chance).toBeGreaterThanOrEqual(0);
					expect(chance).toBeLessThan(1);
				}
			})
		);
	});
});
