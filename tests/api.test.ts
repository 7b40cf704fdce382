import { CHECKLIST, expect, test } from './program.ts';

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
	const attempts: ['POST' | 'PUT' | 'DELETE', string, unknown, number][] = [
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
	expect(await found.json()).toMatchObject([{ title: 'Lamp the First', copy: { text: '12/120' } }]);
});
