import { withGulls } from '../gulls.fixture.ts';
import { expect, test } from 'vitest';
import { undo } from '../journal/undo.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { search } from './search.ts';

const at = withGulls();

test('search finds cards by any of their words and copies by place and serial, quickly by beginnings', async () => {
	await at.log('2 slate 14/65 @"Long box 4"');
	const titles = async (text: string) =>
		(await search(at.collection.db, text)).map(({ title, copy }) =>
			copy ? `${title} · ${copy.text}` : title
		);
	expect(await titles('ada')).toEqual(['Gull 4']);
	expect(await titles('gulls 3')).toEqual(['Gull 3']);
	expect(await titles('1996 gul')).toHaveLength(4);
	const slate = 'Gull 2 · Slate · 14/65 · Long box 4';
	for (const text of ['long box', '14/65', 'slate', 'gull 2 sla', 'box 1996 14/65'])
		expect([text, await titles(text)]).toEqual([text, [slate]]);
	// Words of the card alone find the card, once.
	expect(await titles('gull 2')).toEqual(['Gull 2']);
	expect(await titles('slate 3')).toEqual([]);
	for (const odd of ['', '"', '* OR 1', 'x" NEAR y', '%', '(('])
		expect(await titles(odd)).toEqual([]);
	await removeRelease(at.collection, 'gulls-1996');
	expect(await titles('gull')).toEqual([]);
	await undo(at.collection);
	expect(await titles('gulls 3')).toEqual(['Gull 3']);
});
