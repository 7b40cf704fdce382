import { readFile } from 'node:fs/promises';
import { CHECKLIST, expect, open, test } from './program.ts';

const RELEASE = 'small-lights-1994';

test('every data route answers nonsense with a problem document, and nothing is changed', async ({
	empty,
	request
}) => {
	const api = `${empty.url}/api`;
	const address = `${api}/releases?name=Small%20Lights&maker=M&year=1994`;
	const headers = { 'content-type': 'text/csv' };
	await request.post(address, { data: CHECKLIST, headers });
	const before = await (await request.get(`${api}/releases/${RELEASE}/checklist.json`)).text();

	const version = `${RELEASE}/base-1`;
	const row = { key: '', cells: { name: 'X' } };
	const none = { sections: [], parallels: [], runs: [], variants: [] };
	const sheet = { ...none, sections: [row] };
	const laying = (card: object) => ({
		line: '1',
		cards: [
			{
				next: { kind: 'spares', name: 'Spares', why: '' },
				verdict: { kind: 'spare', copies: 1 },
				...card
			}
		]
	});
	const attempts: ['POST' | 'PUT' | 'PATCH' | 'DELETE', string, unknown, number][] = [
		['PUT', `releases/${RELEASE}`, { format: 'nonsense' }, 400],
		['PUT', 'releases/nix', { format: 'nonsense' }, 404],
		['PUT', `releases/${RELEASE}/rules`, {}, 400],
		['PUT', `releases/${RELEASE}/rules`, none, 400],
		['PUT', `releases/${RELEASE}/rules`, sheet, 400],
		['PUT', 'releases/nix/rules', none, 400],
		['POST', 'copies', { version: 'x', fields: {} }, 400],
		['POST', 'copies', { version: `${RELEASE}/base-99`, fields: {} }, 400],
		['POST', 'copies', { version: 'nix/base-1', fields: {} }, 400],
		['POST', 'copies', { version, fields: { grade: 11 } }, 400],
		['POST', 'copies', { version, fields: { valueOn: 'May' } }, 400],
		['POST', 'copies', { version, fields: { currency: 'euro', valueMinor: 1 } }, 400],
		['POST', 'copies', { version, fields: { status: 'lost' } }, 400],
		['POST', 'copies', { version, fields: { quantity: 0 } }, 400],
		['PUT', 'copies/999', { fields: {} }, 400],
		['DELETE', 'copies/999', undefined, 404],
		['POST', 'copies/999/split', {}, 400],
		['POST', 'copies/999/photos', 'no picture', 400],
		['DELETE', 'photos/999', undefined, 404],
		['POST', 'goals', { release: RELEASE, rules: {} }, 400],
		['POST', 'goals', { release: RELEASE, rules: { preset: 'base', variants: 'some' } }, 400],
		['PUT', 'goals/999', { release: RELEASE, rules: { preset: 'base' } }, 400],
		['POST', 'goals/slots', { release: 'nix', rules: { preset: 'base' } }, 404],
		['POST', 'card-lists', 'nonsense', 400],
		['POST', 'card-lists?name=A', 'number,title\n1,A', 400],
		['POST', 'card-lists?name=A&maker=M&year=1994', 'number,title\n1,A\n1,B', 400],
		['POST', 'copies', { version, fields: { alsoVariants: ['nix'] } }, 400],
		['POST', 'goals', { release: RELEASE, rules: { preset: 'base', series: ['nix'] } }, 400],
		['POST', 'goals', { release: RELEASE, rules: { preset: 'base', versions: ['x/y'] } }, 400],
		['POST', 'goals', { release: RELEASE, rules: { preset: 'base', graded: { least: 11 } } }, 400],
		['POST', 'pile', { version: 'x' }, 400],
		['POST', 'pile', laying({ version: `${RELEASE}/base-99` }), 400],
		['POST', 'pile', laying({ version, serial: '' }), 400],
		['POST', 'pile', laying({ version, condition: 'fine', extra: 1 }), 400],
		['POST', 'pile', { ...laying({ version }), instead: [99] }, 400],
		['POST', 'pile', { ...laying({ version }), cards: [] }, 400],
		['DELETE', 'pile', { cards: [99] }, 409],
		['DELETE', 'pile', { cards: [] }, 400],
		['PATCH', 'pile/99', { condition: 'good' }, 400],
		['PATCH', 'pile/99', { quantity: 4 }, 400],
		['POST', 'goals', { release: RELEASE, rules: { preset: 'base', collectibles: ['hat'] } }, 400],
		['PUT', 'synonyms', { word: '12', means: 'x' }, 400],
		['PUT', 'synonyms', { word: 'a' }, 400],
		['DELETE', 'synonyms/999', undefined, 404],
		['POST', `releases/${RELEASE}/log`, { line: '1', numbering: null, parallel: 7 }, 400],
		['POST', 'compute/scope-goal', { checklists: [], goal: { preset: 'base' } }, 400],
		['POST', 'compute/match-holdings', { checklists: [{}], rows: [] }, 400]
	];
	for (const [method, path, data, status] of attempts) {
		const answer = await request.fetch(`${api}/${path}`, {
			method,
			...(data === undefined ? {} : { data: data as object })
		});
		const what = `${method} ${path} ${JSON.stringify(data)}`;
		expect(answer.status(), what).toBe(status);
		expect(answer.headers()['content-type'], what).toContain('problem+json');
		const problem = (await answer.json()) as { title?: string; detail?: string };
		expect(problem.title && problem.detail, what).toBeTruthy();
	}
	for (const path of ['media/xyz', 'media/..%2f', 'holdings.pdf', 'search?q=%22%28', 'copies/x']) {
		expect((await request.get(`${api}/${path}`)).status(), path).toBeLessThan(500);
	}
	const after = await (await request.get(`${api}/releases/${RELEASE}/checklist.json`)).text();
	expect(after).toBe(before);
	expect(await (await request.get(`${api}/synonyms`)).json()).toEqual([]);
	const found = (await (await request.get(`${api}/search?q=lamp%201`)).json()) as unknown[];
	expect(found[0]).toMatchObject({ number: '1', owned: 0 });
});

