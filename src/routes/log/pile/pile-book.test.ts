import { keepingOf } from '$lib/core/storage/classes/keeping';
import { beforeEach, expect, test, vi } from 'vitest';
import { resolveRelease } from '$lib/core/checklist/draft/resolve-release';
import type { Release } from '$lib/core/checklist/release';
import type { Condition } from '$lib/core/copies/condition';
import { bad, good } from '$lib/core/problem';
import { rowId } from '$lib/core/row-id';
import type { LyingCards } from '$lib/server/pile/read-lying';
import type { PileView } from '$lib/server/pile/read-pile';
import { createPileBook } from './pile-book.svelte';
import { tellVerdict } from './verdict-look';

// Modules are loaded once a worker: what the book is made of is loaded anew, with the server below.
vi.hoisted(() => vi.resetModules());
const server = vi.hoisted(() => ({
	sent: [] as { method: string; path: string; body: Record<string, unknown> }[],
	last: Promise.resolve() as Promise<unknown>,
	refuses: false,
	/** It cannot be reached. */
	isAway: false,
	found: null as unknown
}));
vi.mock('$lib/ui/refresh', () => ({ refreshJournal: async () => {} }));
vi.mock('$lib/ui/send', () => ({
	// One after another, as the real one does.
	send: (method: string, path: string, given: unknown) => {
		const answer = server.last.then(() => {
			const body = (typeof given === 'function' ? (given as () => unknown)() : given) as Record<
				string,
				unknown
			>;
			server.sent.push({ method, path, body });
			if (server.refuses) return bad([{ message: 'the server does not answer' }]);
			const id = 100 * server.sent.length;
			const cards = (body.cards as unknown[] | undefined) ?? [];
			return good({ pile: 9, copyId: 5, cards: cards.map((_, i) => ({ id: id + i, copyId: id })) });
		});
		server.last = answer;
		return answer;
	},
	ask: async () => good(server.found),
	isSmall: () => true,
	inTurn: <Value>(change: () => Promise<Value>) => {
		const answer = server.last.then(change);
		server.last = answer;
		return answer;
	},
	reach: async (path: string, { method, body: text }: { method: string; body: string }) => {
		if (server.isAway) return null;
		const body = JSON.parse(text) as Record<string, unknown>;
		server.sent.push({ method, path, body });
		if (server.refuses) return bad([{ message: 'the server does not answer' }]);
		const id = 100 * server.sent.length;
		const cards = body.cards as unknown[];
		return good({ pile: 9, cards: cards.map((_, i) => ({ id: id + i, copyId: id })) });
	}
}));
beforeEach(() => {
	server.sent = [];
	server.refuses = false;
	server.isAway = false;
});

