import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { CardEdits } from '$lib/core/checklist/edit-cards';
import { editCards } from '$lib/core/checklist/edit-cards';
import { resolveRelease } from '$lib/core/checklist/draft/resolve-release';
import type { Release } from '$lib/core/checklist/release';
import { readRuleSheet, type RuleSheet } from '$lib/core/checklist/rule-sheet/rule-sheet';
import { bad, good, type Outcome } from '$lib/core/problem';
import { createCardSheet } from './card-sheet.svelte';
import { createRuleBook } from './rule-book.svelte';

/** A server that applies what is sent to it, as the real one does. */
const server = vi.hoisted(() => ({
	answer: (_path: string, _body: unknown): unknown => null,
	sent: [] as { path: string; body: unknown }[]
}));
vi.mock('$lib/ui/refresh', () => ({ refreshAll: async () => {} }));
vi.mock('$lib/ui/send', () => ({
	send: async (_method: string, path: string, body: unknown) => {
		server.sent.push({ path, body });
		return server.answer(path, body);
	}
}));

function small(): Release {
	const outcome = resolveRelease({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [1, 2, 3, 4].map((n) => ({ number: String(n), title: `Card ${n}` })) },
			{ name: 'Log', kind: 'insert', cards: [{ title: 'Bread' }] }
		],
		parallels: [{ name: 'Slate', runs: [{ sections: ['base'], printRun: 90 }] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

let release: Release;
beforeEach(() => {
	release = small();
	server.sent = [];
});

/** Takes an edit as the server would: the release changes, or the problems come back. */
function accept(edited: Outcome<Release>): Outcome<object> {
	if (!edited.ok) return edited;
	release = edited.value;
	return good({});
}

describe('the sheet of cards', () => {
	const sheetOf = () => {
		server.answer = (_, body) => accept(editCards(release, body as CardEdits));
		return createCardSheet(() => release);
	};
	const texts = (sheet: ReturnType<typeof sheetOf>) =>
		sheet.rows.map(({ text, state }) => `${text.number} ${text.title} ${state}`);

	test('two windows write into one checklist: other cells are kept, the same cell is told, and kept when saved again', async () => {
		const [desk, phone] = [sheetOf(), sheetOf()];
		for (const sheet of [desk, phone]) {
			sheet.write('base-1', 'title', sheet === desk ? 'Desk' : 'Phone');
			sheet.write('base-2', sheet === desk ? 'title' : 'group', 'Both');
		}
		await desk.save();
		await phone.save();
		expect(phone.problems).toMatchObject([
			{ field: 'title of 1', message: 'title of 1 was changed meanwhile, to "Desk"' }
		]);
		expect(texts(phone)[0]).toBe('1 Phone changed');
		await phone.save();
		expect(phone.problems).toEqual([]);
		const [first, second] = release.sections[0]?.cards ?? [];
		expect([first?.title, second?.title, second?.group]).toEqual(['Phone', 'Both', 'Both']);
	});

	test('shows what will be, and sends only what was changed', async () => {
		const sheet = sheetOf();
		sheet.write('base-2', 'title', 'Ada');
		sheet.write('base-2', 'subjects', 'Ada Hale; Bram');
		sheet.addCard();
		const fresh = sheet.rows.at(-1)?.key ?? '';
		sheet.write(fresh, 'number', '5');
		sheet.write(fresh, 'title', 'New');
		expect(texts(sheet).slice(1)).toEqual([
			'2 Ada changed',
			'3 Card 3 same',
			'4 Card 4 same',
			'5 New added'
		]);
		expect(sheet.count).toBe(2);
		await sheet.save();
		expect(server.sent[0]?.body).toEqual({
			change: [
				{
					...{ card: 'base-2', title: 'Ada', subjects: ['Ada Hale', 'Bram'] },
					seen: { title: 'Card 2', subjects: [] }
				}
			],
			remove: [],
			add: [{ section: 'base', number: '5', title: 'New' }]
		});
		expect(sheet.count).toBe(0);
		expect(release.sections[0]?.cards.map(({ title }) => title)).toEqual([
			'Card 1',
			'Ada',
			'Card 3',
			'Card 4',
			'New'
		]);
	});

	test('a run is chosen with Shift, written, marked and removed as one', async () => {
		const sheet = sheetOf();
		sheet.choose('base-2', false);
		sheet.choose('base-4', true);
		expect(sheet.rows.map(({ isChosen }) => isChosen)).toEqual([false, true, true, true]);
		sheet.writeChosen('group', 'Keepers');
		sheet.markChosen('key');
		sheet.markChosen('key');
		sheet.markChosen('rookie');
		expect(sheet.rows.map(({ marks }) => marks.join())).toEqual(['', 'rookie', 'rookie', 'rookie']);
		sheet.choose('base-3', false);
		sheet.removeChosen();
		expect(texts(sheet)).toEqual([
			'1 Card 1 same',
			'2 Card 2 removed',
			'3 Card 3 changed',
			'4 Card 4 removed'
		]);
		await sheet.save();
		expect(release.sections[0]?.cards.map(({ number, group }) => `${number} ${group}`)).toEqual([
			'1 undefined',
			'3 Keepers'
		]);
	});

	test('what the server refuses stays in the sheet with its problems; discarding forgets it', async () => {
		const sheet = sheetOf();
		server.answer = () => bad([{ message: '2 copies would belong to nothing' }]);
		sheet.chooseAll();
		sheet.removeChosen();
		await sheet.save();
		expect(sheet.count).toBe(4);
		expect(sheet.problems).toHaveLength(1);
		sheet.discard();
		expect([sheet.count, sheet.problems.length]).toEqual([0, 0]);
		sheet.sectionKey = 'log';
		expect(texts(sheet)).toEqual([' Bread same']);
		await sheet.save();
		expect(server.sent).toHaveLength(1);
	});
});

describe('the sheets of rules', () => {
	const bookOf = () => {
		server.answer = (_, body) => accept(readRuleSheet(release, body as RuleSheet));
		return createRuleBook(() => release);
	};

	test('rows are added, written, moved and saved in one go; a release without edits shows as stored', async () => {
		const book = bookOf();
		expect(book.count).toBe(0);
		book.add('parallels');
		book.write('parallels', 1, 'name', 'Chalk');
		expect(book.move('parallels', 1, -1)).toBe(0);
		expect(book.move('parallels', 0, -1)).toBe(0);
		book.add('runs');
		book.write('runs', 1, 'parallel', 'Chalk');
		book.write('runs', 1, 'cards', '1-2');
		// Both rows of the parallels stand elsewhere now, and one rule is new.
		expect(book.count).toBe(3);
		expect(book.isChanged('runs', 1, 'cards')).toBe(true);
		await book.save();
		expect(book.count).toBe(0);
		expect(release.parallels.map(({ key, runs }) => [key, runs])).toEqual([
			['chalk', [{ from: '1', to: '2' }]],
			['slate', [{ sections: ['base'], printRun: 90 }]]
		]);
	});

	test('a cell that is not understood is found at its place, until it is written anew', async () => {
		const book = bookOf();
		book.write('sections', 0, 'statedTotal', 'many');
		await book.save();
		expect(book.problemAt('sections', 0, 'statedTotal')?.message).toBe('"many" is no number');
		expect(book.problemAt('sections', 1, 'statedTotal')).toBeUndefined();
		expect(book.rows('sections')[0]?.cells['statedTotal']).toBe('many');
		book.write('sections', 0, 'statedTotal', '4');
		expect(book.problems).toEqual([]);
		await book.save();
		expect(release.sections[0]?.statedTotal).toBe(4);
	});

	test('a row that is removed is gone only when it is saved', async () => {
		const book = bookOf();
		book.remove('runs', 0);
		expect(release.parallels[0]?.runs).toHaveLength(1);
		book.discard();
		expect(book.rows('runs')).toHaveLength(1);
		book.remove('parallels', 0);
		book.remove('runs', 0);
		await book.save();
		expect(release.parallels).toEqual([]);
	});
});
