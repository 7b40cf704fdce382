import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { CHECKLIST, expect, open, test } from './program.ts';

const pocket = (page: Page, name: RegExp | string) =>
	page.getByTestId('spread').getByRole('button', { name });
/** Names of the pockets of the open spread, in order. */
const pockets = (page: Page) =>
	page
		.getByTestId('pocket')
		.evaluateAll((all) => all.map((element) => element.getAttribute('aria-label')));

/** The small release in a collection of its own, some cards logged, and a binder of four pockets a page. */
async function makeBinder(page: Page, url: string, line: string) {
	const imported = await page.request.post(
		`${url}/api/releases?name=Small+lights&maker=M&year=1994`,
		{ data: CHECKLIST, headers: { 'content-type': 'text/csv' } }
	);
	expect(imported.status()).toBeLessThan(300);
	const release = 'small-lights-1994';
	await page.request.post(`${url}/api/releases/${release}/log`, {
		data: { line, numbering: null, parallel: null }
	});
	await page.request.post(`${url}/api/goals`, { data: { release, rules: { preset: 'complete' } } });
	await open(page, `${url}/binders`);
	await page.getByRole('button', { name: 'Plan it' }).click();
	await page.getByLabel('Pages').selectOption('2x2');
	await expect(page.getByText('8 pages on 4 leaves')).toBeVisible();
}

