import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { pathToFileURL } from 'node:url';
import { startServer } from '../scripts/start-server.js';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { fillCollection } from './fill-collection.ts';
import { percentile } from './median.ts';

const RELEASES = 3000;
const CARDS = 84;
/** Finishes besides the base one: with them there are over a million versions. */
const PARALLELS = 3;
const RUNS = 20;

const R = 'r-500';
const VIEWS = [
	...['/', '/releases', `/releases/${R}`, `/releases/${R}/cards/base-7`, '/releases/year/1960'],
	...[`/releases/compare?left=${R}&right=r-501`, '/goals', '/goals/1', '/goals/2'],
	...['/goals/1/wants', `/log?release=${R}`, '/log/pile', '/log/holdings', '/search?q=keeper%2027'],
	...[
		`/tell-apart?of=${R}/base&of=${R}/base~p1`,
		'/tell-apart/second-pass',
		'/journal',
		'/binders',
		'/binders/1'
	],
	...[
		'/boxes',
		'/boxes/plan',
		'/boxes/slips',
		'/boxes/questions',
		'/boxes/holders',
		'/boxes/shelves'
	],
	...[
		'/buying',
		'/buying/wants',
		'/buying/offers',
		'/buying/orders',
		'/packs',
		'/worth',
		'/worth/value'
	],
	...['/selling', '/selling/lots', '/selling/building', '/bench']
];

/** Targets of the 95th percentile, ms. */
const VIEW_MS = 150;
const WORK_MS = 50;

/** Measures through HTTP what people wait for, and what others notice of it meanwhile. */
export async function benchScale(): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'jade-scale-'));
	try {
		await fill(folder);
		const env = { JADE_DATA: folder, JADE_NOW: '1996-10-06T09:00:00.000Z' };
		const opening = performance.now();
		const server = await startServer(env);
		console.log(`opened in ${((performance.now() - opening) / 1000).toFixed(1)} s`);
		try {
			await measure(server, folder);
		} finally {
			await server.stop();
		}
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
}

async function fill(folder: string): Promise<void> {
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	await fillCollection(collection, RELEASES, CARDS);
	const runs = JSON.stringify([{ sections: ['base'], printRun: 500 }]);
	for (let p = 1; p <= PARALLELS; p++) {
		await collection.db.run(
			sql`insert into parallels (release_id, key, position, name, runs) select id, ${`p${p}`}, ${p}, ${`Finish ${p}`}, ${runs} from releases`
		);
	}
	await collection.close();
}

type Server = Awaited<ReturnType<typeof startServer>>;

