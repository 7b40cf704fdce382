import { readFile } from 'node:fs/promises';
import { CHECKLIST, expect, test } from './program.ts';

const json = { 'content-type': 'application/json' };

test('the data routes: import, export, log, undo, and problems as RFC 9457 says', async ({
	empty,
	request
}) => {
	const api = `${empty.url}/api`;
	const query = 'name=Small%20Lights&maker=M&year=1994';
	const created = await request.post(`${api}/releases?${query}`, {
		data: CHECKLIST,
		headers: { 'content-type': 'text/csv' }
	});
	expect(created.status()).toBe(201);
	expect(await created.json()).toEqual({ key: 'small-lights-1994' });
	const again = await request.post(`${api}/releases?${query}`, {
		data: CHECKLIST,
		headers: { 'content-type': 'text/csv' }
	});
	expect(again.status()).toBe(400);
	expect(again.headers()['content-type']).toBe('application/problem+json');
	expect(await again.json()).toMatchObject({
		status: 400,
		type: 'about:blank',
		errors: [{ field: 'release' }]
	});

	// What was exported can be imported elsewhere and gives the same again.
	const exported = await request.get(`${api}/releases/small-lights-1994/checklist.json`);
	const file = (await exported.json()) as { release: { key: string } };
	file.release.key = 'twin';
	expect((await request.post(`${api}/releases`, { data: file })).status()).toBe(201);
	const twin = await (await request.get(`${api}/releases/twin/checklist.json`)).json();
	expect(twin).toEqual(file);
	const csv = await (await request.get(`${api}/releases/small-lights-1994/checklist.csv`)).text();
	expect(csv.split('\r\n')).toHaveLength(1 + 38 + 1);

	const log = `${api}/releases/small-lights-1994/log`;
	const entry = { numbering: null, parallel: 'brass' };
	expect(
		await (await request.post(log, { data: { ...entry, line: '1-3 5x2' } })).json()
	).toMatchObject({ versions: 4, cards: 5 });
	const refused = await request.post(log, { data: { ...entry, line: '1 F1 zz' } });
	expect(refused.status()).toBe(400);
	expect(((await refused.json()) as { errors: object[] }).errors).toMatchObject([
		{ start: 2, end: 4 },
		{ start: 5, end: 7 }
	]);
	expect(await (await request.post(`${api}/journal/undo`)).json()).toMatchObject({
		label: 'Small Lights: log 1-3 5x2 (Brass)'
	});
	expect((await request.post(`${api}/journal/redo`)).status()).toBe(200);
	expect((await request.post(`${api}/journal/redo`)).status()).toBe(409);
});

test('the compute API over HTTP: an answer, and a problem document for every bad body', async ({
	demo,
	request
}) => {
	const at = (name: string) => `${demo.url}/api/compute/${name}`;
	const slots = [{ key: 's', versions: ['a', 'b'] }];
	const good = await request.post(at('fill-slots'), {
		data: { slots, copies: [{ key: 'c', version: 'b' }] }
	});
	expect(await good.json()).toMatchObject({ placements: [{ slot: 's', copy: 'c' }] });
	const bodies: [string, string | Buffer, Record<string, string>, number][] = [
		['fill-slots', '', json, 400],
		['fill-slots', '{"slots": [', json, 400],
		['fill-slots', Buffer.from([0xff, 0xfe, 0, 1]), json, 400],
		['fill-slots', '[]', json, 400],
		['fill-slots', `{"slots":[],"copies":[],"x":"${'y'.repeat(1_000_000)}"}`, json, 400],
		['fill-slots', `${'['.repeat(100_000)}`, json, 400],
		['fill-slots', '{"slots":[],"copies":[]}', { 'content-type': 'text/plain' }, 415],
		['fill-slots', Buffer.alloc(21 * 1024 * 1024, ' '), json, 413],
		['nothing', '{}', json, 404],
		['__proto__', '{}', json, 404]
	];
	for (const [name, data, headers, status] of bodies) {
		const response = await request.post(at(name), { data, headers });
		expect(response.status(), `${name} ${String(data).slice(0, 20)}`).toBe(status);
		expect(response.headers()['content-type']).toBe('application/problem+json');
		expect(await response.json()).toMatchObject({ status });
	}
	const description = (await (await request.get(`${demo.url}/api/openapi.json`)).json()) as {
		openapi: string;
		paths: object;
	};
	expect(description.openapi).toBe('3.1.0');
	expect(Object.keys(description.paths)).toHaveLength(64);
});

