import { expect, test } from 'vitest';
import { readCardListRowsOf } from '../../formats/card-list.fixture.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { undo } from '../journal/undo.ts';
import { listReleases } from '../releases/list-releases.ts';
import { loadRelease } from '../releases/load-release.ts';
import { cardListChanges, importCardList } from './import-card-list.ts';
import { importRelease } from './import-release.ts';

const at = withCollection();

test('every card of a subject in one step: releases that are there grow, the others begin', async () => {
	const sample = sampleRelease();
	await importRelease(at.collection, sample);
	await at.line('1-5');
	const before = await at.owned();
	const list = readCardListRowsOf(
		[
			'release,maker,year,section,number,title,subjects',
			`${sample.name},${sample.maker},${sample.year},Base,1,Ada,Ada`,
			',,,Base,977,Ada again,Ada',
			'Other Lights,Rival Press,1995,Base,12,Ada,Ada',
			'Other Lights,Third Press,1995,,4,Ada,Ada'
		].join('\n')
	);
	expect(await cardListChanges(at.collection.db, list)).toMatchObject([
		{
			name: sample.name,
			isNew: false,
			cards: 2,
			changes: [{ kind: 'cards', added: 1, changed: 1, removed: 0 }]
		},
		{ name: 'Other Lights', maker: 'Rival Press', isNew: true, cards: 1 },
		{ name: 'Other Lights', maker: 'Third Press', isNew: true, cards: 1 }
	]);
	const added = await importCardList(at.collection, list);
	expect(added.ok && added.value.keys).toEqual([
		sample.key,
		'other-lights-1995',
		'other-lights-1995-third-press'
	]);
	expect(await at.owned()).toEqual(before);
	const grown = await loadRelease(at.collection.db, sample.key);
	const [base] = grown?.release.sections ?? [];
	expect(
		base?.cards.filter(({ subjects }) => subjects.includes('Ada')).map(({ number }) => number)
	).toEqual(['1', '977']);
	// The same list once more finds all of it there.
	const again = await cardListChanges(at.collection.db, list);
	expect(again.map(({ isNew, changes }) => [isNew, changes])).toEqual(again.map(() => [false, []]));
	await undo(at.collection);
	expect((await listReleases(at.collection.db)).map(({ key }) => key)).toEqual([sample.key]);
	expect((await loadRelease(at.collection.db, sample.key))?.release).toEqual(sample);
});
