import type { Browser, Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '../scripts/start-server.js';
import { expect, open, test } from './program.ts';

const PASSPHRASE = 'a lamp in the window';
test.use({ settings: { JADE_PASSPHRASE: PASSPHRASE } });

/** A browser of somebody else. */
const another = async (browser: Browser): Promise<Page> => (await browser.newContext()).newPage();

async function signIn(page: Page, url: string, passphrase: string, path = '/') {
	await open(page, url + path);
	await page.getByLabel('Passphrase').fill(passphrase);
	await page.getByRole('button', { name: 'Sign in' }).click();
}

test('a server that others reach does not start without a passphrase', async () => {
	const data = mkdtempSync(join(tmpdir(), 'jade-open-'));
	const env = { JADE_DATA: data, HOST: '0.0.0.0' };
	await expect(startServer(env)).rejects.toThrow(/lets others reach this collection/);
	const server = await startServer({ ...env, JADE_PASSPHRASE: PASSPHRASE });
	await server.stop();
	// It is kept with the collection.
	const again = await startServer(env);
	await again.stop();
	rmSync(data, { recursive: true, force: true });
});

test('an owner changes, a viewer looks, a link shows what is looked for until it is withdrawn', async ({
	ownDemo: { url },
	browser
}) => {
	const owner = await another(browser);
	// Nobody who is not known reads anything, page or data.
	const stranger = await another(browser);
	const asked = ['/api/releases', '/api/holdings.csv', '/api/changes', '/api/openapi.json'];
	for (const path of asked) {
		const answer = await stranger.request.get(url + path);
		expect(answer.status(), path).toBe(401);
		expect(answer.headers()['content-type'], path).toBe('application/problem+json');
	}
	for (const path of ['/', '/goals', '/goals/__data.json', '/no-such-page']) {
		const answer = await stranger.request.get(url + path);
		expect(await answer.text(), path).not.toMatch(/Harbour|Saltmarsh|Gullhaven/);
	}
	expect((await stranger.request.post(`${url}/goals/1?/remove`)).status()).toBe(401);

	await signIn(owner, url, 'a lamp in the hall', '/buying/wants');
	await expect(owner.getByText('that is not the passphrase')).toBeVisible();
	await owner.getByLabel('Passphrase').fill(PASSPHRASE);
	await owner.keyboard.press('Enter');
	await expect(owner.getByRole('heading', { name: 'Wants', level: 1 })).toBeVisible();
	const [cookie] = await owner.context().cookies();
	expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });

	await owner.getByText('Share this list').click();
	await owner.getByLabel('For whom').fill('Mara');
	await owner.getByRole('button', { name: 'Make a link' }).click();
	const link = owner.getByRole('link', { name: 'Mara', exact: true });
	const path = await link.getAttribute('href');
	expect(path).toMatch(/^\/shared\/[\w-]{32}$/);
	const wanted = await owner.getByTestId('wanted').textContent();

	await open(stranger, url + (path ?? ''));
	await expect(stranger.getByTestId('wanted')).toHaveText(wanted ?? '');
	await expect(stranger.getByRole('navigation')).toHaveCount(0);
	const told = await (await stranger.request.get(`${url}${path}/__data.json`)).text();
	expect(/Harbour Lights 1994/.test(told)).toBe(true);
	expect(/mostMinor|priority|isFavourite|price|token/i.test(told)).toBe(false);
	const csv = await (await stranger.request.get(`${url}${path}/wants.csv`)).text();
	expect(csv.trim().split('\r\n').length).toBeGreaterThan(20);
	// A friend's own collection reads that file.
	await open(owner, `${url}/buying/trades`);
	await owner.getByLabel('Friend', { exact: true }).fill('Mara');
	await owner.locator('[name=want]').fill(csv);
	await owner.getByRole('button', { name: 'Keep these lists' }).click();
	await expect(owner).toHaveURL(/friend=Mara/);
	await expect(owner.getByRole('alert')).toHaveCount(0);

	await open(owner, `${url}/journal/access`);
	await owner.getByLabel('Passphrase of the viewer').fill('only looking');
	await owner.getByRole('button', { name: 'Set the viewer’s' }).click();
	await expect(owner.getByText('The passphrase of the viewer is set')).toBeVisible();

	const viewer = await another(browser);
	await signIn(viewer, url, 'only looking', '/log');
	await expect(viewer.getByText('You look at this collection as a viewer')).toBeVisible();
	await viewer.getByRole('button', { name: /^1, / }).first().click();
	await expect(viewer.getByText('A viewer looks, and changes nothing').first()).toBeVisible();
	await open(viewer, `${url}/journal/access`);
	await expect(viewer.getByText('Only the owner sees that')).toBeVisible();
	expect((await viewer.request.get(`${url}/api/copies/1`)).status()).not.toBe(403);
	expect((await viewer.request.delete(`${url}/api/copies/1`)).status()).toBe(403);

	await open(owner, `${url}/buying/wants`);
	await owner.getByText('Share this list').click();
	await owner.getByRole('button', { name: 'Withdraw the link for Mara' }).click();
	await expect(owner.getByTestId('shared')).toHaveCount(0);
	expect((await stranger.request.get(url + (path ?? ''))).status()).toBe(404);
	await stranger.reload();
	await expect(stranger.getByText('This link leads nowhere any more')).toBeVisible();

	// Whoever goes on guessing waits.
	for (let i = 0; i < 6; i++) await signIn(stranger, url, `guess ${i}`);
	await expect(stranger.getByText('too many passphrases were tried')).toBeVisible();
	await owner.getByRole('button', { name: 'Undo' }).waitFor();
	await viewer.goto(`${url}/goals`);
	await viewer.getByRole('button', { name: 'Sign out' }).click();
	await expect(viewer).toHaveURL(`${url}/sign-in`);
	await viewer.goto(`${url}/goals`);
	await expect(viewer.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});
