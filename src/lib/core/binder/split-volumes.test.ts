import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Cell } from './arrange-block.ts';
import type { BinderSlot } from './binder-slot.ts';
import type { Face } from './lay-faces.ts';
import { newVolume, putFace } from './leafing.ts';
import { pageKindOf } from './page-kind.ts';
import { planBinder } from './plan-binder.ts';
import { splitVolumes, type Cut } from './split-volumes.ts';

const cell = (block: string): Cell => ({ slot: block, block, um: 500 });
const face = (
	block: string,
	isNew: boolean,
	rest: Partial<Face> = {},
	inside: readonly number[] = []
): Face => ({
	kind: pageKindOf('2x2'),
	start: 'page',
	isLeft: false,
	isJoined: false,
	cells: [cell(block), cell(inside.length > 0 ? `${block}'` : block)],
	opens: [...(isNew ? [0] : []), ...inside].map((at) => ({ part: 0, cell: at })),
	um: 500,
	...rest
});

/**
 * What a choice of cuts costs: overfull volumes, volumes, broken blocks, unevenness; null where a volume
 * is too full that could be cut.
 */
function costOf(
	faces: readonly Face[],
	cuts: readonly Cut[],
	isOneSided: boolean,
	mostLeaves: number
): readonly number[] | null {
	let unevenness = 0;
	let overfull = 0;
	for (const [i, cut] of cuts.entries()) {
		const next = cuts[i + 1];
		const end = next ? next.face + (next.cell > 0 ? 1 : 0) : faces.length;
		const inVolume = faces.slice(cut.face, end);
		if (inVolume.slice(1).some(({ start }) => start === 'volume')) return null;
		const state = newVolume();
		for (const inFace of inVolume) putFace(state, inFace, isOneSided);
		if (state.leaves > 1 && state.leaves > mostLeaves) {
			const canBeCut =
				inVolume.slice(1).some(({ isJoined }) => !isJoined) ||
				inVolume.some(({ opens }, f) => {
					const from = f === 0 ? cut.cell : 0;
					const to = next && f === inVolume.length - 1 && next.cell > 0 ? next.cell : Infinity;
					return opens.some(({ cell: at }) => at > from && at < to);
				});
			if (canBeCut) return null;
			overfull++;
		}
		unevenness += state.leaves ** 2;
	}
	return [overfull, cuts.length, cuts.filter(({ breaks }) => breaks).length, unevenness];
}

/** Every way to cut, by brute force. */
function bestCost(faces: readonly Face[], isOneSided: boolean, mostLeaves: number) {
	const blockAt = (f: number, from: 'first' | 'last') =>
		faces[f]?.cells[from === 'first' ? 0 : 1]?.block;
	const borders = faces.flatMap((current, f) => {
		const isNew = current.opens.some(({ cell: at }) => at === 0);
		const breaks = !isNew && blockAt(f - 1, 'last') === blockAt(f, 'first');
		return [
			...(current.isJoined || f === 0 ? [] : [{ face: f, cell: 0, breaks }]),
			...current.opens
				.filter(({ cell: at }) => at > 0)
				.map(({ cell: at }) => ({ face: f, cell: at, breaks: false }))
		];
	});
	let best: readonly number[] | null = null;
	for (let mask = 0; mask < 2 ** borders.length; mask++) {
		const chosen = borders.filter((_, i) => mask & (2 ** i));
		const cost = costOf(
			faces,
			[{ face: 0, cell: 0, breaks: false }, ...chosen],
			isOneSided,
			mostLeaves
		);
		if (cost && (!best || compare(cost, best) < 0)) best = cost;
	}
	return best;
}

const compare = (a: readonly number[], b: readonly number[]) =>
	a.map((value, i) => value - (b[i] ?? 0)).find((difference) => difference !== 0) ?? 0;

