import { beforeEach, expect, test, vi } from 'vitest';
import { resolveRelease } from '$lib/core/checklist/draft/resolve-release';
import type { Release } from '$lib/core/checklist/release';
import type { Condition } from '$lib/core/copies/condition';
import { bad, good } from '$lib/core/problem';
import type { PileView } from '$lib/server/pile/read-pile';
import { createPileBook } from './pile-book.svelte';
import { tellVerdict } from './verdict-look';

const server = vi.hoisted(() => ({
	sent: [] as { path: string; body: unknown }[],
	refuses: false,
	found: null as unknown
}));
vi.mock('$lib/ui/refresh', () => ({ refreshJournal: async () => {} }));
vi.mock('$lib/ui/send', () => ({
	send: async (_method: string, path: string, body: unknown) => {
		server.sent.push({ path, body });
		return server.refuses
			? bad([{ message: 'the server does not answer' }])
			: good({ step: server.sent.length });
	},
	ask: async () => good(server.found)
}));
beforeEach(() => {
	server.sent = [];
	server.refuses = false;
});

function made(key: string, name: string): Release {
	const outcome = resolveRelease({
		release: { key, name, maker: 'M', year: '1994' },
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
	return outcome.value;
}
const gulls = made('r', 'Gulls');
const terns = made('t', 'Terns');

const slot = (version: string, heldRank: number | null) => ({
	key: version,
	goal: 'G',
	versions: [version],
	leastRank: 0,
	heldRank
});
function bookOf(
	{ releases = [gulls], ...more }: Partial<PileView> = {},
	{ condition, pile }: { condition?: Condition; pile?: number } = {}
) {
	return createPileBook({
		view: {
			releases,
			owned: [['r/base-2', 1]],
			slots: [slot('r/base-1', null), slot('r/base-2', 6)],
			...more
		},
		synonyms: new Map([['s', 'slate']]),
		classes: () => [],
		pile,
		narrowing: () => ({}),
		condition: () => condition
	});
}
const take = (book: ReturnType<typeof bookOf>, line: string, place?: number) => {
	book.line = line;
	return book.take(place);
};
const told = (book: ReturnType<typeof bookOf>) =>
	book.taken.map(
		({ choice: { match, verdict } }) => `${match.version.key}: ${tellVerdict(verdict)}`
	);

test('cards are judged as they come, and each judgement counts for the next', async () => {
	const book = bookOf({}, { condition: 'near mint', pile: 7 });
	for (const line of ['1', '1', '2', '2 poor', '3 s']) expect(take(book, line)).toBe(true);
	expect(told(book)).toEqual([
		'r/base-3~slate: no goal asks for it; 1 copy now',
		'r/base-2: 3 copies now',
		'r/base-2: better than the one in G',
		'r/base-1: 2 copies now',
		'r/base-1: for G'
	]);
	expect(book.piles).toEqual([
		{ name: 'G', kind: 'goal', count: 2 },
		{ name: 'Spares', kind: 'spares', count: 2 },
		{ name: 'Not collected', kind: 'not collected', count: 1 }
	]);
	await vi.waitFor(() => expect(book.taken.every(({ state }) => state === 'logged')).toBe(true));
	expect(server.sent[0]).toEqual({
		path: '/api/pile',
		body: { version: 'r/base-1', condition: 'near mint', pile: 7 }
	});
	expect(server.sent[3]?.body).toMatchObject({ version: 'r/base-2', condition: 'poor' });
});

test('a wrong guess costs one key: another choice takes its place, round and round', async () => {
	const book = bookOf({ releases: [gulls, terns] });
	take(book, '3');
	expect(told(book)).toEqual(['r/base-3: no goal asks for it; 1 copy now']);
	await book.another();
	expect(told(book)).toEqual(['t/base-3: no goal asks for it; 1 copy now']);
	// The next number is of the same set.
	book.line = '1';
	expect(book.judgement.choices[0]?.match.version.key).toBe('t/base-1');
	book.line = '';
	await book.another();
	expect(told(book)).toEqual(['r/base-3: no goal asks for it; 1 copy now']);
	// Each by its own step, and nothing else's.
	expect(server.sent.map(({ path }) => path)).toEqual([
		'/api/pile',
		'/api/journal/1',
		'/api/pile',
		'/api/journal/3',
		'/api/pile'
	]);
	// A choice may be taken at once, too.
	take(book, '2', 1);
	expect(told(book)[0]).toContain('t/base-2');
});

test('a run is taken as a line, of the set of the card before', async () => {
	const book = bookOf({ releases: [gulls, terns] });
	take(book, 'terns 1');
	expect(take(book, '2-3')).toBe(true);
	expect(told(book).map((line) => line.slice(0, 8))).toEqual(['t/base-3', 't/base-2', 't/base-1']);
	expect(server.sent[1]).toMatchObject({ path: '/api/releases/t/log', body: { line: '2-3' } });
	expect(take(book, '2-9')).toBe(false);
	expect(book.problems).not.toEqual([]);
	expect(take(book, 'all but 1')).toBe(false);
	expect(take(book, '1x501')).toBe(false);
	expect(book.problems[0]?.message).toContain('501 cards');
	expect(book.taken).toHaveLength(3);
	await book.undo();
	expect(book.taken).toHaveLength(1);
});

test('taking the last one back judges as before it; a step that cannot be taken back stays', async () => {
	const book = bookOf();
	take(book, '1');
	take(book, '1');
	await book.undo();
	expect(told(book)).toEqual(['r/base-1: for G']);
	server.refuses = true;
	await book.undo();
	expect(book.taken).toHaveLength(1);
	expect(book.problems).toHaveLength(1);
	server.refuses = false;
	await book.undo();
	expect(book.taken).toEqual([]);
	take(book, '1');
	expect(told(book)).toEqual(['r/base-1: for G']);
});

test('what the server refuses is marked, and counts on no pile', async () => {
	const book = bookOf();
	server.refuses = true;
	take(book, '1');
	await vi.waitFor(() => expect(book.taken[0]?.state).toBe('failed'));
	expect(book.piles).toEqual([]);
	expect(book.problems).toHaveLength(1);
	// It was never logged: it only goes.
	server.refuses = false;
	await book.undo();
	expect(server.sent.filter(({ path }) => path.startsWith('/api/journal/'))).toEqual([]);
});

test('releases that were not tried join the pile; what nobody has is told', async () => {
	const book = bookOf();
	book.line = 'terns 2';
	expect(book.judgement.choices).toEqual([]);
	expect(book.take()).toBe(false);
	server.found = { releases: [terns], owned: [['t/base-2', 4]], slots: [slot('t/base-2', null)] };
	await book.search();
	expect(book.judgement.choices[0]?.verdict).toMatchObject({ kind: 'needed', goal: 'G' });
	server.found = { releases: [], owned: [], slots: [] };
	book.line = 'nobody';
	await book.search();
	expect(book.problems[0]?.message).toContain('no other release');
});

test('a key pressed twice changes the last card, and none before it', async () => {
	const book = bookOf({ releases: [gulls, terns] });
	take(book, '1');
	take(book, '3');
	await Promise.all([book.another(), book.another()]);
	expect(told(book).map((line) => line.slice(0, 8))).toEqual(['t/base-3', 'r/base-1']);
});

test('what is taken while another one is taken back counts all the same', async () => {
	const book = bookOf();
	take(book, '3');
	const back = book.undo();
	take(book, '1');
	await back;
	take(book, '1');
	expect(told(book)).toEqual(['r/base-1: 2 copies now', 'r/base-1: for G']);
});