test('a checklist is replaced over HTTP, and a release edited as a sheet, with copies kept', async ({
	empty,
	request
}) => {
	const api = `${empty.url}/api`;
	const address = `${api}/releases?name=Small%20Lights&maker=M&year=1994`;
	await request.post(address, { data: CHECKLIST, headers: { 'content-type': 'text/csv' } });
	const entry = { line: '1 brass 12/120 vg', numbering: null, parallel: null };
	await request.post(`${api}/releases/${RELEASE}/log`, { data: entry });
	const csv = await (await request.get(`${api}/releases/${RELEASE}/checklist.csv`)).text();
	const put = (text: string) =>
		request.put(`${api}/releases/${RELEASE}`, {
			data: text,
			headers: { 'content-type': 'text/csv' }
		});
	expect((await put(csv.replace('Lamp 1,', 'Lamp the First,'))).status()).toBe(200);
	const refused = await put(csv.replaceAll('Brass', 'Tin'));
	expect(refused.status()).toBe(400);
	expect(await refused.text()).toContain(
		`1 copy of ${RELEASE}/base-1~brass would belong to nothing`
	);
	const holdings = await (await request.get(`${api}/holdings.csv`)).text();
	expect(holdings).toContain('Lamp the First,Brass');
	expect(holdings).toContain('12/120');
	const found = await request.get(`${api}/search?q=12/120`);
	expect(await found.json()).toMatchObject([
		{ title: 'Lamp the First', copy: { text: 'Brass · 12/120' } }
	]);
});

const json = { 'content-type': 'application/json' };
const many = <Value>(count: number, make: (i: number) => Value) =>
	Array.from({ length: count }, (_, i) => make(i));