test.describe('a binder', () => {
	test('is laid by choices, and its number and sections are found', async ({ page, demo }) => {
		await open(page, `${demo.url}/binders/1`);
		await page.getByRole('button', { name: 'More choices' }).click();
		await page.getByLabel('Title pocket').selectOption('yes');
		// 240 base with a title: 27 pages; 15, 10, 12 and 4 with one each: 2, 2, 2 and 1.
		await expect(page.getByText('34 pages on 17 leaves')).toBeVisible();
		await expect(pocket(page, 'title: Harbour Lights 1994, Base')).toBeVisible();
		await page.getByLabel('Missing cards').selectOption('close-up');
		await expect(page.getByText(/2\d pages on 1\d leaves/)).toBeVisible();
		await page.getByLabel('Cards a pocket').selectOption('1');
		await page.getByRole('button', { name: 'Leaf on' }).click();
		await expect(page.getByText('the backs of the page before').first()).toBeVisible();
		// One after the other, each seen before the next: title pockets were there before as well.
		for (const [label, value] of [
			['Cards a pocket', '2'],
			['Missing cards', 'keep'],
			['Title pocket', 'no']
		] as const) {
			await page.getByRole('button', { name: 'Undo' }).click();
			await expect(page.getByLabel(label)).toHaveValue(value);
		}
		await expect(page.getByText('34 pages on 17 leaves')).toBeVisible();
		// 200 is the second pocket of its page: 199 = 22 × 9 + 1.
		await page.getByLabel('Number').fill('200');
		await page.keyboard.press('Enter');
		await expect(page.getByText('Pages 22 and 23')).toBeVisible();
		await expect(pocket(page, /^200, /)).toBeFocused();
		await page.getByLabel('Number').fill('999');
		await page.keyboard.press('Enter');
		await expect(page.getByRole('alert')).toHaveText('No 999 here');
		// A card kept elsewhere leaves a placeholder that says where it is.
		await page
			.getByLabel('Go to')
			.selectOption({ label: "Harbour Lights 1994, Keeper's Ink, page 32" });
		await expect(pocket(page, /K8.*kept elsewhere: graded 9.5, Bank box/)).toBeVisible();
	});

	test('many parallels in rows go over volumes, no section broken but those too large', async ({
		page,
		demo
	}) => {
		await open(page, `${demo.url}/binders/2`);
		const notes = page.getByRole('list', { name: 'About this plan' });
		await expect(notes).toContainText('Harbour Lights 1994, Base lies in more than one volume');
		await expect(notes).toContainText(/Volume 1: \d\d leaves, [\d.]+ mm thick when full/);
		await page.keyboard.press('End');
		await expect(page.getByText(/Volume [3-9]:/).first()).toBeVisible();
		await expect(page.getByText(/^Volume 1:/)).toHaveCount(1);
	});

	test('lies by hand after a drag, or by keys alone, and undo takes it back', async ({
		page,
		empty
	}) => {
		await makeBinder(page, empty.url, '1 2 3');
		expect((await pockets(page)).map((name) => name?.split(',')[0])).toEqual(['1', '2', '3', '4']);
		await pocket(page, /^1, /).dragTo(pocket(page, /^4, /));
		await expect(page.getByLabel('Order', { exact: true })).toHaveValue('by-hand');
		expect((await pockets(page)).map((name) => name?.split(',')[0])).toEqual(['4', '2', '3', '1']);
		// Keys: to the first pocket, pick up, one to the right, put down; Esc lets go instead.
		await pocket(page, /^4, /).focus();
		await page.keyboard.press('Space');
		await expect(pocket(page, /^4, /)).toHaveAttribute('aria-pressed', 'true');
		await page.keyboard.press('Escape');
		await expect(pocket(page, /^4, /)).toHaveAttribute('aria-pressed', 'false');
		await page.keyboard.press('Space');
		await page.keyboard.press('ArrowRight');
		await page.keyboard.press('Space');
		await expect
			.poll(async () => (await pockets(page)).map((name) => name?.split(',')[0]))
			.toEqual(['2', '4', '3', '1']);
		// Pressed faster than a step is taken back, both are.
		await page.keyboard.press('Control+z');
		await page.keyboard.press('Control+z');
		await expect(page.getByLabel('Order', { exact: true })).toHaveValue('number');
		// Enter, or a double click, opens the card.
		await pocket(page, /^3, /).dblclick();
		await expect(page).toHaveURL(/\/cards\/base-3$/);
		expect(empty.output()).not.toContain('Error');
	});

	test('the slip is ticked off, resumed after a restart, and what lies is corrected', async ({
		page,
		empty
	}) => {
		await makeBinder(page, empty.url, '1 2 3 30');
		await page.getByRole('link', { name: 'Moves 4' }).click();
		const slip = page.getByRole('list', { name: 'Move plan' });
		await expect(slip.getByRole('listitem')).toHaveCount(4);
		await page.getByRole('button', { name: 'Done: Put in 1 Lamp 1' }).click();
		await expect(slip.getByRole('listitem')).toHaveCount(3);
		// By keys: the next step has the focus.
		await expect(page.getByRole('button', { name: 'Done: Put in 2 Lamp 2' })).toBeFocused();
		await page.getByRole('button', { name: 'Done up to step 2' }).click();
		await expect(slip.getByRole('listitem')).toHaveCount(1);
		const path = new URL(page.url()).pathname;
		await open(page, (await empty.restart()) + path);
		await expect(slip.getByRole('listitem')).toHaveText(
			/Put in 30 Lamp 30\s+into\s+page 8, row 1, pocket 2/
		);
		await page.getByRole('button', { name: 'All of it is done' }).click();
		await expect(page.getByText('Every card lies where it should')).toBeVisible();
		// 1 and 2 were mixed up: said on the spread as it lies, and the slip sets them right.
		await page.getByRole('link', { name: 'Spread' }).click();
		await page.getByRole('button', { name: 'As it lies' }).click();
		await pocket(page, /^1, /).dragTo(pocket(page, /^2, /));
		await expect(page.getByRole('link', { name: 'Moves 3' })).toBeVisible();
		expect((await pockets(page)).map((name) => name?.split(',')[0])).toEqual([
			'2',
			'1',
			'3',
			'empty pocket'
		]);
		await page.getByRole('link', { name: 'Moves 3' }).click();
		await expect(slip.getByRole('listitem')).toHaveText([/Hold/, /Move/, /Lay down/]);
		await expect(page.getByText('1 closed ring with one card in the hand')).toBeVisible();
	});

	test('holds several goals, each and each block in its order, with keys alone', async ({
		page,
		empty
	}) => {
		await makeBinder(page, empty.url, '1 2');
		await page.request.post(`${empty.url}/api/goals`, {
			data: {
				release: 'small-lights-1994',
				rules: { preset: 'strict-master' },
				name: 'All there is'
			}
		});
		await open(page, `${empty.url}/binders/1`);
		await page.getByText('Goals it holds').press('Enter');
		await page.getByLabel('Holds as well').selectOption({ label: 'All there is 68 cards' });
		const heading = page.locator('main header');
		await expect(heading.getByRole('link', { name: 'All there is' })).toBeVisible();
		// Cards that both ask for have one pocket each.
		await expect(page.locator('main header')).toContainText('of 68 pockets filled');
		const later = page.getByRole('button', { name: 'All there is earlier' });
		await later.press('Enter');
		await expect(later).toBeDisabled();
		await expect(page.getByText('All there is is now number 1.')).toBeAttached();
		await page.getByLabel('Order of All there is').selectOption('newest');
		await expect(page.getByRole('option', { name: /^Newest first/ })).toHaveCount(1);
		await page.getByRole('button', { name: 'Take All there is out' }).click();
		await expect(heading.getByRole('link', { name: 'All there is' })).toBeHidden();

		const blocks = page.getByText(/^Order of its \d+ blocks?$/);
		await blocks.press('Enter');
		const order = page.getByLabel('Order of Base', { exact: true });
		await order.selectOption('title');
		await expect(pocket(page, /^11, Dog 11/)).toBeVisible();
		await expect(order).toBeVisible();
		await expect(order).toHaveValue('title');
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(order).toHaveValue('');

		// A goal joins from the list of binders.
		await open(page, `${empty.url}/binders`);
		await page.getByText('1 goal may join').press('Enter');
		await page.getByRole('button', { name: 'All there is joins' }).press('Enter');
		await expect(page.locator('main header')).toContainText('of 68 pockets filled');
	});

	test('supplies are reckoned with prices; what cannot be is refused, and nothing is lost', async ({
		page,
		empty
	}) => {
		await makeBinder(page, empty.url, '1 2');
		await page.getByRole('link', { name: 'Supplies' }).click();
		const row = (name: string) => page.getByRole('row', { name: new RegExp(name) });
		await expect(row('Sleeve, 63.5')).toContainText('30');
		await page.getByLabel('Price of a pack: Leaf, 2 × 2').fill('3.x');
		await page.getByLabel('In a pack: Leaf, 2 × 2').fill('3');
		await page.getByRole('button', { name: 'Save prices' }).click();
		await expect(page.getByRole('alert')).toContainText('"3.x" is no amount');
		await page.getByLabel('Price of a pack: Leaf, 2 × 2').fill('3.50');
		await page.getByRole('button', { name: 'Save prices' }).click();
		// Four leaves in packs of three: two packs.
		await expect(row('Leaf, 2 × 2')).toContainText('€7.00');
		await expect(row('3 × 3 pages')).toContainText('4');
		await expect(row('One card a pocket')).toContainText('€10.50');

		await open(page, `${empty.url}/binders/kinds`);
		await page.getByLabel('Name of a page of your own').fill('Wide');
		await page.getByLabel('Rows').fill('0');
		await page.getByRole('button', { name: 'Add page' }).click();
		await expect(page.getByRole('alert')).toContainText('rows');
		await page.getByLabel('Name of a page of your own').fill('Wide');
		await page.getByLabel('Rows').fill('2');
		await page.getByLabel('Columns').fill('5');
		await page.getByRole('button', { name: 'Add page' }).click();
		await expect(page.getByRole('button', { name: 'Take away Wide' })).toBeVisible();
		await open(page, `${empty.url}/binders/1`);
		await page.getByLabel('Pages').selectOption({ label: 'Wide' });
		await expect(page.getByText('3 pages on 2 leaves')).toBeVisible();
	});

	test('it is shown page by page, laid beside another, and printed', async ({ page, demo }) => {
		await open(page, `${demo.url}/binders/1`);
		await page.getByRole('link', { name: 'Show', exact: true }).click();
		await expect(page.getByTestId('show')).toContainText('1 of 34');
		for (const key of ['ArrowRight', 'Space', 'End']) await page.keyboard.press(key);
		await expect(page.getByTestId('show')).toContainText("Tallow Jack's Round 2 of 4");
		// A note of one's own stands before what is known; a card is shown by itself, with what is like it.
		await page.keyboard.press('Home');
		await page.keyboard.press('n');
		await page.keyboard.type('Begin with the lights.');
		await page.keyboard.press('Control+Enter');
		const told = page.getByRole('list', { name: 'What there is to tell' }).getByRole('listitem');
		await expect(told.first()).toHaveText('Begin with the lights.');
		for (let leaf = 0; leaf < 2; leaf++) await page.keyboard.press('ArrowRight');
		await page.getByRole('button', { name: /^27, Nan Gannaway/ }).press('Enter');
		const shown = page.getByRole('dialog', { name: '27 Nan Gannaway' });
		await expect(shown.getByRole('link', { name: /Harbour Lights 1995/ })).toBeVisible();
		await page.keyboard.press('Escape');
		await expect(shown).toBeHidden();
		await page.keyboard.press('f');
		await expect.poll(() => page.evaluate(() => document.fullscreenElement !== null)).toBe(true);
		await page.evaluate(() => document.exitFullscreen());
		await page.keyboard.press('Escape');
		await expect(page).toHaveURL(/\/binders\/1$/);

		await page.getByRole('link', { name: 'Side by side with another' }).click();
		await page
			.getByRole('combobox', { name: 'Second' })
			.selectOption({ label: 'Harbour Lights 1995, as numbered' });
		await page.getByText('Leaf both together').click();
		await page.getByText('Leaf both together').click();
		await page.getByRole('heading', { name: 'Side by side' }).click();
		await page.keyboard.press('ArrowRight');
		await expect(page.getByText('Pages 2 and 3')).toHaveCount(2);

		await open(page, `${demo.url}/binders/1/print`);
		await page.getByLabel('Paper').selectOption('letter');
		for (const name of [
			'Page index',
			'Insert sheets',
			'Spine label',
			'Shopping list',
			'Move slip'
		]) {
			const coming = page.waitForEvent('download');
			await page.getByRole('link', { name: `${name} as PDF` }).click();
			expect((await coming).suggestedFilename()).toMatch(/\.pdf$/);
		}
	});

	test('the photos of the next spread are there before one leafs to it', async ({
		page,
		empty
	}) => {
		await makeBinder(page, empty.url, '1-10');
		const found = await page.request.get(`${empty.url}/releases/small-lights-1994/cards/base-5`);
		expect(found.ok()).toBe(true);
		const photo = await sharp({
			create: { width: 250, height: 350, channels: 3, background: '#267' }
		})
			.jpeg()
			.toBuffer();
		for (let copy = 1; copy <= 10; copy++) {
			const added = await page.request.post(`${empty.url}/api/copies/${copy}/photos`, {
				headers: { 'content-type': 'image/jpeg', origin: empty.url },
				data: photo
			});
			expect(added.status()).toBeLessThan(300);
		}
		const asked: string[] = [];
		page.on('request', (request) => {
			if (request.url().includes('/api/media/')) asked.push(request.url());
		});
		await open(page, `${empty.url}/binders/1`);
		await expect(page.getByTestId('spread').locator('img')).toHaveCount(4);
		// A photo of the back is none of the front, and is shown beside it.
		await open(page, `${empty.url}/releases/small-lights-1994/cards/base-1`);
		await page.getByRole('button', { name: 'The photo shows the front: turn it over' }).click();
		await expect(
			page.getByRole('button', { name: 'The photo shows the back: turn it over' })
		).toBeVisible();
		await open(page, `${empty.url}/binders/1/show`);
		await page.getByRole('button', { name: /^1, Lamp 1/ }).click();
		await expect(page.getByRole('dialog').getByAltText('Back')).toBeVisible();
		await expect(page.getByRole('dialog').getByAltText('Front')).toHaveCount(0);
		await open(page, `${empty.url}/binders/1`);
		await expect(page.getByTestId('spread').locator('img')).toHaveCount(3);
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByTestId('spread').locator('img')).toHaveCount(4);
		const before = asked.length;
		expect(before).toBeGreaterThan(0);
		await page.keyboard.press('ArrowRight');
		await expect(page.getByTestId('spread').locator('img')).toHaveCount(6);
		const isReady = await page
			.getByTestId('spread')
			.locator('img')
			.evaluateAll((all) =>
				all.every((picture) => picture instanceof HTMLImageElement && picture.complete)
			);
		expect(isReady).toBe(true);
	});
});