test('forms and uploads of 50 MB work at every local address, foreign ones do not', async ({
	page,
	empty,
	request
}) => {
	const { port } = new URL(empty.url);
	// 50 MB, most of it blank space behind the card: read whole, and imported.
	const text = 'number,title\n1,A\n';
	const big = Buffer.alloc(50 * 1024 * 1024, ' ');
	big.set(Buffer.from(text), 0);
	for (const [i, host] of ['127.0.0.1', 'localhost'].entries()) {
		const origin = `http://${host}:${port}`;
		const response = await request.post(`${origin}/releases/import?/create`, {
			headers: { origin, accept: 'text/html' },
			multipart: {
				name: `Big ${i}`,
				maker: 'M',
				year: '1994',
				text: '',
				file: { name: 'big.csv', mimeType: 'text/csv', buffer: big }
			},
			maxRedirects: 0,
			timeout: 60_000
		});
		expect(response.status()).toBe(303);
		await page.goto(`${origin}/releases/big-${i}-1994`);
		await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Big ${i}`);
	}
	const foreign: Record<string, string>[] = [
		{ origin: 'http://evil.example' },
		{ 'sec-fetch-site': 'cross-site' },
		{ host: 'evil.example' }
	];
	for (const headers of foreign) {
		const response = await request.post(`${empty.url}/api/journal/undo`, { headers });
		expect(response.status()).toBe(headers.host ? 421 : 403);
	}
	// Nor does a page elsewhere read anything by a name of its own that leads here.
	for (const path of ['/', '/releases', '/api/holdings.csv', '/api/openapi.json']) {
		const headers = { host: 'evil.example' };
		const response = await request.get(`${empty.url}${path}`, { headers });
		expect(response.status(), path).toBe(421);
		expect(await response.text()).not.toContain('Jade Binder');
	}
});

test('no address gives a 500, whatever stands in it', async ({ demo, request }) => {
	const paths = [
		'/releases/nix',
		'/releases/%00',
		'/releases/..%2f..',
		'/goals/0',
		'/goals/x',
		'/goals/1e99',
		'/releases/year/x',
		'/releases/year/9999?by=-1',
		'/releases/outline?like=nix',
		'/releases/import?into=nix',
		'/api/goals/options',
		'/api/goals/options?release=nix&further=nix',
		'/api/releases/nix/printed.pdf',
		'/api/releases/nix/printed.pdf?paper=a9',
		'/goals/-1',
		'/binders/NaN',
		'/binders/99',
		'/binders/99/moves',
		'/boxes?school=x&fill=-1&have=1e9&growth=%00',
		'/boxes/sorting?release=nix',
		'/binders/99/supplies',
		'/binders/side-by-side?left=binder-x&right=%00',
		'/api/binders/99/sheets/index.pdf',
		'/api/binders/1/sheets/nix.pdf',
		'/api/binders/1/sheets/spine.pdf?paper=a9&width=-1',
		'/log?release=nix',
		'/goals/new?release=%F0%9F',
		'/api/releases/nix/checklist.csv',
		'/api/goals/x/missing.csv',
		'/nothing',
		'/api/nothing'
	];
	for (const path of paths) {
		const response = await request.get(demo.url + path);
		expect(response.status(), path).toBeLessThan(500);
	}
	const posts: [string, Record<string, string>][] = [
		['/binders', { goal: 'x' }],
		['/binders/1?/layout', { order: 'mood' }],
		['/binders/99?/remove', {}],
		['/binders/1?/swap', { first: 'x', second: '1/99' }],
		['/binders/1?/correct', { first: '1/1/3x3/1' }],
		['/binders/1/moves?/done', { count: '1e9', last: '' }],
		['/binders/1/supplies', { key: 'x', price: '1e9', currency: '€' }],
		['/binders/kinds?/add', { sort: 'page', name: '', rows: '-1' }],
		['/binders/kinds?/remove', { sort: 'page', key: '3x3' }],
		['/releases/import?/preview', { text: '' }],
		['/releases/import?/create', { text: 'number\n1\n1' }],
		['/theme', { theme: 'pink', back: '//evil.example' }],
		['/theme', { theme: 'jade-day', back: '/\\evil.example' }],
		['/theme', { theme: 'jade-day', back: '/a\r\nlocation: //other' }],
		['/boxes/holders?/supplies', { key: '__proto__', price: '', packOf: '1', onHand: '1' }],
		['/journal?/undo', { step: '9'.repeat(400) }]
	];
	for (const [path, form] of posts) {
		const response = await request.post(demo.url + path, {
			form,
			headers: { origin: demo.url },
			maxRedirects: 0
		});
		expect(response.status(), path).toBeLessThan(500);
		expect(response.headers().location ?? '/').not.toContain('evil');
	}
	const rules: [string, object][] = [
		['nix', { preset: 'base' }],
		['harbour-lights-1994', { preset: 'nonsense' }],
		['harbour-lights-1994', { preset: 'parallel-run' }],
		['harbour-lights-1994', { preset: 'rainbow' }],
		['harbour-lights-1994', { preset: 'base', sets: 0 }]
	];
	for (const [release, choice] of rules) {
		const data = { release, rules: choice };
		const response = await request.post(`${demo.url}/api/goals`, { data });
		expect(response.status(), JSON.stringify(choice)).toBe(400);
	}
});

for (const [name, id] of [
	['checklist', 'urn:jade-binder:schema:checklist:2'],
	['knowledge', 'urn:jade-binder:schema:knowledge:1']
] as const) {
	test(`the published schema of a ${name} is the one that files are checked against`, async ({
		demo,
		request
	}) => {
		const response = await request.get(`${demo.url}/api/schemas/${name}.json`);
		expect(response.headers()['content-type']).toBe('application/schema+json');
		const schema = (await response.json()) as { $id: string };
		expect(schema).toEqual(JSON.parse(await readFile(`docs/${name}.schema.json`, 'utf8')));
		expect(schema.$id).toBe(id);
	});
}
