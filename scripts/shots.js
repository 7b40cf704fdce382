// `npm run shots [word …]`: retakes the pictures of docs/screenshots/ from the demo data, in the
// production build, with the demo's clock. Words choose the pictures whose names hold one of them;
// SHOTS_OUT puts them elsewhere, for a look.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import process from 'node:process';
import { build, install, root } from './program.js';
import { startServer } from './start-server.js';

install();
if (!build()) process.exit(1);
const { chromium } = await import('@playwright/test');
const { VIEWS } = await import('./views.js');

const out = resolve(process.env.SHOTS_OUT ?? join(root, 'docs', 'screenshots'));
mkdirSync(out, { recursive: true });
const data = mkdtempSync(join(tmpdir(), 'jade-shots-'));
const server = await startServer({
	JADE_DEMO: '1',
	JADE_DATA: data,
	JADE_NOW: '1996-10-06T09:00:00.000Z'
});
const browser = await chromium.launch({
	executablePath: '/usr/bin/chromium',
	args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
});
const words = process.argv.slice(2);
try {
	for (const view of VIEWS.filter(
		({ name }) => words.length === 0 || words.some((word) => name.includes(word))
	)) {
		const { name, path, theme = 'jade-day', size = { width: 1280, height: 800 }, act, full } = view;
		const context = await browser.newContext({
			viewport: size,
			locale: 'en-GB',
			timezoneId: 'UTC',
			reducedMotion: 'reduce'
		});
		await context.addCookies([{ name: 'theme', value: theme, url: server.url }]);
		const page = await context.newPage();
		await page.goto(server.url + path, { waitUntil: 'networkidle' });
		await act?.(page);
		await page.evaluate(() => document.fonts.ready);
		await page.waitForTimeout(300);
		await page.screenshot({ path: join(out, `${name}.png`), fullPage: full ?? false });
		console.log(`${name}.png`);
		await context.close();
	}
} finally {
	await browser.close();
	await server.stop();
	rmSync(data, { recursive: true, force: true });
}
