import { describe, expect, test } from 'vitest';
import { scopeGoals } from '../goal/scope-goal.ts';
import { missingList } from '../goal/missing-list.ts';
import { fillSlots } from '../goal/fill-slots.ts';
import type { GoalChoice } from '../goal/goal-rules.ts';
import { joinGoals } from '../binder/join-goals.ts';
import { resolveRelease } from './draft/resolve-release.ts';
import { addCollectible, addHunt, dropCollectible, dropHunt } from './edit-beside.ts';
import type { Release } from './release.ts';
import { expand } from './versions/expand.ts';
import { findVersion } from './versions/find-version.ts';
import { collectibleCardKey, withCollectibles } from './with-collectibles.ts';

function made(): Release {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		sections: [{ name: 'Base', cards: [{ title: 'Storm' }] }],
		// Over every section: a wrapper has no finishes for all that.
		parallels: [{ name: 'Brass', runs: [{ printRun: 10 }] }],
		variants: [{ kind: 'error', name: 'red', cards: ['Storm'] }],
		collectibles: [
			{ key: 'storm', kind: 'poster', name: 'Storm' },
			{ key: 'yellow', kind: 'wrapper', name: 'Yellow', note: 'three prices' },
			{ key: 'red', kind: 'wrapper', name: 'Red' }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const slotsOf = (rules: GoalChoice) =>
	scopeGoals([made()], rules).slots.map(({ key, leastCondition, needs, graded }) =>
		[key, leastCondition, needs, graded && 'graded'].filter(Boolean).join(' ')
	);
/** By name, like all cards without a number. */
const beside = ['r/.red', 'r/.storm', 'r/.yellow'];

describe('what is collected beside the cards', () => {
	test.each<[string, GoalChoice, readonly string[]]>([
		['is in no goal unless asked', { preset: 'with-inserts' }, []],
		[
			'not even in one of everything',
			{ preset: 'strict-master', finishes: 'all', errors: 'both' },
			[]
		],
		['by kind', { preset: 'base', collectibles: ['wrapper'] }, ['r/.red', 'r/.yellow']],
		[
			'in its place after the cards, whatever narrows them',
			{ preset: 'base', group: 'none', collectibles: ['wrapper', 'poster'] },
			beside
		],
		[
			'as it is: no finish, condition, cut or grade',
			{
				preset: 'parallel-run',
				parallels: ['brass'],
				collectibles: ['poster'],
				leastCondition: 'mint',
				cut: 'hand-cut',
				graded: { least: 9 },
				sectionConditions: { 'r/.beside': 'mint' }
			},
			['r/.storm']
		],
		['by hand', { preset: 'base', versions: ['r/.red'] }, ['r/.red']],
		[
			'once a set',
			{ preset: 'base', sets: 2, collectibles: ['poster'] },
			['r/.storm', 'r/.storm#2']
		],
		['a kind of which there is none', { preset: 'base', collectibles: ['album'] }, []]
	])('%s', (_, rules, expected) => {
		expect(slotsOf(rules).filter((key) => key.startsWith('r/.'))).toEqual(expected);
	});

	test('it is no version of the checklist, and found by its key all the same', () => {
		expect(expand(made()).map(({ key }) => key)).not.toContainEqual(expect.stringContaining('/.'));
		expect(findVersion(made(), 'r/.storm')).toMatchObject({ parallelKey: null, variantKey: null });
		expect(findVersion(made(), 'r/.storm~brass')).toBeNull();
		expect(findVersion(made(), 'r/.none')).toBeNull();
		expect(withCollectibles(withCollectibles(made()))).toEqual(withCollectibles(made()));
		expect(withCollectibles(made(), ['book'])).toEqual(made());
	});

	test('a copy fills its slot, the list names what is missing, no pocket is kept for it', () => {
		const { slots } = scopeGoals([made()], { preset: 'base', collectibles: ['wrapper'] });
		const filling = fillSlots(slots, [{ key: 'a', version: 'r/.red', quantity: 1 }]);
		expect(missingList(made(), slots, filling).map(({ name, text }) => `${name}: ${text}`)).toEqual(
			['Base: "Storm"', 'Beside the cards: "Yellow"']
		);
		const goal = { key: 'g', keepsOwn: false, slots, held: new Map(), releases: [made()] };
		for (const keepsOwn of [false, true]) {
			const held = { ...goal, keepsOwn };
			const joined = joinGoals([held], keepsOwn ? [held] : [], [
				{ key: 'a', version: 'r/.red', quantity: 1 }
			]);
			expect(joined.slots.map(({ key }) => key)).toEqual(['r/base-storm']);
			expect(joined.filling).toMatchObject({ placements: [], missing: [{ slot: 'r/base-storm' }] });
		}
	});
});

describe('the lists of a release', () => {
	test('grow by what is named, each once, and shrink again', () => {
		const poster = { kind: 'poster', name: ' Storm, large ', note: ' ' } as const;
		const grown = addCollectible(made(), poster);
		expect(grown.ok && grown.value.collectibles?.at(-1)).toEqual({
			key: 'storm-large',
			kind: 'poster',
			name: 'Storm, large'
		});
		expect(collectibleCardKey('storm-large')).toBe('.storm-large');
		for (const name of ['Storm', ' ']) {
			expect(addCollectible(made(), { kind: 'poster', name })).toMatchObject({
				ok: false,
				problems: [{ field: 'name' }]
			});
		}
		// Another kind of that name is another thing, with a key of its own.
		const album = addCollectible(made(), { kind: 'album', name: 'Storm' });
		expect(album.ok && album.value.collectibles?.at(-1)?.key).toBe('storm-2');
		const empty = ['storm', 'yellow', 'red'].reduce((release, key) => {
			const less = dropCollectible(release, key);
			if (!less.ok) throw new RangeError(key);
			return less.value;
		}, made());
		expect(empty).not.toHaveProperty('collectibles');
		expect(dropCollectible(empty, 'red').ok).toBe(false);
	});

	test('of hunts as well', () => {
		const hunted = addHunt(made(), {
			name: ' 31 ',
			section: 'base',
			note: ' ',
			source: 'a dealer'
		});
		if (!hunted.ok) throw new RangeError(JSON.stringify(hunted.problems));
		expect(hunted.value.hunts).toEqual([
			{ key: '31', name: '31', section: 'base', source: 'a dealer' }
		]);
		expect(addHunt(hunted.value, { name: '31' }).ok).toBe(false);
		expect(addHunt(made(), { name: '' }).ok).toBe(false);
		expect(addHunt(made(), { name: 'x', section: 'none' })).toMatchObject({
			problems: [{ field: 'section' }]
		});
		const less = dropHunt(hunted.value, '31');
		expect(less.ok && less.value).toEqual(made());
		expect(dropHunt(made(), '31').ok).toBe(false);
	});
});
