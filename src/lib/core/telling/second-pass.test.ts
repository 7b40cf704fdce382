import { expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { secondPass, type PassCopy } from './second-pass.ts';

function release(key: string, name: string) {
	const outcome = resolveRelease({
		release: { key, name, maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: ['1', '2', '10', '11'].map((number) => ({ number, title: `T${number}` }))
			}
		],
		parallels: [{ name: 'Slate', runs: [{ sections: ['base'] }] }],
		variants: [
			{
				kind: 'error',
				name: 'wrong bird',
				cards: ['10'],
				howToTell: 'A tern.',
				regularName: 'right bird',
				tells: [{ feature: 'bird', value: 'tern', otherwise: 'gull' }]
			},
			{
				kind: 'image variation',
				name: 'at night',
				cards: ['2'],
				inParallels: ['slate'],
				tells: [{ feature: 'moon', value: 'there', where: 'back' }]
			},
			{ kind: 'uncorrected', name: 'typo', cards: ['1'] },
			{ kind: 'piece', name: 'tile', cards: ['11'] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const releases = [release('b', 'B'), release('a', 'A')];
const copy = (version: string, more: Partial<PassCopy> = {}): PassCopy => ({
	key: version,
	version,
	quantity: 1,
	isPrintingUnseen: true,
	place: null,
	...more
});
const keys = (copies: readonly PassCopy[], options = {}) =>
	secondPass(releases, copies, options).map(({ version }) => version);

test('unseen printings come in the order in which they stand: box or binder, row, release, number', () => {
	const box = (name: string, row: number | null) => ({ place: { name, row } });
	expect(
		keys([
			copy('b/base-10'),
			copy('a/base-10', box('Box 10', 1)),
			copy('a/base-2', box('Box 10', 1)),
			copy('b/base-2', box('Box 2', 2)),
			copy('b/base-10', box('Box 2', 1)),
			copy('a/base-2')
		])
	).toEqual(['b/base-10', 'b/base-2', 'a/base-2', 'a/base-10', 'a/base-2', 'b/base-10']);
});

test('only numbers with printings of their own are looked at, each in its finish', () => {
	expect(
		keys(
			[
				'a/base-1',
				'a/base-11',
				'a/base-2~slate',
				'a/base-10~slate',
				'a/base-2!at-night',
				'none/base-2',
				'x'
			].map((key) => copy(key))
		)
	).toEqual(['a/base-2~slate']);
	const seen = [copy('a/base-2', { isPrintingUnseen: false }), copy('a/base-10')];
	expect(keys(seen)).toEqual(['a/base-10']);
	expect(keys(seen, { all: true })).toEqual(['a/base-2', 'a/base-10']);
	expect(secondPass([], seen)).toEqual([]);
});

test('what to look for is said of each printing, the regular one first', () => {
	expect(secondPass(releases, [copy('a/base-10')])[0]?.printings).toEqual([
		{ version: 'a/base-10', name: 'right bird', lookFor: 'Bird: gull.' },
		{ version: 'a/base-10!wrong-bird', name: 'wrong bird', lookFor: 'A tern. Bird: tern.' }
	]);
	expect(secondPass(releases, [copy('a/base-2~slate')])[0]?.printings[1]).toEqual({
		version: 'a/base-2~slate!at-night',
		name: 'at night',
		lookFor: 'Turn it over: moon, there.'
	});
});
