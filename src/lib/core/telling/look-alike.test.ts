import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { lookAlike } from './look-alike.ts';
import { tellApartTable } from './tell-apart-table.ts';
import { trainerRound } from './trainer-round.ts';

function made(key: string, year: string, ink: string) {
	const outcome = resolveRelease({
		release: { key, name: `Gulls ${year}`, maker: 'M', year },
		sections: [
			{
				name: 'Base',
				format: { widthMm: 60, heightMm: 80, stockPt: 20 },
				tells: [
					{ feature: 'ink', value: ink, where: 'back' },
					{ feature: 'edge', value: 'white' }
				],
				cards: [{ number: '1', title: 'Herring' }]
			},
			{ name: 'Odd', kind: 'insert', cards: [{ number: 'O1', title: 'Tern' }] }
		],
		parallels: [
			{
				name: 'Slate',
				runs: [{ sections: ['base'] }],
				tells: [{ feature: 'edge', value: 'slate' }]
			}
		],
		variants: [
			{
				kind: 'image variation',
				name: 'at night',
				cards: ['1'],
				tells: [{ feature: 'sky', value: 'dark', otherwise: 'light' }]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const [early, late] = [made('g', '1994', 'black'), made('h', '1995', 'blue')];
const tellsOf = (key: string) =>
	Object.fromEntries(
		(lookAlike(early, key)?.tells ?? []).map(({ feature, value }) => [feature, value])
	);

describe('a look-alike', () => {
	test('is a release, a section in a finish, or a version; each shows what is nearest to it', () => {
		expect(lookAlike(early, 'g')).toMatchObject({ name: 'Gulls 1994', card: null });
		expect(tellsOf('g')).toEqual({
			ink: 'black',
			edge: 'white',
			size: '60 × 80 mm',
			thickness: '20 pt',
			year: '1994',
			maker: 'M'
		});
		expect(lookAlike(early, 'g/base~slate')).toMatchObject({
			name: 'Base, Slate',
			finish: 'slate'
		});
		expect(tellsOf('g/base~slate')).toMatchObject({ edge: 'slate', ink: 'black' });
		expect(lookAlike(early, 'g/base-1!at-night')).toMatchObject({
			name: '1 Herring, at night',
			card: 'base-1'
		});
		expect(tellsOf('g/base-1!at-night')).toMatchObject({ sky: 'dark', edge: 'white' });
		expect(lookAlike(early, 'g/odd-o1')?.name).toBe('O1 Tern, Odd');
	});

	test.each([
		'h',
		'g/none',
		'g/base~gold',
		'g/base-1~gold',
		'g/base!at-night',
		'g/base-1!dusk',
		'',
		'/',
		'g/'
	])('"%s" is none of this release', (key) => expect(lookAlike(early, key)).toBeNull());

	test('of two releases differ by what differs, over releases', () => {
		const alikes = [lookAlike(early, 'g'), lookAlike(late, 'h')].flatMap((each) => each ?? []);
		const { rows, twins } = tellApartTable(alikes);
		const differing = rows.filter(({ isDifferent }) => isDifferent);
		expect(differing.map(({ feature }) => feature).sort()).toEqual(['ink', 'year']);
		expect(twins).toEqual([]);
	});
});

describe('a round of the trainer', () => {
	const [base, slate] = ['g/base', 'g/base~slate'].map((key) => lookAlike(early, key));

	test('shows one of two with a tell by which they differ, whatever is drawn', () => {
		if (!base || !slate) throw new RangeError('no look-alikes');
		for (const which of [0, 0.49, 0.5, 0.99]) {
			for (const chance of [0, 0.5, 0.999]) {
				const round = trainerRound(base, slate, [which, chance, chance, 1 - chance]);
				const shown = which < 0.5 ? base : slate;
				expect(round?.answer).toBe(shown.key);
				expect(round?.seen.find(({ feature }) => feature === 'edge')?.value).toBe(
					which < 0.5 ? 'white' : 'slate'
				);
				expect(round?.seen.length).toBeLessThanOrEqual(3);
				for (const { feature, value } of round?.seen ?? []) {
					expect(shown.tells.find((tell) => tell.feature === feature)?.value).toBe(value);
				}
			}
		}
	});

	test('is none where nothing known of both tells them apart', () => {
		if (!base) throw new RangeError('no look-alike');
		expect(trainerRound(base, { ...base, key: 'twin' }, [0])).toBeNull();
		expect(trainerRound(base, { ...base, key: 'bare', tells: [] }, [0])).toBeNull();
	});
});