test('no body stops the server: each is answered, and others are served meanwhile', async ({
	demo,
	request
}) => {
	test.setTimeout(180_000);
	const at = (name: string) => `${demo.url}/api/compute/${name}`;
	const kind = {
		key: 'k',
		name: 'k',
		lengthMm: 1,
		widthMm: 1,
		heightMm: 1,
		rows: 1,
		rowMm: 1,
		nominalCount: 1,
		countStockPt: 1,
		tareG: 0
	};
	const set = { key: 'a', name: 'a', year: '1', maker: 'm', cards: 10_000_000, need: 1, have: 1 };
	const layout = { pageKind: '3x3', order: 'number', blockStart: 'new-page' };
	const puzzle = { key: 'p', columns: 50, rows: 50 };
	/** Few bytes that say much, or many that are wrong everywhere. */
	const bodies: [string, unknown][] = [
		[
			'plan-sorting',
			{ cards: 1e6, mostPiles: 2, numbers: 1e6, times: { cardS: 1e-9, pileS: 1, lookS: 0 } }
		],
		[
			'plan-sorting',
			{ cards: 1e6, mostPiles: 1000, numbers: 1e6, times: { cardS: 0, pileS: 0, lookS: 0 } }
		],
		['plan-boxes', { sets: [set] }],
		['plan-boxes', { sets: [set], kinds: [kind], sharedKind: 'k' }],
		[
			'respace-rows',
			{
				rowUm: 1,
				rows: many(2, () => [{ key: 'a', dividerUm: 0, cards: [{ key: 'c', um: 1e7 }] }])
			}
		],
		[
			'read-outline',
			{ outline: `release R, M, 1994\n${many(20, (i) => `insert S${i}: 1-50000`).join('\n')}` }
		],
		[
			'plan-binder',
			{
				slots: many(400, (i) => ({
					key: `s${i}`,
					number: null,
					title: '',
					block: `b${i}`,
					puzzle: { ...puzzle, key: `p${i}` }
				})),
				layout
			}
		],
		[
			'fill-slots',
			{
				slots: many(2000, (i) => ({ key: `s${i}`, versions: ['constructor'] })),
				copies: many(2000, (i) => ({ key: `c${i}`, version: 'constructor' }))
			}
		],
		['fill-slots', { slots: many(300_000, () => -1), copies: [] }],
		[
			'scope-goal',
			{
				checklists: many(3, () => ({})),
				goal: { preset: 'base', kinds: many(30_000, (i) => `k${i}`) }
			}
		],
		[
			'match-holdings',
			{ checklists: [], rows: [], choices: { ['__proto__']: 'x', constructor: 'y' } }
		]
	];
	let slowest = 0;
	const isDone = { value: false };
	const visitor = (async () => {
		while (!isDone.value) {
			const begun = Date.now();
			expect((await request.get(`${demo.url}/releases`)).status()).toBe(200);
			slowest = Math.max(slowest, Date.now() - begun);
			await new Promise((resume) => setTimeout(resume, 100));
		}
	})();
	for (const [name, data] of bodies) {
		const answer = await request.post(at(name), {
			data: data as object,
			headers: json,
			timeout: 60_000
		});
		const what = `${name} ${JSON.stringify(data).slice(0, 80)}`;
		expect([200, 400, 413, 503], what).toContain(answer.status());
		if (answer.status() !== 200) {
			expect(answer.headers()['content-type'], what).toBe('application/problem+json');
		}
	}
	isDone.value = true;
	await visitor;
	// Nobody waits for another's computation: far less than the limit of any of them.
	expect(slowest).toBeLessThan(5_000);
});

test('errors under /api/ are problem documents, whoever refuses; broken forms are no 500', async ({
	empty,
	request
}) => {
	for (const path of ['nothing', 'copies/x', 'boxes/labels.pdf/x', 'compute/fill-slots']) {
		const answer = await request.get(`${empty.url}/api/${path}`);
		expect(answer.status(), path).toBeGreaterThanOrEqual(400);
		expect(answer.status(), path).toBeLessThan(500);
		expect(answer.headers()['content-type'], path).toBe('application/problem+json');
	}
	const broken = await request.post(`${empty.url}/releases/import?/preview`, {
		data: '--x\r\nnonsense',
		headers: { 'content-type': 'multipart/form-data; boundary=x', origin: empty.url }
	});
	expect(broken.status()).toBeLessThan(500);
	// One cell at the end of a sheet, in a file of a kilobyte.
	const sheet = await readFile('tests/files/far-cell.xlsx');
	const far = await request.post(`${empty.url}/api/releases?name=A&maker=M&year=1994`, {
		data: sheet,
		headers: { 'content-type': 'application/octet-stream' }
	});
	expect(far.status()).toBe(400);
	expect(JSON.stringify(await far.json())).toContain('reaches to');
});

