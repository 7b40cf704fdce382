import { describe, expect, test } from 'vitest';
import { rowId } from '../../core/row-id.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease } from '../collection.fixture.ts';
import { undo } from '../journal/undo.ts';
import { saveRelease } from '../checklists/save-release.ts';
import { good } from '../../core/problem.ts';
import { alikeInBinder } from './alike-in-binder.ts';
import { withBinder } from './binder.fixture.ts';
import { readBlockNotes, writeBlockNote } from './block-notes.ts';
import { removeBinder } from './change-binder.ts';

const at = withBinder();

describe('what is told while a binder is shown', () => {
	test('a note of one’s own is kept a block, changed, taken away, and goes and comes with its binder', async () => {
		const notes = () => readBlockNotes(at.collection.db, at.binder);
		const write = (block: string, text: string) =>
			writeBlockNote(at.collection, at.binder, block, text);
		await write('r/base~', '  begin here ');
		await write('__proto__', 'odd');
		await write('r/base~brass', 'the dear ones');
		await write('r/base~', 'begin at the end');
		await write('r/base~brass', ' ');
		expect([...(await notes())].sort()).toEqual([
			['__proto__', 'odd'],
			['r/base~', 'begin at the end']
		]);
		await removeBinder(at.collection, at.binder);
		expect([...(await notes())]).toEqual([]);
		await undo(at.collection);
		expect([...(await notes())]).toHaveLength(2);
		expect(await writeBlockNote(at.collection, rowId(99), 'x', 'y')).toMatchObject({ ok: false });
	});

	test('look-alikes are named with their release, in other releases too; what is not there is left out', async () => {
		await importRelease(at.collection, { ...sampleRelease(), key: 's', name: 'Sister' });
		await saveRelease(at.collection, 'r', 'alike', (release) =>
			good({
				...release,
				sections: release.sections.map((section) => ({
					...section,
					cards: section.cards.map((card) =>
						card.key === 'base-1'
							? { ...card, samePictureAs: ['s/base-7'], sameAs: ['r/base-2', 'gone/base-1'] }
							: card
					)
				}))
			})
		);
		expect(Object.fromEntries(await alikeInBinder(at.collection.db, at.binder))).toMatchObject({
			'r/base-1': [
				{
					release: 'r',
					card: 'base-2',
					why: 'cannot be told apart',
					title: '2 Card 2',
					releaseName: 'R'
				},
				{
					release: 's',
					card: 'base-7',
					why: 'same picture',
					title: '7 Card 7',
					releaseName: 'Sister'
				}
			],
			'r/base-2': [{ card: 'base-1', why: 'cannot be told apart' }]
		});
	});
});