function made(key: string, name: string): Release {
	const outcome = resolveRelease({
		release: { key, name, maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [1, 2, 3].map((n) => ({ number: String(n), title: `Card ${n}` })) }
		],
		parallels: [{ name: 'Slate', runs: [{ sections: ['base'] }] }],
		variants: [
			{
				kind: 'image variation',
				name: 'at night',
				cards: ['1'],
				howToTell: 'a moon',
				tells: [{ feature: 'sky', value: 'dark', otherwise: 'light' }]
			},
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
	{
		condition,
		from,
		lying = { piles: [], last: [] }
	}: { condition?: Condition; from?: number; lying?: LyingCards } = {}
) {
	return createPileBook({
		view: {
			releases,
			owned: [['r/base-2', 1]],
			worth: [],
			wantedBy: [],
			slots: [slot('r/base-1', null), slot('r/base-2', 6)],
			...more
		},
		synonyms: new Map([['s', 'slate']]),
		keeping: () => keepingOf({ classes: [], tiers: [], currency: 'EUR' }),
		lying,
		from,
		pile: lying.last.length > 0 ? 9 : undefined,
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
	const book = bookOf({}, { condition: 'near mint', from: 7 });
	for (const line of ['1', '1', '2', '2 poor', '3 s']) expect(take(book, line)).toBe(true);
	expect(told(book)).toEqual([
		'r/base-3~slate: no goal asks for it; 1 copy now',
		'r/base-2: 3 copies now',
		'r/base-2: better than the one in G',
		'r/base-1: 2 copies now',
		'r/base-1: for G'
	]);
	expect(book.piles).toEqual([
		{ name: 'G', kind: 'goal', goal: 'G', count: 2 },
		{ name: 'Spares', kind: 'spares', count: 2 },
		{ name: 'Not collected', kind: 'not collected', count: 1 }
	]);
	await vi.waitFor(() => expect(book.taken.every(({ state }) => state === 'logged')).toBe(true));
	expect(server.sent[0]).toMatchObject({
		path: '/api/pile',
		body: {
			from: 7,
			cards: [
				{
					version: 'r/base-1',
					condition: 'near mint',
					isPrintingUnseen: true,
					next: { kind: 'goal', name: 'G', goal: 'G' },
					verdict: { kind: 'needed' }
				}
			]
		}
	});
	expect(server.sent[0]?.body.pile).toBeUndefined();
	// The next go where the first went.
	expect(server.sent[3]?.body).toMatchObject({
		pile: 9,
		cards: [{ version: 'r/base-2', condition: 'poor' }]
	});
});

test('a wrong guess costs one key: another choice takes its place, round and round', async () => {
	const book = bookOf({ releases: [gulls, terns] });
	take(book, '3');
	expect(told(book)).toEqual(['r/base-3: no goal asks for it; 1 copy now']);
	book.another();
	// At once, before the server answers.
	expect(told(book)).toEqual(['t/base-3: no goal asks for it; 1 copy now']);
	// The next number is of the same set.
	book.line = '1';
	expect(book.judgement.choices[0]?.match.version.key).toBe('t/base-1');
	book.line = '';
	book.another();
	expect(told(book)).toEqual(['r/base-3: no goal asks for it; 1 copy now']);
	await vi.waitFor(() => expect(server.sent).toHaveLength(3));
	expect(server.sent.map(({ body }) => body.instead)).toEqual([undefined, [100], [200]]);
	// A choice may be taken at once, too.
	take(book, '2', 1);
	expect(told(book)[0]).toContain('t/base-2');
});

test('a run is taken as a line, of the set of the card before', async () => {
	const book = bookOf({ releases: [gulls, terns] });
	take(book, 'terns 1');
	expect(take(book, '2-3')).toBe(true);
	expect(told(book).map((line) => line.slice(0, 8))).toEqual(['t/base-3', 't/base-2', 't/base-1']);
	await vi.waitFor(() => expect(server.sent).toHaveLength(2));
	expect(server.sent[1]?.body).toMatchObject({
		line: '2-3',
		cards: [{ version: 't/base-2' }, { version: 't/base-3' }]
	});
	expect(take(book, '2-9')).toBe(false);
	expect(book.problems).not.toEqual([]);
	expect(take(book, 'all but 1')).toBe(false);
	expect(take(book, '1x501')).toBe(false);
	expect(book.problems[0]?.message).toContain('501 cards');
	expect(book.taken).toHaveLength(3);
	await book.undo();
	expect(book.taken).toHaveLength(1);
	expect(server.sent.at(-1)).toMatchObject({ method: 'DELETE', body: { cards: [200, 201] } });
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
	expect(server.sent.filter(({ method }) => method === 'DELETE')).toEqual([]);
});

test('releases that were not tried join the pile; what nobody has is told', async () => {
	const book = bookOf();
	book.line = 'terns 2';
	expect(book.judgement.choices).toEqual([]);
	expect(book.take()).toBe(false);
	server.found = {
		releases: [terns],
		owned: [['t/base-2', 4]],
		worth: [],
		wantedBy: [],
		slots: [slot('t/base-2', null)]
	};
	await book.search();
	expect(book.judgement.choices[0]?.verdict).toMatchObject({ kind: 'needed', goal: 'G' });
	server.found = { releases: [], owned: [], worth: [], wantedBy: [], slots: [] };
	book.line = 'nobody';
	await book.search();
	expect(book.problems[0]?.message).toContain('no other release');
});

test('a key pressed twice changes the last card, and none before it; a refused change leaves it as it was', async () => {
	const book = bookOf({ releases: [gulls, terns] });
	take(book, '1');
	take(book, '3');
	book.another();
	book.another();
	book.another();
	expect(told(book).map((line) => line.slice(0, 8))).toEqual(['t/base-3', 'r/base-1']);
	await vi.waitFor(() => expect(book.taken[0]?.state).toBe('logged'));
	server.refuses = true;
	book.another();
	await vi.waitFor(() => expect(book.problems).toHaveLength(1));
	expect(told(book).map((line) => line.slice(0, 8))).toEqual(['t/base-3', 'r/base-1']);
});

test('which printing it is is asked where it matters; an answer settles it, going on leaves it not looked at', async () => {
	const book = bookOf();
	take(book, '3');
	// Without a tell or a variant there is nothing to ask.
	expect(book.question).toBeNull();
	take(book, '1');
	expect(book.question?.question).toMatchObject({ feature: 'sky' });
	book.answer('sky', null);
	expect(book.question?.question).toBeNull();
	expect(book.question?.candidates.length).toBeGreaterThan(1);
	book.another();
	take(book, '1');
	book.answer('sky', 'dark');
	expect(told(book)[0]).toMatch(/^r\/base-1!at-night/);
	expect(book.question).toBeNull();
	await vi.waitFor(() => expect(server.sent).toHaveLength(4));
	expect(server.sent[2]?.body.cards).toMatchObject([{ isPrintingUnseen: true }]);
	expect(server.sent[3]?.body).toMatchObject({ instead: [300] });
	expect(server.sent[3]?.body.cards).toMatchObject([{ version: 'r/base-1!at-night' }]);
	await book.undo();
	expect(told(book)).toHaveLength(2);
});

test('a pile that was left is taken up: its counts stand, its last card is taken back alone', async () => {
	const laid = { copyId: rowId<'copies'>(1), line: '3', condition: null } as const;
	const next = { kind: 'goal', name: 'G', goal: 'G', why: '' } as const;
	const verdict = { kind: 'needed', goal: 'G', slot: 'r/base-3' } as const;
	const last = [
		{ ...laid, id: rowId<'pile_cards'>(7), version: 't/base-3', next, verdict },
		{ ...laid, id: rowId<'pile_cards'>(6), version: 'gone/base-1', next, verdict }
	];
	const book = bookOf(
		{ releases: [gulls, terns] },
		{ lying: { piles: [{ kind: 'goal', name: 'G', goal: 'G', count: 40 }], last } }
	);
	expect(told(book)).toEqual(['t/base-3: for G']);
	// The next number is of the same set; what is there already is not counted twice.
	take(book, '3');
	expect(told(book)[0]).toBe('t/base-3: no goal asks for it; 1 copy now');
	take(book, 'gulls 1');
	expect(book.piles).toEqual([
		{ kind: 'goal', name: 'G', goal: 'G', count: 41 },
		{ kind: 'not collected', name: 'Not collected', count: 1 }
	]);
	for (let i = 0; i < 3; i++) expect(await book.undo()).toBe(true);
	expect(await book.undo()).toBe(false);
	expect(server.sent.at(-1)).toMatchObject({ method: 'DELETE', body: { cards: [7] } });
	expect(book.piles).toEqual([{ kind: 'goal', name: 'G', goal: 'G', count: 39 }]);
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
