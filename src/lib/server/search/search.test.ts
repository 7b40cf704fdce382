import { sql } from 'drizzle-orm';
import { beforeEach, expect, test } from 'vitest';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { good } from '../../core/problem.ts';
import { makeBinder } from '../binders/change-binder.ts';
import { lieAsPlanned } from '../binders/move-cards.ts';
import { standAsPlanned } from '../storage/plan/stand-as-planned.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { addCopy, editCopy, removeCopy } from '../copies/edit-copy.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { redo, undo } from '../journal/undo.ts';
import { importRelease } from '../checklists/import-release.ts';
import { readSubject } from '../releases/read-subject.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { saveRelease } from '../checklists/save-release.ts';
import { search } from './search.ts';
import { rowId } from '../../core/row-id.ts';

const storage = withStorage();
const version = (card: string, parallel: string | null, variant: string | null) =>
	formatVersionKey({ release: 'tides', card, parallel, variant });

beforeEach(async () => {
	const outcome = resolveRelease({
		release: { key: 'tides', name: 'Tides', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: ['Ebb', 'Flood', 'Brass Bell'].map((title, i) => ({ number: String(i + 1), title }))
			}
		],
		parallels: [{ name: 'Brass', runs: [{ sections: ['base'] }] }],
		variants: [{ key: 'moon', kind: 'error', name: 'moon missing', cards: ['1'] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(storage.collection, outcome.value);
});

const found = async (text: string) =>
	(await search(storage.collection.db, text)).map(({ title, copy }) =>
		copy ? `${title} · ${copy.text}` : title
	);

test('copies are found by finish, variant, attributes and note, with words of their cards', async () => {
	const { collection } = storage;
	await addCopy(collection, version('base-1', null, 'moon'), { note: 'from the attic' });
	await addCopy(collection, version('base-2', 'brass', null), { attributes: ['gold stamp'] });
	const moon = 'Ebb · moon missing · from the attic';
	const brass = 'Flood · Brass · gold stamp';
	const table: readonly [string, readonly string[]][] = [
		['missing', [moon]],
		['error 1994', [moon]],
		['attic ebb', [moon]],
		['ebb', ['Ebb']],
		['brass', [brass, 'Brass Bell']],
		['flood bras', [brass]],
		['stamp', [brass]],
		['brass 3', ['Brass Bell']],
		['attic flood', []]
	];
	for (const [text, expected] of table) expect([text, await found(text)]).toEqual([text, expected]);
});

test('a find says in which boxes and binders it is', async () => {
	const { collection } = storage;
	await storage.release('a', '1992', 12);
	await storage.log('a', '1-9 1 2');
	await standAsPlanned(collection);
	await makeGoal(collection, { release: 'a', rules: { preset: 'base' }, name: 'G' });
	await makeBinder(collection, { goalId: rowId(1), name: 'Book' });
	await lieAsPlanned(collection, rowId(1));
	const places = async (text: string) =>
		(await search(collection.db, text)).map((hit) =>
			hit.places.map(({ name, row }) => (row === null ? name : `${name}, row ${row}`))
		);
	expect(await places('1 card 1992')).toEqual([['Long box 1, row 1', 'Book']]);
	expect(await places('9 card 1992')).toEqual([['Book']]);
	expect(await places('12 card 1992')).toEqual([[]]);
});

test('a subject has the cards that editions repeat, with what they change', async () => {
	const outcome = resolveRelease({
		release: { key: 'north', name: 'North', maker: 'M', year: '1995' },
		sections: [
			{
				name: 'Base',
				cards: [
					{ number: '1', title: 'Ebb', subjects: ['Ada'] },
					{ number: '2', title: 'Ebb again', subjects: ['Ada'] },
					{ number: '3', title: 'Flood', subjects: ['Bram'] }
				]
			},
			{
				name: 'Abroad',
				edition: { of: ['base'], changes: [{ card: '1', title: 'Ebbe' }], without: ['2'] },
				cards: []
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(storage.collection, outcome.value);
	const shown = await readSubject(storage.collection.db, 'Ada');
	expect(shown.map(({ section, number, title }) => [section, number, title])).toEqual([
		['Base', '1', 'Ebb'],
		['Base', '2', 'Ebb again'],
		['Abroad', '1', 'Ebbe']
	]);
	// They are found as listed cards are, and so are their copies; a rename is followed, and taken back.
	expect(await found('abroad')).toEqual(['Ebbe', 'Flood']);
	expect(await found('bram 1995')).toEqual(['Flood', 'Flood']);
	const abroad = formatVersionKey({
		...{ release: 'north', card: 'abroad-1', parallel: null, variant: null }
	});
	await addCopy(storage.collection, abroad, { note: 'a gift' });
	expect(await found('ebbe gift')).toEqual(['Ebbe · a gift']);
	await storage.log('north', 'abroad 3');
	await standAsPlanned(storage.collection);
	const [flood] = await search(storage.collection.db, 'abroad flood');
	expect(flood?.places).toMatchObject([{ name: 'Long box 1' }]);
	await saveRelease(storage.collection, 'north', 'rename', (release) =>
		good({ ...release, name: 'South' })
	);
	await expectIndexed();
	expect([await found('north'), await found('south ebbe gift')]).toEqual([[], ['Ebbe · a gift']]);
	await undo(storage.collection);
	await expectIndexed();
	expect(await found('north abroad')).toEqual(['Ebbe', 'Flood']);
});

/** The index against the words as they are now. */
async function expectIndexed(): Promise<void> {
	const { db } = storage.collection;
	const indexed = await db.all(sql`select rowid as id, own, card from copy_search order by 1`);
	expect(indexed).toEqual(await db.all(sql`select id, own, card from copy_words order by id`));
}

test('the index follows every change, rename and step taken back', async () => {
	const { collection } = storage;
	const brass = version('base-2', 'brass', null);
	const rename = (name: string) =>
		saveRelease(collection, 'tides', 'rename', (release) =>
			good({
				...release,
				name: `${name} Tides`,
				sections: release.sections.map((section) => ({
					...section,
					name: `${name} Base`,
					cards: section.cards.map((card) => ({ ...card, title: `${name} ${card.title}` }))
				})),
				parallels: release.parallels.map((parallel) => ({ ...parallel, name })),
				variants: release.variants.map((variant) => ({ ...variant, name }))
			})
		);
	const steps: readonly (() => Promise<unknown>)[] = [
		() => addCopy(collection, version('base-1', null, 'moon'), { note: 'attic' }),
		() => addCopy(collection, brass, {}),
		() => addCopy(collection, version('base-3', null, null), {}),
		() => editCopy(collection, rowId(3), { place: 'tin' }),
		() => editCopy(collection, rowId(2), { serial: null }, version('base-1', 'brass', null)),
		() => rename('Slate'),
		() => editCopy(collection, rowId(3), {}),
		() => removeCopy(collection, rowId(1)),
		() => removeRelease(collection, 'tides')
	];
	for (const step of steps) {
		expect(await step()).not.toMatchObject({ ok: false });
		await expectIndexed();
	}
	for (let i = 0; i < steps.length; i++) {
		expect(await undo(collection)).not.toBeNull();
		await expectIndexed();
	}
	for (let i = 0; i < 6; i++) await redo(collection);
	await expectIndexed();
	expect(await found('slate flood 2')).toEqual(['Slate Flood']);
	expect(await found('tin bell')).toEqual(['Slate Brass Bell · tin']);
	expect(await found('ebb slate tides base brass')).toEqual([]);
});
