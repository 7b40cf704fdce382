import { createClient, type Client } from '@libsql/client';
import fc from 'fast-check';
import type { APIRequestContext } from '@playwright/test';
import { pathToFileURL } from 'node:url';
import { JOURNALLED } from '../src/lib/server/database/tables/journalled.ts';
import { anyRequest, readRoutes, type AnyRequest, type Route } from './any-request.ts';
import { expect, test } from './program.ts';

/** So many requests of each way to ask; JADE_FUZZ_RUNS for a long search, JADE_SEED for another one. */
const RUNS = Number(process.env.JADE_FUZZ_RUNS ?? 2);
const SEED = Number(process.env.JADE_SEED ?? 1996);

/** What would end the test itself (who may ask, the clock of attempts), lasts by design, or is told apart from its start. */
const LEFT_OUT = /^\/(sign-in|sign-out|journal\/access|api\/changes|api\/sample)$/;

/** What changes the collection and is no step of work: links for friends. */
const UNJOURNALLED = ['/buying/wants?/share', '/buying/wants?/withdraw'];

async function send(request: APIRequestContext, url: string, { ask, address, body }: AnyRequest) {
	const isAction = ask.startsWith('?/');
	return request.fetch(url + address, {
		method: isAction ? 'POST' : ask,
		maxRedirects: 0,
		// A hang is a fault, whatever is asked.
		timeout: 70_000,
		headers: {
			...(isAction ? { 'x-sveltekit-action': 'true', accept: 'application/json' } : {}),
			...(body.as === 'json' ? { 'content-type': 'application/json' } : {}),
			...(body.as === 'bytes' ? { 'content-type': body.type } : {})
		},
		...(body.as === 'json' ? { data: JSON.stringify(body.value) } : {}),
		...(body.as === 'bytes' ? { data: Buffer.from(body.bytes) } : {}),
		...(body.as === 'form'
			? {
					multipart: body.fields.reduce((form, [name, value]) => {
						form.append(name, value);
						return form;
					}, new FormData())
				}
			: {})
	});
}

/** Every row that the journal answers for. */
async function rowsOf(client: Client): Promise<ReadonlyMap<string, string>> {
	const all = new Map<string, string>();
	for (const table of Object.keys(JOURNALLED)) {
		const { rows } = await client.execute(`SELECT * FROM ${table} ORDER BY id`);
		all.set(table, JSON.stringify(rows));
	}
	return all;
}

test('whatever is asked of any route: no 500, no hang, nothing half done, and all of it is taken back by undo', async ({
	ownDemo: { url, data },
	request
}) => {
	test.setTimeout(3_600_000);
	const routes = (await readRoutes('src/routes')).filter(({ path }) => !LEFT_OUT.test(path));
	expect(routes.length).toBeGreaterThan(120);
	const client = createClient({ url: pathToFileURL(data('jade.db')).href });
	/** Another connection's commit makes it another number. */
	const version = async () => (await client.execute('PRAGMA data_version')).rows[0]?.data_version;
	const lastStep = async () =>
		(await client.execute("SELECT max(id) AS id FROM journal WHERE state = 'done'")).rows[0]?.id;
	const tell = (asked: AnyRequest) =>
		`${asked.ask} ${asked.address} ${JSON.stringify(asked.body).slice(0, 600)}`;

	/** Whether it was done; what was refused must not have changed anything. */
	async function ask(asked: AnyRequest): Promise<boolean> {
		const was = await version();
		const answer = await send(request, url, asked);
		const said = await answer.text();
		const what = `${tell(asked)}: ${answer.status()} ${said.slice(0, 300)}`;
		expect(answer.status(), what).toBeLessThan(500);
		if (asked.address.startsWith('/api/') && answer.status() >= 400) {
			expect(answer.headers()['content-type'], what).toContain('problem+json');
		}
		const isAction = asked.ask.startsWith('?/');
		const isRefused = answer.status() >= 400 || (isAction && /"type":"(failure|error)"/.test(said));
		const isChanged = (await version()) !== was;
		if (isRefused || asked.ask === 'GET') expect(isChanged, what).toBe(false);
		return isChanged;
	}

	const before = await rowsOf(client);
	const counts = { asked: 0, changed: 0 };
	const [steps, others] = partition(routes, ({ path }) => /^\/(api\/)?journal\b/.test(path));
	for (const asked of others.flatMap(requestsOf)) {
		counts.asked++;
		const was = await lastStep();
		if (!(await ask(asked))) continue;
		if ((await lastStep()) === was) {
			expect(UNJOURNALLED, tell(asked)).toContain(asked.address);
			continue;
		}
		counts.changed++;
		const undone = await request.post(`${url}/api/journal/undo`);
		expect([200, 409], `undo of ${tell(asked)}`).toContain(undone.status());
		if (!process.env.JADE_FUZZ_CLOSELY) continue;
		for (const [table, rows] of await rowsOf(client)) {
			expect(rows === before.get(table), `${table} after undo of ${tell(asked)}`).toBe(true);
		}
	}
	const after = await rowsOf(client);
	const differing = [...after].filter(([table, rows]) => rows !== before.get(table));
	expect(differing.map(([table]) => table)).toEqual([]);
	// What moves along the journal itself comes last: it takes the demo back, too.
	for (const asked of steps.flatMap(requestsOf)) await ask(asked);
	client.close();
	// Enough of it was right for something to be done.
	console.log(`asked ${counts.asked}, changed ${counts.changed}`);
	expect(counts.changed).toBeGreaterThan(20);
});

const partition = <Entry>(all: readonly Entry[], is: (entry: Entry) => boolean) =>
	[all.filter(is), all.filter((entry) => !is(entry))] as const;

const requestsOf = (route: Route): AnyRequest[] =>
	route.asks.flatMap((ask) =>
		fc.sample(anyRequest({ ...route, asks: [ask] }), {
			numRuns: ask === 'GET' ? Math.ceil(RUNS / 2) : RUNS,
			seed: SEED
		})
	);
