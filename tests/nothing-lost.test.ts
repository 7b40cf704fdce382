import { createClient } from '@libsql/client';
import fc from 'fast-check';
import { copyFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { startServer } from '../scripts/start-server.js';
import { CHECKLIST, expect, NOW, open, test } from './program.ts';

/** `JADE_KILL_ROUNDS=500 npx playwright test nothing-lost` goes on for long. */
const ROUNDS = Number(process.env.JADE_KILL_ROUNDS ?? 5);
const SEED = Number(process.env.JADE_SEED ?? Date.now() % 1_000_000);

let folder: string;
test.beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), 'jade-lost-'));
});
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

const start = () => startServer({ JADE_DATA: folder, JADE_NOW: NOW });
const post = (url: string, body: object | string) =>
	fetch(url, {
		method: 'POST',
		headers: { 'content-type': typeof body === 'string' ? 'text/csv' : 'application/json' },
		body: typeof body === 'string' ? body : JSON.stringify(body)
	});
const importSmall = (url: string) =>
	post(`${url}/api/releases?name=Small&maker=M&year=1994`, CHECKLIST);
const logLine = (url: string, line: string) =>
	post(`${url}/api/releases/small-1994/log`, { line, numbering: null, parallel: null });

/** What lies on the disk: steps in force, cards by the journal, by copies and by their sums. */
async function readDisk(path = join(folder, 'jade.db')) {
	const client = createClient({ url: pathToFileURL(path).href });
	const valueOf = async (sql: string) => (await client.execute(sql)).rows[0]?.value;
	const { rows } = await client.execute(`SELECT id FROM journal WHERE state = 'done'`);
	const sumOf = (side: string) => `(SELECT coalesce(sum(r.value ->> 'quantity'), 0)
		FROM journal j, json_each(j.changes) c, json_each(c.value -> '${side}') r
		WHERE j.state = 'done' AND c.value ->> 'table' = 'copies')`;
	const disk = {
		isWhole: await valueOf('SELECT integrity_check AS value FROM pragma_integrity_check'),
		steps: new Set(rows.map((row) => Number(row.id))),
		byJournal: await valueOf(`SELECT ${sumOf('after')} - ${sumOf('before')} AS value`),
		byCopies: await valueOf('SELECT coalesce(sum(quantity), 0) AS value FROM copies'),
		bySums: await valueOf('SELECT coalesce(sum(quantity), 0) AS value FROM copy_sums')
	};
	client.close();
	return disk;
}

test('what was acknowledged is there after a kill in the middle of work, whole', async () => {
	console.log(`${ROUNDS} rounds, JADE_SEED=${SEED}`);
	test.setTimeout(60_000 + 20_000 * ROUNDS);
	const first = await start();
	expect((await importSmall(first.url)).status).toBe(201);
	await first.stop();
	const known = new Set<number>();
	const delays = fc.sample(fc.integer({ min: 0, max: 600 }), { numRuns: ROUNDS, seed: SEED });
	for (const delay of delays) {
		const server = await start();
		let isOver = false;
		/** Logs cards until the server is gone; what it acknowledged has to stay. */
		const work = async (of: number) => {
			for (let i = 0; !isOver; i++) {
				try {
					const answer = await logLine(server.url, `${1 + ((7 * of + i) % 30)}x${1 + (i % 3)} F2`);
					const { step } = (await answer.json()) as { step: number };
					known.add(step);
				} catch {
					return;
				}
			}
		};
		expect((await logLine(server.url, '12')).status).toBe(200);
		const working = Promise.all([0, 1, 2, 3].map(work));
		await new Promise((resolve) => setTimeout(resolve, delay));
		process.kill(server.pid, 'SIGKILL');
		isOver = true;
		await working;
		const again = await start();
		const disk = await readDisk();
		expect(disk.isWhole).toBe('ok');
		expect([...known].filter((step) => !disk.steps.has(step))).toEqual([]);
		expect(disk.byCopies).toBe(disk.byJournal);
		expect(disk.bySums).toBe(disk.byJournal);
		await again.stop();
	}
	expect(known.size).toBeGreaterThan(ROUNDS);
});

