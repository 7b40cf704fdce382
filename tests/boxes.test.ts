import type { Page } from '@playwright/test';
import { CHECKLIST, expect, open, test } from './program.ts';

/** An empty collection with one release, some of it logged, two shelves, and everything stood as planned. */
async function standBoxes(page: Page, url: string) {
	const imported = await page.request.post(`${url}/api/releases?name=Lamps&maker=M&year=1994`, {
		data: CHECKLIST,
		headers: { 'content-type': 'text/csv' }
	});
	expect(imported.status()).toBeLessThan(300);
	await log(page, url, '1-9 12 20x2');
	await open(page, `${url}/boxes/shelves`);
	for (const level of ['1', '3']) {
		await page.getByLabel('Level, 1 is the lowest').fill(level);
		await page.getByRole('button', { name: 'Add shelf' }).click();
		await expect(page.getByLabel('Level', { exact: true }).first()).toHaveValue(level);
	}
	await open(page, `${url}/boxes/plan`);
	await page.getByRole('button', { name: 'Stand it like this' }).click();
	await expect(page.getByText('12 cards in 1 new box')).toBeVisible();
}

async function log(page: Page, url: string, line: string) {
	const logged = await page.request.post(`${url}/api/releases/lamps-1994/log`, {
		data: { line, numbering: null, parallel: null }
	});
	expect(logged.status()).toBe(200);
}

test('from nothing: planned, stood on a shelf, put away by keys on a phone, undone', async ({
	page,
	empty
}) => {
	await standBoxes(page, empty.url);
	await open(page, `${empty.url}/boxes`);
	// A light box goes on the upper shelf.
	await expect(page.getByRole('list', { name: 'Shelf 3' }).getByRole('link')).toHaveAccessibleName(
		'Long box 1, 12 cards, 0 % full'
	);
	await log(page, empty.url, '10 13 25');
	await page.setViewportSize({ width: 390, height: 844 });
	await open(page, `${empty.url}/boxes/slips`);
	await page.getByRole('button', { name: 'Everything without a place' }).click();
	const now = page.getByRole('region', { name: 'Now' });
	await expect(now).toContainText('10 Lamp 10');
	await expect(now).toContainText('Long box 1, row 1, Lamps 1994: after 9, before 12');
	await page.keyboard.press('k');
	await expect(now).toContainText('13 Dog 13');
	await expect(now).toContainText('after 12, before 20');
	await page.keyboard.press('d');
	await expect(now).toContainText('25 Lamp 25');
	const url = new URL(page.url());
	// Resumed on the next day: what was done is done, what was skipped comes last.
	const again = await empty.restart();
	await open(page, `${again}${url.pathname}`);
	await page.goto(`${again}${url.pathname}?whole`);
	await expect(page.getByRole('row', { name: /25 Lamp 25/ })).toContainText('after 20');
	await open(page, `${again}${url.pathname}`);
	await page.getByRole('button', { name: 'Put away' }).click();
	await expect(now).toContainText('10 Lamp 10');
	await expect(now).toContainText('skipped before');
	await page.keyboard.press('n');
	await expect(page.getByText('All done.')).toBeVisible();
	await expect(page.getByText('1 not there')).toBeVisible();
	await page.getByRole('link', { name: 'Answer what is not there' }).click();
	await expect(page.getByRole('list', { name: 'Questions' })).toContainText(
		'in the pile to put away'
	);
	await page.keyboard.press('g');
	await expect(page.getByText('Nothing is open')).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('list', { name: 'Questions' }).getByRole('listitem')).toHaveCount(1);
	expect(empty.output()).not.toContain('Error');
});

test('a box is gone through; differences are questions with one key each', async ({
	page,
	empty
}) => {
	await standBoxes(page, empty.url);
	await open(page, `${empty.url}/boxes/1`);
	await page.getByRole('button', { name: 'Lamps 1994, 11 cards' }).click();
	await expect(page.getByRole('region', { name: 'Lamps 1994' })).toContainText('1–9, 12, 20');
	await page.getByRole('button', { name: 'Take stock' }).click();
	const line = page.getByLabel('What stands behind Lamps 1994');
	await line.fill('1-8 zebra');
	await line.press('Enter');
	await expect(page.getByRole('alert')).toContainText('zebra');
	await line.fill('1-8 12 20 30');
	await line.press('Enter');
	await expect(page.getByRole('status').last()).toContainText(
		'1 card not there, 1 card not recorded'
	);
	await page.getByRole('link', { name: 'answer the questions' }).click();
	const questions = page.getByRole('list', { name: 'Questions' });
	await expect(questions.getByRole('listitem')).toHaveCount(2);
	await page.keyboard.press('o');
	await expect(questions.getByRole('listitem')).toHaveCount(1);
	await page.keyboard.press('l');
	await expect(page.getByText('Nothing is open')).toBeVisible();
	await open(page, `${empty.url}/boxes/1`);
	await page.getByRole('button', { name: 'Lamps 1994, 11 cards' }).click();
	await expect(page.getByRole('region', { name: 'Lamps 1994' })).toContainText('1–8, 12, 20, 30');
	// A pull list takes them out again.
	await open(page, `${empty.url}/boxes/slips`);
	await page.getByLabel('Numbers wanted').fill('30 29');
	await page.getByRole('button', { name: 'Make pull list' }).first().click();
	await expect(
		page.getByText('1 card of the line is not among those that stand in boxes')
	).toBeVisible();
	await page.getByRole('button', { name: 'Got it' }).click();
	await expect(page.getByText('All done.')).toBeVisible();
});