async function measure({ url, pid }: Server, folder: string): Promise<void> {
	const ask = async (method: string, path: string, body?: object) => {
		const response = await fetch(url + path, {
			method,
			...(body
				? { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }
				: {})
		});
		const bytes = (await response.arrayBuffer()).byteLength;
		if (response.status >= 400) throw new RangeError(`${method} ${path}: ${response.status}`);
		return bytes;
	};
	const act = async (path: string, fields: Readonly<Record<string, string>> = {}) => {
		const body = new FormData();
		for (const [name, value] of Object.entries(fields)) body.set(name, value);
		const headers = { 'x-sveltekit-action': 'true', accept: 'application/json' };
		const response = await fetch(url + path, { method: 'POST', body, headers });
		const said = await response.text();
		if (response.status >= 400 || /"type":"(failure|error)"/.test(said))
			throw new RangeError(`${path}: ${said}`);
	};
	const release = (key: string, rules: object) =>
		ask('POST', '/api/goals', { release: key, name: key, rules });
	await release(R, { preset: 'complete' });
	await release('r-501', { preset: 'strict-master' });
	await act('/binders?/plan', { goal: '1', name: 'Book' });
	const watch = watchGaps(url);
	console.log(
		`${RELEASES * CARDS * 2} copies, ${RELEASES} releases, ${RELEASES * CARDS * (1 + PARALLELS)} versions; ${RUNS} runs each`
	);
	console.log(`${''.padEnd(44)}  median     p95  others wait`);
	const row = async (
		name: string,
		most: number,
		run: (i: number) => Promise<unknown>,
		runs = RUNS
	) => {
		await run(0);
		watch.reset();
		const times: number[] = [];
		for (let i = 1; i <= runs; i++) {
			const start = performance.now();
			await run(i);
			times.push(performance.now() - start);
		}
		const [median, late] = [percentile(times, 0.5), percentile(times, 0.95)];
		const gap = watch.largest();
		const marks = `${late > most ? ' !' : ''}${gap > 50 ? ' gap' : ''}`;
		console.log(
			`${name.padEnd(44)} ${median.toFixed(1).padStart(7)} ${late.toFixed(1).padStart(7)} ${gap.toFixed(0).padStart(9)} ms${marks}`
		);
	};
	const raw = createClient({ url: pathToFileURL(join(folder, 'jade.db')).href });
	await row('raw: the copies of a release, by index', WORK_MS, async () => {
		await raw.execute('select * from copies where release_id = 500');
	});
	for (const view of VIEWS) {
		await row(view, VIEW_MS, () => ask('GET', view)).catch((error: unknown) =>
			console.log(view, String(error))
		);
	}
	for (const text of ['k', 'kee', 'keeper 27', 'harbour 500 12', 'long box 7']) {
		await row(`search "${text}"`, WORK_MS, () =>
			ask('GET', `/api/search?q=${encodeURIComponent(text)}`)
		);
	}
	const line = Array.from({ length: 80 }, (_, i) => i + 1).join(' ');
	await row('wall: one tap', WORK_MS, (i) =>
		ask('PUT', `/api/releases/${R}/owned`, {
			changes: [{ version: `${R}/base-${1 + (i % 80)}`, quantity: 4 + (i % 2) }]
		})
	);
	await row('entry line of 80 cards', WORK_MS, () =>
		ask('POST', `/api/releases/${R}/log`, { line, numbering: null, parallel: null })
	);
	await row('pile: what is it', WORK_MS, (i) => ask('GET', `/api/pile?line=${i}`));
	await row('undo', WORK_MS, () => ask('POST', '/api/journal/undo'));
	await row('goal: decided anew', WORK_MS, (i) =>
		ask('PUT', '/api/goals/1', { release: R, rules: { preset: i % 2 ? 'base' : 'complete' } })
	);
	raw.close();
	for (const path of [
		'/api/holdings.csv',
		'/api/holdings.xlsx',
		`/api/releases/${R}/checklist.json`,
		'/api/goals/2/missing.csv'
	]) {
		await row(path, 60_000, () => ask('GET', path), 1).catch((error: unknown) =>
			console.log(path, String(error))
		);
	}
	watch.reset();
	const start = performance.now();
	await ask('POST', '/api/boxes/stand', {}).catch((error: unknown) =>
		console.log('stand', String(error))
	);
	console.log(
		`stand all of it: ${((performance.now() - start) / 1000).toFixed(1)} s, others wait ${watch.largest().toFixed(0)} ms`
	);
	for (const view of ['/boxes', '/boxes/plan', '/boxes/slips'])
		await row(`${view}, all standing`, VIEW_MS, () => ask('GET', view));
	await row(
		'put-away slip of what was just logged',
		WORK_MS,
		async () => {
			await ask('POST', `/api/releases/${R}/log`, { line: '1-5', numbering: null, parallel: null });
			await act('/boxes/slips?/make', { sort: 'put away', of: 'homeless', name: '' });
		},
		5
	);
	await watch.end();
	const status = readFileSync(`/proc/${pid}/status`, 'utf8');
	console.log(
		`memory of the server: ${memory(status, 'VmRSS')} MB now, ${memory(status, 'VmHWM')} MB at most`
	);
}

const memory = (status: string, name: string) =>
	Math.round(Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024);

/** Asks for a small file all the time: how long it takes is how long others are kept waiting. */
function watchGaps(url: string) {
	let largest = 0;
	let isWatching = true;
	const watching = (async () => {
		while (isWatching) {
			const start = performance.now();
			await fetch(`${url}/favicon.svg`).then((response) => response.arrayBuffer());
			largest = Math.max(largest, performance.now() - start);
			await new Promise((resume) => setTimeout(resume, 3));
		}
	})();
	return {
		reset: () => (largest = 0),
		largest: () => largest,
		end: () => {
			isWatching = false;
			return watching;
		}
	};
}