test('told to end, the server leaves everything in the one file; a second one is refused meanwhile, in words', async () => {
	const server = await start();
	await importSmall(server.url);
	const refused = await start().then(
		() => '',
		(error: unknown) => String(error)
	);
	expect(refused).toMatch(/another server has .*jade\.db open\.\nUse that one, or stop it first/);
	expect(refused).not.toMatch(/ at .*\(/);
	const last = logLine(server.url, '1-10');
	expect((await last).status).toBe(200);
	await server.stop();
	const copy = join(folder, 'copied.db');
	copyFileSync(join(folder, 'jade.db'), copy);
	expect(await readDisk(copy)).toMatchObject({ byCopies: 10, isWhole: 'ok' });
});

test('two windows: each sees what the other does, "+1" of both counts, and each takes back its own', async ({
	empty,
	context
}) => {
	await importSmall(empty.url);
	const [desk, phone] = [await context.newPage(), await context.newPage()];
	const path = `${empty.url}/log?release=small-1994`;
	await open(desk, path);
	await open(phone, path);
	const tile = (page: typeof desk, number: number) =>
		page.getByRole('button', { name: new RegExp(`^${number}, `) });
	await tile(desk, 3).click();
	await expect(phone.getByTestId('wall-have').first()).toHaveText('1');
	await tile(phone, 7).click();
	await expect(desk.getByTestId('wall-have').first()).toHaveText('2');

	// Both have seen one 3, and each finds one more before it hears of the other.
	await phone.route('**/api/changes', (route) => route.abort());
	await desk.route('**/api/changes', (route) => route.abort());
	await desk.reload();
	await phone.reload();
	for (const page of [desk, phone]) {
		await page.waitForFunction(() => window.jadeEarly === undefined);
		await tile(page, 3).focus();
	}
	await Promise.all([desk.keyboard.press('+'), phone.keyboard.press('+')]);
	const owned = async () => (await readDisk(empty.data('jade.db'))).byCopies;
	await expect.poll(owned).toBe(4);

	await desk.keyboard.press('Control+z');
	await expect(desk.getByTestId('last-step')).toContainText(/Undone|changed the same things later/);
	await phone.keyboard.press('Control+z');
	await expect(phone.getByTestId('last-step')).toContainText('Undone');
});

test('a checklist that was changed since the preview is not replaced without a word; nor over HTTP', async ({
	empty,
	page
}) => {
	await importSmall(empty.url);
	const release = `${empty.url}/api/releases/small-1994`;
	const etag = (await fetch(`${release}/checklist.json`)).headers.get('etag') ?? '';
	await open(page, `${empty.url}/releases/import`);
	await page.getByLabel('Or paste it').fill(CHECKLIST.replace('Lamp 1,', 'Lamp one,'));
	for (const [name, text] of [
		['Release', 'Small'],
		['Maker', 'M'],
		['Year or season', '1994']
	] as const)
		await page.getByLabel(name, { exact: true }).fill(text);
	await page.getByRole('button', { name: 'Preview' }).click();
	const replace = page.getByRole('button', { name: 'Replace the checklist of Small' });
	await expect(replace).toBeEnabled();
	const edit = { change: [{ card: 'base-2', title: 'Edited elsewhere' }], remove: [], add: [] };
	const put = (path: string, body: string, headers: Record<string, string>) =>
		fetch(path, { method: 'PUT', body, headers });
	const json = { 'content-type': 'application/json' };
	expect((await put(`${release}/cards`, JSON.stringify(edit), json)).status).toBe(200);
	await replace.click();
	await expect(page.getByText(/changed since it was looked at/)).toBeVisible();
	const text = await (await fetch(`${release}/checklist.json`)).text();
	expect(text).toContain('Edited elsewhere');
	expect((await put(release, text, { 'if-match': etag })).status).toBe(412);
	await page.getByRole('button', { name: 'Preview' }).click();
	await expect(replace).toBeEnabled();
	await replace.click();
	await expect(page).toHaveURL(/small-1994$/);
});

test('an empty file is no new collection: the server says so and ends', async () => {
	writeFileSync(join(folder, 'jade.db'), '');
	const refused = await start().then(
		() => '',
		(error: unknown) => String(error)
	);
	expect(refused).toMatch(/ended with 1:\n.*jade\.db is empty, and no collection\.\nPut a backup/);
	expect(refused).not.toMatch(/ at .*\(/);
});

test('a disk that takes no more: the change is refused in words, all before it stays, and it can be read on', async ({
	page
}) => {
	// The system's limit on the size of a file, 512 bytes a block, stands for a full disk.
	const limited = join(folder, 'limited.sh');
	writeFileSync(limited, `ulimit -f 1900\nexec "$@"\n`);
	const server = await startServer({ JADE_DATA: folder, JADE_NOW: NOW }, ['sh', limited]);
	try {
		await importSmall(server.url);
		let kept = 0;
		// What is refused first is large: a single card finds room yet.
		for (const [line, cards] of [
			['1-30', 30],
			['1', 1]
		] as const) {
			let answer: Response;
			do {
				answer = await logLine(server.url, line);
				kept += answer.ok ? cards : 0;
			} while (answer.ok && kept < 12_000);
			expect(answer.status, line).toBe(507);
			expect(await answer.json()).toMatchObject({
				detail: expect.stringContaining('The disk takes')
			});
		}
		await page.goto(`${server.url}/goals/new?release=small-1994`);
		await page.waitForFunction(() => window.jadeEarly === undefined);
		await page.getByLabel('Name, if you like').fill('Typed with care');
		await page.getByRole('button', { name: 'Make the goal' }).click();
		await expect(page.getByRole('alert')).toContainText('this change was not kept');
		await expect(page.getByLabel('Name, if you like')).toHaveValue('Typed with care');
		await page.goto(`${server.url}/worth/prices?release=small-1994`);
		await page.waitForFunction(() => window.jadeEarly === undefined);
		// Small changes may find room yet.
		const heard = page.getByLabel('What was heard');
		await expect(async () => {
			await heard.fill('3 nm 2.40');
			await heard.press('Enter');
			await expect(page.getByRole('alert')).toContainText('not kept', { timeout: 1500 });
		}).toPass();
		await expect(heard).toHaveValue('3 nm 2.40');
		expect((await readDisk()).byCopies).toBe(kept);
	} finally {
		await server.stop();
	}
});
