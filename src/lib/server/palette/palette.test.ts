import { beforeEach, expect, test } from 'vitest';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { importRelease } from '../checklists/import-release.ts';
import { withCollection } from '../collection.fixture.ts';
import { undo } from '../journal/undo.ts';
import { loadRelease } from '../releases/load-release.ts';
import { readPaletteUse, removeFinish, saveFinish, shareFinish } from './palette.ts';

const at = withCollection();
beforeEach(async () => {
	for (const [year, parallels] of [
		[
			'1994',
			[
				['Brass', 120, 'gold edge'],
				['Slate', 75, '']
			]
		],
		[
			'1995',
			[
				['brass', 60, ''],
				['Verdigris', 10, '']
			]
		]
	] as const) {
		const outcome = resolveRelease({
			release: { key: `r-${year}`, name: 'R', maker: 'M', year },
			sections: [{ name: 'Base', cards: [{ number: '1', title: 'One' }] }],
			parallels: parallels.map(([name, printRun, howToTell]) => ({
				name,
				...(howToTell ? { howToTell } : {}),
				runs: [{ sections: ['base'], printRun }]
			}))
		});
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		await importRelease(at.collection, outcome.value);
	}
});
/** Name, look, how to tell and palette of the finishes of both releases. */
const told = async () =>
	(
		await Promise.all(
			['r-1994', 'r-1995'].map(async (key) => (await loadRelease(at.collection.db, key))?.release)
		)
	).flatMap((release) =>
		(release?.parallels ?? []).map(({ name, look = '', howToTell = '', palette = '' }) =>
			[name, look, howToTell, palette].join('|')
		)
	);
const asImported = ['Brass||gold edge|', 'Slate|||', 'brass|||', 'Verdigris|||'];

test('a finish of two releases is entered once; a change reaches both but what one says otherwise; undone whole', async () => {
	expect((await readPaletteUse(at.collection.db)).shared).toEqual([
		{ name: 'Brass', releases: ['r-1994', 'r-1995'] }
	]);
	expect(await shareFinish(at.collection, 'Brass')).toMatchObject({ value: { key: 'brass' } });
	expect(await told()).toEqual([
		'Brass||gold edge|brass',
		'Slate|||',
		'brass||gold edge|brass',
		'Verdigris|||'
	]);
	const { palette, shared } = await readPaletteUse(at.collection.db);
	expect(shared).toEqual([]);
	expect(palette.map(({ uses }) => uses.map(({ name, runs }) => [name, ...runs]))).toEqual([
		[
			['Brass', 120],
			['brass', 60]
		]
	]);
	await saveFinish(at.collection, {
		key: 'brass',
		name: 'Brass',
		look: 'yellow',
		howToTell: 'edge',
		tells: [{ feature: 'edge', value: 'yellow', where: 'back' }]
	});
	const stored = await loadRelease(at.collection.db, 'r-1994');
	expect(stored?.release.parallels[0]?.tells).toEqual([
		{ feature: 'edge', value: 'yellow', where: 'back' }
	]);
	expect(await told()).toEqual([
		'Brass|yellow|edge|brass',
		'Slate|||',
		'brass|yellow|edge|brass',
		'Verdigris|||'
	]);
	await removeFinish(at.collection, 'brass');
	expect((await told())[2]).toBe('brass|yellow|edge|');
	for (let i = 0; i < 3; i++) await undo(at.collection);
	expect(await told()).toEqual(asImported);
	expect((await readPaletteUse(at.collection.db)).palette).toEqual([]);
});

test('a new name never makes two finishes of a release the same; what is not there or twice is refused', async () => {
	await shareFinish(at.collection, 'Brass');
	await saveFinish(at.collection, { key: 'brass', name: 'Slate' });
	// In 1994 another finish is called Slate already: the name stays there.
	expect((await told()).map((text) => text.split('|')[0])).toEqual([
		'Brass',
		'Slate',
		'brass',
		'Verdigris'
	]);
	for (const refused of [
		saveFinish(at.collection, { key: 'nix', name: 'N' }),
		saveFinish(at.collection, { name: 'SLATE' }),
		shareFinish(at.collection, 'Zinc'),
		removeFinish(at.collection, 'nix')
	]) {
		const outcome = await refused;
		expect(outcome.ok ? [] : outcome.problems).toHaveLength(1);
	}
	expect(await saveFinish(at.collection, { name: 'Zinc', stockPt: 55 })).toMatchObject({
		ok: true
	});
	expect((await readPaletteUse(at.collection.db)).palette.map(({ finish }) => finish)).toEqual([
		{ key: 'brass', name: 'Slate' },
		{ key: 'zinc', name: 'Zinc', stockPt: 55 }
	]);
});
