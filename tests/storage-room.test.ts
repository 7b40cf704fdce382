import { expect, open, test } from './program.ts';

const CARDS = ['number,title', ...Array.from({ length: 45 }, (_, i) => `${i + 1},Moth ${i + 1}`)];
const csv = { 'content-type': 'text/csv' };

test('a class keeps its cards apart, a tiny set gets a small box, supplies run down and warn', async ({
	page,
	request,
	empty
}) => {
	const { url } = empty;
	const data = CARDS.join('\n');
	const made = await request.post(`${url}/api/releases?name=Moths&maker=M&year=1970`, {
		data,
		headers: csv
	});
	expect(made.status()).toBeLessThan(300);
	const log = (fields: object) =>
		request.post(`${url}/api/copies`, { data: { version: 'moths-1970/base-1', fields } });
	await request.post(`${url}/api/releases/moths-1970/log`, {
		data: { line: '1-45', numbering: null, parallel: null }
	});
	expect((await log({ attributes: ['night'] })).status()).toBe(201);
	expect((await log({ valueMinor: 2500, currency: 'EUR' })).status()).toBe(201);

	await open(page, `${url}/boxes/supplies`);
	await page.getByLabel('On hand: Long box of 5,000, unmade').fill('2');
	await page.getByLabel('Warn below: Long box of 5,000, unmade').fill('3');
	await page.getByLabel('On hand: Top loader, 35 pt', { exact: true }).fill('many');
	await page.getByRole('button', { name: 'Save counts' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('"many" is no count');
	await page.getByLabel('On hand: Top loader, 35 pt', { exact: true }).fill('4');
	await page.getByRole('button', { name: 'Save counts' }).press('Enter');
	await expect(page.getByRole('list', { name: 'Running low' })).toContainText('Only 2 left');
	await page.getByLabel('How many').fill('9');
	await page.getByRole('button', { name: 'Put aside' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('only 4 of them are on hand');
	await page.getByLabel('How many').fill('1');
	await page.getByRole('button', { name: 'Put aside' }).press('Enter');
	await expect(page.getByLabel('On hand: Top loader, 35 pt', { exact: true })).toHaveValue('3');

	await open(page, `${url}/boxes/plan`);
	const boxes = page.getByRole('list', { name: 'Planned boxes' });
	await expect(boxes.getByRole('button')).toHaveCount(2);
	await expect(boxes.getByRole('button').last()).toHaveAccessibleName(/^Box 2, Case .*, best,/);
	await page.getByText('What is kept apart').press('Enter');
	const lines = page.getByLabel('Storage classes');
	await lines.fill(`At night: attribute night and variant\n${await lines.inputValue()}`);
	await page.getByRole('button', { name: 'Keep these lines' }).press('Enter');
	await lines.fill('At night: attribute night and not variant\n');
	await page.getByRole('button', { name: 'Keep these lines' }).press('Enter');
	await expect(boxes.getByRole('button')).toHaveCount(3);
	await page.getByLabel('Tiny sets').selectOption('yes');
	await expect(page.getByRole('button', { name: 'Moths 1970 (Small box of 50)' })).toBeVisible();
	await expect(boxes.getByRole('button', { name: /At night/ })).toBeVisible();
	await page.getByRole('button', { name: 'Stand it like this' }).press('Enter');
	await expect(page.getByText('47 cards in 3 new boxes')).toBeVisible();

	await open(page, `${url}/boxes`);
	await page
		.getByRole('link', { name: /Long box 1/ })
		.first()
		.click();
	await page.getByRole('link', { name: 'Small box: Moths 1970' }).click();
	await expect(page.getByText('in Long box 1, row 1')).toBeVisible();
	await page.getByRole('button', { name: 'Change', exact: true }).press('Enter');
	await page.getByLabel('or in a row of a larger box').selectOption('Long box 1, row 4');
	await page.getByRole('button', { name: 'Save', exact: true }).press('Enter');
	await expect(page.getByText('in Long box 1, row 4')).toBeVisible();
	await open(page, url);
	await expect(page.getByRole('region', { name: 'Running low' })).toContainText(
		'Long box of 5,000, unmade, 1 left'
	);
});

test('what is out keeps its place, reminds and comes back; a holder of one’s own is snug', async ({
	page,
	ownDemo
}) => {
	const { url } = ownDemo;
	await open(page, url);
	await page.getByRole('link', { name: '19 Low Dunlin' }).click();
	const out = page.getByTestId('outing');
	// Three from the basement, three at a house.
	await expect(out).toHaveCount(6);
	await expect(out.first()).toContainText('overdue');
	await expect(out.first()).toContainText('keeps its place: Best 1, row 1');
	await out.first().getByRole('button').press('Enter');
	await expect(out).toHaveCount(5);
	await expect(page.getByRole('link', { name: '19 Low Dunlin' })).toBeVisible();

	// From the page of a card; not twice.
	await open(page, `${url}/releases/tidewater-strips-1926/cards/base-1`);
	await page.getByRole('link', { name: 'Lend or send' }).click();
	await page.getByRole('button', { name: '1 card out' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('nobody is named');
	await page.getByLabel('To whom').fill('Bram Teal');
	await page.getByLabel('Due back on').fill('1996-10-08');
	await page.getByRole('button', { name: '1 card out' }).press('Enter');
	await expect(page.getByText('1 card out, with its place kept')).toBeVisible();
	await open(page, url);
	await expect(page.getByRole('region', { name: 'Due back' })).toContainText('Bram Teal');

	await open(page, `${url}/boxes/holders`);
	const kinds = page.getByRole('region', { name: 'Kinds of holders' });
	await expect(kinds).toContainText('Strip loader');
	await kinds.getByLabel('Name of a kind of your own').fill('Strip loader');
	await kinds.getByRole('button', { name: 'Add kind' }).press('Enter');
	await expect(kinds.getByRole('alert')).toContainText('is there already');
	await kinds.getByLabel('Name of a kind of your own').fill('Postcard loader');
	await kinds.getByLabel('Inside, wide mm').fill('110');
	await kinds.getByRole('button', { name: 'Add kind' }).press('Enter');
	await expect(kinds).toContainText('110 × 66 mm inside, to 35 pt with its sleeve');
	await kinds.getByRole('button', { name: 'Take away Postcard loader' }).press('Enter');
	await expect(kinds).not.toContainText('Postcard loader');
});
