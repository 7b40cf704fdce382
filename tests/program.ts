import { test as base, type Page } from '@playwright/test';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '../scripts/start-server.js';

/** The built program with a data folder of its own. */
export interface Program {
	readonly url: string;
	/** Stops the server and starts it again on the same data, at the same address. */
	restart(): Promise<string>;
	/** The path of a file in its data folder. */
	data(name: string): string;
	/** The server's process. */
	readonly pid: number;
	/** What the server has printed since its start. */
	output(): string;
}

export const NOW = '1996-10-06T09:00:00.000Z';

/** Runs the program on an empty folder, or on a copy of one. */
async function run(
	use: (program: Program) => Promise<void>,
	from?: string,
	more: Readonly<Record<string, string>> = {}
) {
	const data = mkdtempSync(join(tmpdir(), 'jade-browser-'));
	if (from) cpSync(from, data, { recursive: true });
	const settings = { JADE_DATA: data, JADE_NOW: NOW, ...more };
	let server = await startServer(settings);
	try {
		await use({
			get url() {
				return server.url;
			},
			get pid() {
				return server.pid;
			},
			async restart() {
				// At the same address, as in life: a window stays what it was.
				const { port } = new URL(server.url);
				await server.stop();
				server = await startServer({ ...settings, PORT: port });
				return server.url;
			},
			data: (name) => join(data, name),
			output: () => server.output()
		});
	} finally {
		await server.stop();
		rmSync(data, { recursive: true, force: true });
	}
}

/** Where the demo lies, loaded once for all tests (`load-demo.ts`). */
function demoFolder(): string {
	const folder = process.env.JADE_TEST_DEMO;
	if (!folder) throw new RangeError('demoFolder: the demo was not loaded');
	return folder;
}

interface Programs {
	/** What else the environment says to the programs of a test. */
	settings: Readonly<Record<string, string>>;
	/** An empty collection. */
	empty: Program;
	/** The demo, for one test that changes it. */
	ownDemo: Program;
}
interface SharedPrograms {
	/** The demo, shared by the tests of one file: they only look. */
	demo: Program;
}

export const test = base.extend<Programs, SharedPrograms>({
	settings: [{}, { option: true }],
	empty: async ({ browserName: _, settings }, use) => run(use, undefined, settings),
	demo: [async ({ browserName: _ }, use) => run(use, demoFolder()), { scope: 'worker' }],
	ownDemo: async ({ browserName: _, settings }, use) => run(use, demoFolder(), settings)
});
export { expect } from '@playwright/test';

const slowed = new WeakSet<Page>();

/** With JADE_SLOW_MS all but the first page of a test comes so much later, in no order: to look for races. */
async function slowDown(page: Page): Promise<void> {
	const most = Number(process.env.JADE_SLOW_MS ?? 0);
	if (most === 0 || slowed.has(page)) return;
	slowed.add(page);
	await page.route(/\/api\/|__data\.json|\?\//, async (route) => {
		await new Promise((resolve) => setTimeout(resolve, most * Math.random()));
		await route.continue().catch(() => undefined);
	});
}

/** Opens a page and waits until it listens; for what it fetches afterwards a test waits by what it sees. */
export async function open(page: Page, url: string): Promise<void> {
	await slowDown(page);
	await page.goto(url);
	await page.waitForFunction(() => window.jadeEarly === undefined);
}

/** A small release: 1–30 with a subset 11–14, an insert F1–F5, three titles without numbers, a parallel. */
export const CHECKLIST = [
	'section,kind,numbered in,number,title,group,parallels',
	...Array.from({ length: 30 }, (_, i) => {
		const number = i + 1;
		const isDog = number >= 11 && number <= 14;
		return isDog
			? `Dogs,subset,Base,${number},Dog ${number},Dogs,Brass /45`
			: `Base,base,,${number},Lamp ${number},Lighthouses,Brass /120`;
	}),
	...Array.from({ length: 5 }, (_, i) => `Fresnel,insert,,F${i + 1},Lens ${i + 1},Lighthouses,`),
	...['Bread', 'Fog, again', 'Oil'].map((title) => `Storm Log,insert,,,"${title}",Storms,`)
].join('\n');