test('the demo’s basement: shelves in scale, a plan for what is new, labels as PDF', async ({
	page,
	demo
}) => {
	await open(page, `${demo.url}/boxes`);
	await expect(page.getByText(/^59,\d\d\d cards in \d\d boxes/)).toBeVisible();
	const long = page.getByRole('link', { name: /^Long box 1, [\d,]+ cards, \d+ % full$/ });
	const almanac = page.getByRole('link', { name: /^Saltmarsh Almanac 1976, / });
	const [longBox, ownBox] = [await long.boundingBox(), await almanac.boundingBox()];
	// 465 mm beside 237: a long box is about twice as long as a box of 500.
	expect((longBox?.width ?? 0) / (ownBox?.width ?? 1)).toBeGreaterThan(1.8);
	await open(page, `${demo.url}/boxes/plan?fill=10&have=10`);
	const row = page.getByRole('row', { name: /^Harbour Lights 1995 / });
	await expect(row).toContainText('Box of 500');
	await expect(row).toContainText('of the smallest box');
	await page.getByLabel('An own box fills at least, %').fill('90');
	await page.keyboard.press('Tab');
	await expect(row).toContainText('a shared box');
	await open(page, `${demo.url}/boxes/labels`);
	await page.getByRole('button', { name: 'Start at label 4' }).click();
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: /labels as PDF$/ }).click();
	expect((await download).suggestedFilename()).toBe('labels-boxes.pdf');
	const bad = await page.request.get(`${demo.url}/api/boxes/labels.pdf?grid=x&start=0&what=y`);
	expect(bad.status()).toBe(400);
	expect(((await bad.json()) as { errors: unknown[] }).errors).toHaveLength(3);
});

test('a pile is sorted by a slip with a timer; timed passes become one’s own times', async ({
	page,
	ownDemo
}) => {
	await open(page, `${ownDemo.url}/boxes/sorting?release=regatta-almanac-1948`);
	await page.getByLabel('Cards in the pile').fill('4');
	await expect(page.getByRole('status').last()).toContainText('Insert one by one');
	await page.getByLabel('Cards in the pile').fill('2000');
	await expect(page.getByRole('status').last()).toContainText('Deal in passes');
	await page.getByLabel('Room for piles').fill('0');
	await expect(page.getByRole('alert')).toContainText('whole numbers from 1');
	await page.getByLabel('Room for piles').fill('12');
	await page.getByRole('button', { name: 'Make a slip: Deal in passes' }).click();
	const slip = page.getByRole('list', { name: 'Sorting slip' });
	await expect(
		slip.getByRole('list', { name: 'Piles of step 2' }).getByRole('listitem').first()
	).toContainText('P1–P');
	await page.getByLabel('Which pile takes').fill('P1');
	await expect(slip).toContainText('pile 1');
	await page.getByRole('button', { name: 'Start', exact: true }).click();
	const time = page.getByLabel('Time of step 1');
	await expect(time).not.toHaveText('0:00');
	await page.getByRole('button', { name: 'Pause' }).click();
	await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible();
	const paused = (await time.textContent()) ?? '';
	await page.reload({ waitUntil: 'networkidle' });
	await expect(time).toHaveText(paused);
	await page.getByRole('button', { name: 'Done', exact: true }).click();
	await expect(page.getByText(/Your own times, from 1 timed pass/)).toBeVisible();
	await page.getByRole('button', { name: 'Forget them' }).click();
	await expect(page.getByText(/^Usual times/)).toBeVisible();
});

test('holders: what should move up or down, the gauge, and an own box kind', async ({
	page,
	ownDemo
}) => {
	await open(page, `${ownDemo.url}/boxes/holders`);
	const list = page.getByRole('region', { name: 'Should move up or down a tier' });
	await expect(list.getByRole('row', { name: /57 Windward Chart/ })).toContainText(
		'▲ up magnetic case, 35 pt'
	);
	await page.getByLabel(/^Choose 57 Windward Chart/).check();
	await page.getByRole('button', { name: 'The chosen ones are moved' }).click();
	await expect(list.getByRole('row', { name: /57 Windward Chart/ })).toHaveCount(0);
	// A higher border for magnetic cases: one is enough where it is.
	await page.getByLabel('From a value of, tier 4').fill('100,00');
	await page.getByRole('button', { name: 'Save tiers' }).click();
	await expect(list.getByRole('row', { name: /57 Windward Chart/ })).toContainText(
		'▼ down top loader, 35 pt'
	);
	await page.getByLabel('From a value of, tier 4').fill('much');
	await page.getByRole('button', { name: 'Save tiers' }).click();
	await expect(page.getByRole('alert')).toContainText('"much" is no amount');
	// Ten cards of 8.89 mm are 35 pt each (1 pt = 0.001 in): with a sleeve they need the next size.
	await page.getByLabel('Height of the stack').fill('8.89');
	await page.getByLabel('Equal cards in it').fill('10');
	await expect(page.getByRole('status').last()).toContainText(
		'35.0 pt a card (0.89 mm): Top loader, 55 pt'
	);
	await open(page, `${ownDemo.url}/boxes/shelves`);
	await page.getByLabel('Name of a kind of your own').fill('Shoe box');
	await page.getByLabel('Inner length of a row, mm').fill('none');
	await page.getByRole('button', { name: 'Add kind' }).click();
	await expect(page.getByRole('alert')).toContainText('rowMm');
	await page.getByLabel('Name of a kind of your own').fill('Shoe box');
	await page.getByLabel('Inner length of a row, mm').fill('300');
	await page.getByRole('button', { name: 'Add kind' }).click();
	await expect(page.getByRole('row', { name: /^Shoe box 1 300/ })).toBeVisible();
});
