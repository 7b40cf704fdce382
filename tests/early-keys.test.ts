import type { Page } from '@playwright/test';
import { expect, open, test } from './program.ts';

const RELEASE = 'harbour-lights-1994';

/**
 * Opens pages whose scripts are held back; what is done then is done before the view is ready. Requests are
 * intercepted for good: to stop it while a change is sent would break that change off.
 */
async function holdScripts(page: Page) {
	let arrived = Promise.resolve();
	await page.route('**/*.js', (route) => arrived.then(() => route.continue()));
	return async (url: string, act: () => Promise<void>) => {
		let arrive = () => {};
		arrived = new Promise<void>((resolve) => (arrive = resolve));
		await page.goto(url, { waitUntil: 'domcontentloaded' });
		await act();
		expect(await page.evaluate(() => window.jadeEarly !== undefined), 'it was early').toBe(true);
		arrive();
		await page.waitForFunction(() => window.jadeEarly === undefined);
	};
}

test('what is pressed, typed, chosen or clicked before a view is ready is done when it is', async ({
	page,
	ownDemo
}) => {
	const at = (path: string) => ownDemo.url + path;
	const { keyboard } = page;
	const early = await holdScripts(page);

	await early(at(`/log/pile?release=${RELEASE}`), async () => {
		await page.getByLabel('Next card').focus();
		for (const key of ['7', 'Enter', '1', '9', 'Backspace', '8', 'Enter'])
			await keyboard.press(key);
	});
	const taken = page.getByRole('list', { name: 'Taken off the pile' }).getByRole('listitem');
	await expect(taken).toHaveCount(2);
	await expect(taken.first().getByText('18', { exact: true })).toBeVisible();
	await expect(taken.last().getByText('7', { exact: true })).toBeVisible();

	await early(at(`/releases/${RELEASE}`), async () => {
		for (const key of ['/', '2', '-', '4']) await keyboard.press(key);
	});
	await expect(page.getByLabel('Entry line').last()).toHaveValue('2-4');

	await early(at('/goals'), () => keyboard.press('?'));
	await expect(page.getByRole('dialog')).toContainText('Keys');

	await early(at('/binders/1/show'), async () => {
		await keyboard.press('ArrowRight');
		await keyboard.press('ArrowRight');
	});
	await expect(page.getByText(/^3 of /)).toBeVisible();

	await early(at(`/log?release=${RELEASE}`), async () => {
		await page.getByLabel('Release').focus();
		await keyboard.press('M');
	});
	await expect(page).toHaveURL(/release=moths-of-the-lamp/);

	await early(at(`/releases/${RELEASE}/cards/base-27`), () =>
		page.getByRole('button', { name: 'Record a copy' }).first().click()
	);
	await expect(page.getByLabel('Serial, as printed')).toBeVisible();

	// Twice as fast as the server answers: each press answers a line of its own.
	await page.goto(at('/boxes/slips/7'));
	const done = async () => Number(/^(\d+) of/.exec(await page.locator('h1 + p').innerText())?.[1]);
	const before = await done();
	await early(at('/boxes/slips/7'), async () => {
		for (const key of ['d', 'd', 'd']) await keyboard.press(key);
	});
	await expect.poll(done).toBe(before + 3);
	await keyboard.press('Control+z');
	await keyboard.press('Control+z');
	await expect.poll(done).toBe(before + 1);
});

test('what is tapped faster than the server answers stays shown, and counts for the next tap', async ({
	page,
	empty
}) => {
	const made = await page.request.post(
		`${empty.url}/api/releases?name=Slow%20tide&maker=Gullhaven&year=1994`,
		{
			headers: { 'content-type': 'text/csv' },
			data: ['number,title', ...Array.from({ length: 12 }, (_, i) => `${i + 1},Buoy`)].join('\n')
		}
	);
	expect(made.ok(), await made.text()).toBe(true);
	// Answers come late, and out of step with the taps.
	await page.route('**/__data.json*', async (route) => {
		await new Promise((resolve) => setTimeout(resolve, 350));
		await route.continue();
	});
	await open(page, `${empty.url}/log?release=slow-tide-1994`);
	const have = page.getByTestId('wall-have');
	/** What the figure said since, in order. */
	const figures = await have.evaluateHandle((figure) => {
		const said = [figure.textContent];
		new MutationObserver(() => said.push(figure.textContent)).observe(figure, {
			childList: true,
			characterData: true,
			subtree: true
		});
		return said;
	});
	const tile = (number: number) => page.getByRole('button', { name: new RegExp(`^${number}, `) });
	for (let number = 1; number <= 10; number++) {
		await tile(number).click();
		await page.waitForTimeout(90);
	}
	await expect(have).toHaveText('10');
	await tile(1).click();
	await tile(10).click({ modifiers: ['Shift'] });
	await expect(have).toHaveText('0');
	await page.waitForLoadState('networkidle');
	await expect(have).toHaveText('0');
	expect(await figures.jsonValue()).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 9, 0].map(String));
	await expect(page.getByTestId('last-step')).toContainText('take out 9 cards');
});
