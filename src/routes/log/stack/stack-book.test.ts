import { beforeEach, expect, test, vi } from 'vitest';
import { resolveRelease } from '$lib/core/checklist/draft/resolve-release';
import type { Condition } from '$lib/core/copies/condition';
import { bad, good } from '$lib/core/problem';
import { createStackBook } from './stack-book.svelte';
import { tellVerdict } from './verdict-look';

const server = vi.hoisted(() => ({
	sent: [] as { path: string; body: unknown }[],
	refuses: false
}));
vi.mock('$lib/ui/refresh', () => ({ refreshJournal: async () => {} }));
vi.mock('$lib/ui/send', () => ({
	send: async (_method: string, path: string, body: unknown) => {
		server.sent.push({ path, body });
		return server.refuses
			? bad([{ message: 'the server does not answer' }])
			: good({ step: server.sent.length });
	}
}));
beforeEach(() => {
	server.sent = [];
	server.refuses = false;
});

const outcome = resolveRelease({
	release: { name: 'R', maker: 'M', year: '1994' },
	sections: [
		{ name: 'Base', cards: [1, 2, 3].map((n) => ({ number: String(n), title: `Card ${n}` })) }
	],
	parallels: [{ name: 'Slate', runs: [{ sections: ['base'] }] }],
	variants: [
		{ kind: 'image variation', name: 'at night', cards: ['1'], howToTell: 'a moon' },
		{ kind: 'uncorrected', name: 'wrong back', cards: ['2'] }
	]
});
if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
const release = outcome.value;

function bookOf(condition?: Condition, pile?: number) {
	const slot = (card: number, heldRank: number | null) => ({
		key: `r-1994/base-${card}`,
		goal: 'G',
		versions: [`r-1994/base-${card}`],
		leastRank: 0,
		heldRank
	});
	return createStackBook({
		release,
		owned: [['r-1994/base-2', 1]],
		slots: [slot(1, null), slot(2, 6)],
		synonyms: new Map([['s', 'slate']]),
		pile,
		numberingKey: () => null,
		parallelKey: () => null,
		condition: () => condition
	});
}
const told = (book: ReturnType<typeof bookOf>) =>
	book.taken.map(({ number, verdict }) => `${number}: ${tellVerdict(verdict)}`);

test('cards are judged as they come, and each judgement counts for the next', async () => {
	const book = bookOf('near mint', 7);
	for (const line of ['1', '1', '2', '2 poor', '3 s']) expect(book.take(line)).toBe(true);
	expect(told(book)).toEqual([
		'3: no goal asks for it; 1 copy now',
		'2: 3 copies now',
		'2: better than the one in G',
		'1: 2 copies now',
		'1: for G'
	]);
	expect(
		['needed', 'upgrade', 'spare', 'outside'].map((kind) => book.countOf(kind as 'spare'))
	).toEqual([1, 1, 2, 1]);
	await vi.waitFor(() => expect(book.taken.every(({ state }) => state === 'logged')).toBe(true));
	expect(server.sent[0]).toEqual({
		path: '/api/releases/r-1994/log',
		body: { line: '1', numbering: null, parallel: null, condition: 'near mint', pile: 7 }
	});
});

test('variations that bear the same number are pointed out, an uncorrected error is not', () => {
	const book = bookOf();
	book.take('1');
	expect(book.last?.alerts.map(({ name, howToTell }) => `${name}: ${howToTell}`)).toEqual([
		'at night: a moon'
	]);
	book.take('1 at night');
	expect(book.last?.alerts).toEqual([]);
	book.take('2');
	expect(book.last?.alerts).toEqual([]);
});

test('taking the last line back judges as before it', async () => {
	const book = bookOf();
	book.take('1');
	book.take('1 3');
	expect(book.taken).toHaveLength(3);
	await book.undo();
	expect(told(book)).toEqual(['1: for G']);
	await book.undo();
	expect(book.taken).toEqual([]);
	book.take('1');
	expect(told(book)).toEqual(['1: for G']);
	// Each by the step that logged it, the last first, and nothing else's.
	expect(server.sent.flatMap(({ path }) => path.match(/^\/api\/journal\/\d+$/) ?? [])).toEqual([
		'/api/journal/2',
		'/api/journal/1'
	]);
});

test('a step that cannot be taken back stays, with the reason; what was never logged only goes', async () => {
	const book = bookOf();
	book.take('1');
	await Promise.resolve();
	server.refuses = true;
	await book.undo();
	expect(book.taken).toHaveLength(1);
	expect(book.problems).toHaveLength(1);
	book.take('3');
	await book.undo();
	expect(told(book)).toEqual(['1: for G']);
	server.refuses = false;
	await book.undo();
	expect(book.taken).toEqual([]);
	expect(server.sent.filter(({ path }) => path.startsWith('/api/journal/'))).toHaveLength(2);
});

test('what is not understood is not taken; what the server refuses is marked', async () => {
	const book = bookOf();
	expect(book.take('99')).toBe(false);
	expect(book.problems[0]?.message).toContain('no card 99');
	expect(book.take('all but 1')).toBe(false);
	expect(book.taken).toEqual([]);
	server.refuses = true;
	book.take('1');
	await vi.waitFor(() => expect(book.last?.state).toBe('failed'));
	expect(book.countOf('needed')).toBe(0);
	expect(book.problems).toHaveLength(1);
});
