import type { Page } from '@playwright/test';
import { expect, open, test } from './program.ts';

test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

const strip = (page: Page) => page.getByTestId('offline');

/** Opens a page as one does without a network: typed, or from the home screen. */
async function openKept(page: Page, url: string) {
	await page.goto(url);
	await page.waitForFunction(() => window.jadeEarly === undefined);
	await expect(strip(page)).toContainText('No network');
}

test('taken along, a fair and a cellar need no network; what does not fit any more is told', async ({
	page,
	ownDemo,
	request
}) => {
	const { url } = ownDemo;
	await open(page, `${url}/boxes/slips/7`);
	const lines = page.getByRole('list', { name: 'Next on the slip' }).getByRole('listitem');
	const second = (await lines.first().locator('span').first().innerText()).trim();
	await open(page, `${url}/take-along`);
	await page.getByRole('button', { name: 'Take along' }).click();
	await expect(page.getByTestId('kept').first()).toContainText('just now', { timeout: 60_000 });

	await page.context().setOffline(true);

	// At the fair: what each want is worth at most, and what was bought.
	await openKept(page, `${url}/buying/fair`);
	const want = page.getByTestId('fair-want').first();
	await expect(want).toBeVisible();
	await want.getByRole('button', { name: /^Bought/ }).click();
	await page.getByLabel(/^For/).fill('1.50');
	await page.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
	await expect(want).toContainText('bought');
	await expect(strip(page)).toContainText('1 change to send when it is back');

	// The missing list: what was ticked is ticked when the page is opened again.
	await openKept(page, `${url}/goals/1/wants`);
	const missing = page.getByRole('button', { name: '1', exact: true });
	await missing.click();
	await expect(missing).toHaveAttribute('aria-pressed', 'true');
	await openKept(page, `${url}/goals/1/wants`);
	await expect(missing).toHaveAttribute('aria-pressed', 'true');

	// The pile, and its last card after the page was closed.
	await openKept(page, `${url}/log/pile`);
	await page.getByLabel('Next card').fill('harbour 1994 27');
	await page.getByLabel('Next card').press('Enter');
	const taken = page.getByRole('list', { name: 'Taken off the pile' }).getByRole('listitem');
	await expect(taken.first()).toContainText('to be sent');
	await openKept(page, `${url}/log/pile`);
	await expect(taken.first()).toContainText('to be sent');

	// In the cellar: two lines of the slip; meanwhile somebody throws the slip's first line over at home.
	await openKept(page, `${url}/boxes/slips/7`);
	const now = page.getByRole('region', { name: 'Now' });
	const first = (await now.locator('.text-3xl').innerText()).trim();
	await now.getByRole('button', { name: /^(Put away|Got it)/ }).press('Enter');
	await expect(now).not.toContainText(first);
	await now.getByRole('button', { name: 'Skip' }).click();
	await expect(strip(page)).toContainText('5 changes to send when it is back');

	// What was not taken along is named, with what was.
	await page.goto(`${url}/worth`);
	await expect(page).toHaveURL(/take-along#%2Fworth/);
	await expect(page.getByRole('alert').first()).toContainText('/worth was not taken along');
	await expect(page.getByText(`${second.slice(0, 12)}`, { exact: false }).first()).toBeVisible();

	const slip = await (await request.get(`${url}/boxes/slips/7/__data.json`)).text();
	const line = await page.evaluate(() =>
		(JSON.parse(localStorage.getItem('jade-outbox') ?? '[]') as { path: string; what: string }[])
			.filter(({ path }) => path.includes('/lines/'))
			.map(({ path }) => path)
	);
	expect(slip.length).toBeGreaterThan(100);
	const before = await request.post(url + line[0], { data: { state: 'not there', divider: null } });
	expect(before.status()).toBe(200);

	await page.context().setOffline(false);
	await expect(page.getByRole('heading', { name: 'Not taken when it was sent' })).toBeVisible();
	await expect(page.getByText('the slip has changed since it was shown')).toBeVisible();
	await expect(strip(page)).toHaveCount(0);
	await page.getByRole('button', { name: 'Let it go' }).click();
	await expect(page.getByRole('heading', { name: 'Not taken when it was sent' })).toHaveCount(0);

	// All else was made, once.
	await open(page, `${url}/journal`);
	for (const step of [/Pick-up from The fair/, /27/, /skipped/, /Harbour Lights 1994: .*\b1\b/]) {
		await expect(page.getByText(step).first()).toBeVisible();
	}
	await open(page, `${url}/take-along`);
	await page.getByRole('button', { name: 'Keep nothing on this device' }).click();
	await expect(page.getByTestId('kept').first()).toHaveText('not kept');
});

test('without a worker that keeps pages an open page goes on, and nobody is led away from it', async ({
	page,
	ownDemo
}) => {
	await open(page, `${ownDemo.url}/log/pile`);
	await page.getByLabel('Next card').fill('harbour 1994 27');
	await page.getByLabel('Next card').press('Enter');
	const taken = page.getByRole('list', { name: 'Taken off the pile' }).getByRole('listitem');
	await expect(taken.first()).toContainText('27');
	await page.context().setOffline(true);
	await page.getByLabel('Next card').fill('28');
	await page.getByLabel('Next card').press('Enter');
	await expect(taken.first()).toContainText('to be sent');
	// Taken back before it was sent, it never comes.
	await page.getByRole('button', { name: 'Take the last one back' }).click();
	await expect(strip(page)).not.toContainText('change');
	await page.getByLabel('Next card').fill('29');
	await page.getByLabel('Next card').press('Enter');
	await expect(strip(page)).toContainText('1 change');
	await page.context().setOffline(false);
	await expect(strip(page)).toHaveCount(0);
	await expect(taken.first()).toContainText('29');
	await expect(taken.first()).not.toContainText('to be sent');
	await expect(taken.filter({ hasText: '28' })).toHaveCount(0);

	// Going elsewhere leads nowhere, and loses nothing.
	await page.context().setOffline(true);
	await page.getByLabel('Next card').fill('31');
	await page.getByRole('link', { name: 'Goals' }).click();
	await expect(page.getByRole('alert')).toContainText('this page stays open');
	await expect(page.getByLabel('Next card')).toHaveValue('31');
});