test('things may be called like those of the language: every page carries them', async ({
	empty,
	page,
	request
}) => {
	const odd = '__proto__';
	const file = JSON.parse(`{
		"format": "jade-checklist", "formatVersion": 2,
		"release": { "name": "Odd", "maker": "constructor", "year": "1994" },
		"sections": [{
			"name": "${odd}", "note": "told of it",
			"cards": [{ "number": "1", "title": "${odd}", "subjects": ["${odd}"], "tags": { "${odd}": ["x"], "constructor": ["y"] } }]
		}]
	}`) as object;
	const imported = await request.post(`${empty.url}/api/releases`, { data: file });
	expect(imported.status()).toBe(201);
	const rules = JSON.parse(`{ "preset": "complete", "tags": { "${odd}": ["x"] } }`) as object;
	const made = await request.post(`${empty.url}/api/goals`, {
		data: { release: 'odd-1994', rules }
	});
	expect(made.status()).toBe(201);
	await open(page, `${empty.url}/binders`);
	await page.getByRole('button', { name: 'Plan it' }).click();
	await expect(page.getByText('1 page on 1 leaf')).toBeVisible();
	const { sections } = (await (
		await request.get(`${empty.url}/api/releases/odd-1994/checklist.json`)
	).json()) as { sections: { cards: { key: string }[] }[] };
	const card = sections[0]?.cards[0]?.key ?? '';
	for (const path of [
		'releases/odd-1994',
		'releases/odd-1994/edit',
		`releases/odd-1994/cards/${card}`,
		`releases/subjects/${odd}`,
		'releases/year/1994',
		'releases/compare?side=odd-1994&side=odd-1994',
		'releases/palette',
		'goals/1',
		'goals/1/rules',
		'binders/1/show',
		'search?q=proto'
	]) {
		expect((await request.get(`${empty.url}/${path}`)).status(), path).toBe(200);
	}
	// From page to page, without loading them anew, as well.
	await page.getByRole('link', { name: 'Show', exact: true }).click();
	await expect(page.getByText('told of it')).toBeVisible();
	await open(page, `${empty.url}/releases/odd-1994`);
	await page
		.getByRole('link', { name: new RegExp(odd) })
		.first()
		.click();
	await expect(page.getByText(`${odd}: x`)).toBeVisible();
});

test('pages are packed on the way', async ({ demo, request }) => {
	const answer = await request.get(`${demo.url}/releases/harbour-lights-1994`, {
		headers: { 'accept-encoding': 'gzip' }
	});
	expect(answer.headers()['content-encoding']).toBe('gzip');
});

/** What takes a while, each by another task of the workers. */
const SLOW = ['/api/holdings.xlsx', '/api/holdings.csv', '/api/boxes/labels.pdf', '/boxes/labels'];

test('exports and labels are written aside: others are served meanwhile', async ({
	request,
	demo
}) => {
	const wanted = SLOW.map(async (path) => ({ path, response: await request.get(demo.url + path) }));
	const other = request.get(`${demo.url}/api/search?q=harbour`).then(() => 'the other');
	expect(
		await Promise.race([other, ...wanted.map((download) => download.then(({ path }) => path))])
	).toBe('the other');
	for (const { path, response } of await Promise.all(wanted)) {
		expect([path, response.status()]).toEqual([path, 200]);
		expect((await response.body()).byteLength).toBeGreaterThan(1000);
	}
});

test('the server lives, wherever in its work a request is broken off', async ({
	request,
	demo
}) => {
	for (let ms = 2; ms < 200; ms += 40) {
		await Promise.all(
			Array.from({ length: 12 }, (_, i) =>
				fetch(demo.url + (SLOW[i % SLOW.length] ?? ''), { signal: AbortSignal.timeout(ms + i) })
					.then((response) => response.arrayBuffer())
					.catch(() => null)
			)
		);
		expect((await request.get(`${demo.url}/api/search?q=harbour`)).status(), `${ms} ms`).toBe(200);
	}
	expect(demo.output().split('ready http')[1]?.trim()).not.toMatch(/\s/);

	// Workers that end, whatever they do or while they start, are made anew, and nobody waits in vain.
	const endWorkers = async () => {
		const children = await readFile(`/proc/${demo.pid}/task/${demo.pid}/children`, 'utf8');
		for (const child of children.split(' ').filter(Number)) {
			try {
				process.kill(Number(child), 'SIGKILL');
			} catch (error) {
				// A worker whose work was broken off may have ended by itself meanwhile.
				if (!(error instanceof Error && 'code' in error && error.code === 'ESRCH')) throw error;
			}
		}
	};
	for (const ms of [0, 120]) {
		const wanted = SLOW.slice(0, 3).map((path) =>
			fetch(demo.url + path, { signal: AbortSignal.timeout(80_000) })
		);
		await endWorkers();
		await new Promise((resolve) => setTimeout(resolve, ms));
		await endWorkers();
		for (const answer of await Promise.all(wanted)) expect([200, 503]).toContain(answer.status);
	}
	const statusOf = async (path: string) => (await request.get(demo.url + path)).status();
	await expect.poll(() => statusOf(SLOW[0] ?? '')).toBe(200);
	for (const path of SLOW) expect(await statusOf(path), path).toBe(200);
});