describe('splitVolumes', () => {
	test('for all faces: fewest volumes, then fewest broken blocks, then most even (brute force)', () => {
		const drawnFace = fc.record({
			block: fc.constantFrom('a', 'b'),
			isNew: fc.boolean(),
			start: fc.constantFrom('page', 'page', 'leaf', 'volume'),
			isLeft: fc.boolean(),
			isWide: fc.boolean(),
			inside: fc.boolean()
		});
		fc.assert(
			fc.property(
				fc.array(drawnFace, { minLength: 1, maxLength: 8 }),
				fc.boolean(),
				fc.integer({ min: 1, max: 4 }),
				(parts, isOneSided, mostLeaves) => {
					/** The right half of a picture that lies over two pages. */
					const isRight = (i: number): boolean =>
						i > 0 && (parts[i - 1]?.isLeft ?? false) && !isRight(i - 1);
					const faces = parts.map(({ block, isNew, start, isLeft, isWide, inside }, i) =>
						face(
							block,
							isNew || i === 0,
							{
								start: isRight(i) ? 'page' : (start as Face['start']),
								isLeft: isLeft && !isRight(i),
								isJoined: isRight(i),
								kind: pageKindOf(isWide ? '3x3' : '2x2')
							},
							inside && !isLeft && !isRight(i) ? [1] : []
						)
					);
					const cuts = splitVolumes(faces, isOneSided, { mostLeaves, depthUm: 1e9 });
					const best = bestCost(faces, isOneSided, mostLeaves);
					expect(best).not.toBeNull();
					expect(costOf(faces, cuts, isOneSided, mostLeaves)).toEqual(best);
				}
			),
			{ numRuns: 300 }
		);
	});
});

describe('volumes of a binder', () => {
	const run = (block: string, count: number, stockPt = 18): BinderSlot[] =>
		Array.from({ length: count }, (_, i) => ({
			key: `${block}${i + 1}`,
			number: String(i + 1),
			title: '',
			block,
			format: { stockPt }
		}));
	const volumesOf = (
		slots: readonly BinderSlot[],
		mostLeaves: number,
		spineDepthMm: number,
		blockStart: 'new-page' | 'runs-on' = 'new-page'
	) => {
		const binderKinds = [{ key: 'own', name: '', mostLeaves, spineDepthMm }];
		const layout = { pageKind: '2x2', order: 'number', blockStart, binderKind: 'own' } as const;
		const plan = planBinder(slots, layout, { binderKinds });
		return { leaves: plan.volumes.map(({ leaves }) => leaves), broken: plan.broken, plan };
	};

	test.each([
		// Eight cards a leaf of two faces. Worked by hand.
		['one volume holds all', run('a', 16), 2, [2], []],
		['a border keeps both whole', [...run('a', 16), ...run('b', 16)], 3, [2, 2], []],
		['too large for one is broken evenly', run('a', 32), 3, [2, 2], ['a']],
		['the break is rather even than full', run('a', 40), 4, [2, 3], ['a']],
		['the section that fits is not broken', [...run('a', 8), ...run('b', 24)], 3, [1, 3], []]
	] as const)('%s', (_, slots, mostLeaves, leaves, broken) => {
		const split = volumesOf(slots, mostLeaves, 1000);
		expect([...split.leaves].sort()).toEqual([...leaves].sort());
		expect(split.broken).toEqual(broken);
	});

	test('blocks that run on split at the border inside a page, for one page more', () => {
		const { plan, leaves, broken } = volumesOf(
			[...run('a', 10), ...run('b', 14)],
			2,
			1000,
			'runs-on'
		);
		expect(leaves).toEqual([2, 2]);
		expect(broken).toEqual([]);
		const second = plan.pages.filter(({ volume }) => volume === 2);
		expect(second[0]?.pockets[0]).toBe('b1');
		expect(plan.cardPages).toBe(7);
	});

	test('thickness: 18 pt of standard stock, sleeved, and its film against the spine depth', () => {
		// A leaf of two faces: 2 × (18 × 25.4 µm + 100 µm) + 200 µm = 1.314 mm.
		const { plan } = volumesOf(run('a', 8), 9, 1000);
		expect(plan.volumes).toEqual([{ volume: 1, leaves: 1, thicknessMm: 1.3, isOverfull: false }]);
		expect(volumesOf(run('a', 24), 9, 3.9).leaves).toHaveLength(2);
		expect(volumesOf(run('a', 24), 9, 4).leaves).toEqual([3]);
		// Twice as thick stock: half as many leaves close.
		expect(volumesOf(run('a', 24, 50), 9, 4).leaves).toHaveLength(3);
	});

	test('a leaf thicker than the spine is a volume of its own, and said to be overfull', () => {
		const { plan } = volumesOf(run('a', 8), 9, 1);
		expect(plan.volumes).toMatchObject([{ leaves: 1, isOverfull: true }]);
	});
});
