import { readFileSync } from 'node:fs';
import { expect, open, test } from './program.ts';

test('a listing goes all the way: offered, sold with a pull slip, sent and gone, with its profit; undo brings the card back', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/selling`);
	// Those that wait for a hand come first.
	await expect(page.getByRole('heading', { level: 2 }).first()).toContainText('Paid: send it');
	const entry = (name: string) => page.getByTestId('listing').filter({ hasText: name });
	await expect(entry('100 Gannet Net')).toContainText('loss €1.90');

	await page.getByLabel('Find copies').fill('Quern Skerry');
	await page.keyboard.press('Enter');
	await page.getByLabel('Find copies').fill('Drowned Bell');
	await page.keyboard.press('Enter');
	const add = page.getByRole('button', { name: /^Put .* on the list$/ });
	await expect(add.first()).toBeVisible();
	const name = (await add.first().getAttribute('aria-label'))?.slice(4, -12) ?? '';
	await add.first().press('Enter');
	await page.getByLabel('Asked, EUR').fill('4 dollars');
	await page.getByRole('button', { name: 'Make it from 1 copy' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('is no amount');
	await page.getByLabel('Asked, EUR').fill('4');
	await page.getByLabel('Where').first().selectOption('market');
	await page.getByLabel('Title').last().fill('A card of the test');
	await page.getByRole('button', { name: 'Make it from 1 copy' }).press('Enter');
	await expect(page.getByText('It is ready to be listed.')).toBeVisible();

	const mine = entry('A card of the test');
	await mine.getByRole('button', { name: /^It is listed/ }).press('Enter');
	await expect(mine).toContainText('listed 6 Oct 1996');
	await mine.getByLabel('Buyer').fill('Wren');
	await mine.getByLabel('Sold for').fill('3.50');
	await mine.getByRole('button', { name: /^It is sold/ }).press('Enter');
	await expect(mine).toContainText('€3.50 of €4.00 asked');
	const slip = page.waitForEvent('download');
	await mine.getByRole('link', { name: 'Packing slip' }).press('Enter');
	const file = await (await slip).path();
	expect(readFileSync(file).subarray(0, 5).toString()).toBe('%PDF-');
	await mine.getByLabel('Postage paid').fill('1');
	await mine.getByRole('button', { name: /^It is sent/ }).press('Enter');
	// 3.50 less 10 % and 0.30 of fee, and 1.00 of postage.
	await expect(mine.getByTestId('profit')).toContainText('€1.85 after fee, postage and supplies');
	await mine.getByText('Cards and text').click();
	await expect(mine.getByRole('link', { name })).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).press('Enter');
	await expect(mine.getByTestId('profit')).toHaveCount(0);
	await mine.getByRole('button', { name: /^Not sold after all/ }).press('Enter');
	await mine.getByRole('button', { name: /^Remove/ }).press('Enter');
	await expect(mine).toHaveCount(0);
});

test('lots and singles by rule become listings, which leave as CSV and with photos', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/selling/lots`);
	const lots = page.getByTestId('lot');
	await expect(lots.first()).toContainText('K8 Petra Ruddle');
	await expect(lots.first()).toContainText('a single, auction');
	const commons = lots.filter({ hasText: 'Harbour Lights 1994, lot of' });
	await expect(commons).toContainText('assumed');
	await page.getByText('By which rules').click();
	await page.getByLabel('By value').fill('from 0: singles, nowhere');
	await page.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('there is no channel "nowhere"');
	await page.getByLabel('By value').fill('from 0: lots of 10, fair\nfrom 20: singles, market');
	await page.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
	await expect(page.getByText('Kept.')).toBeVisible();
	await expect(commons).toHaveCount(2);
	await commons.first().getByRole('checkbox').press('Space');
	await lots.first().getByRole('checkbox').press('Space');
	await page.getByRole('button', { name: /^Make 2 listings/ }).press('Enter');
	await expect(page.getByText('2 listings ready.')).toBeVisible();
	await expect(commons).toHaveCount(1);

	const csv = await (await page.request.get(`${url}/api/selling/listings.csv`)).text();
	expect(csv).toContain('K8 Petra Ruddle');
	expect(csv).toMatch(/photos\/\d+-1\.webp/);
	const zip = await (await page.request.get(`${url}/api/selling/listings.zip`)).body();
	expect(zip.subarray(0, 2).toString()).toBe('PK');
});

test('building to sell: what it takes is written in lines, worked out by the number of sets, and becomes a goal', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/selling/building`);
	const verdict = page.getByTestId('build-verdict');
	await expect(verdict).toContainText('It pays');
	await expect(page.getByTestId('outcome')).toHaveCount(12);
	await page.getByLabel('Parts of a set').fill('key 1 Lamp\nRest: 5 for 0 sets');
	await page.getByRole('button', { name: 'Keep and work it out' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('feeds no set');
	await page.getByLabel('Parts of a set').fill('key 1 Lamp\nRest: 5 for 3 sets');
	await page.getByRole('button', { name: 'Keep and work it out' }).press('Enter');
	await expect(verdict).toContainText('Price the key cards first');
	await page.getByLabel('Parts of a set').fill('key 1 Lamp worth 8: 6\nRest: 5 for 3 sets');
	await page.getByRole('button', { name: 'Keep and work it out' }).press('Enter');
	await expect(verdict).toContainText('It pays');
	await page.getByLabel('Look closely at').fill('3');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'To buy for 3 sets' })).toBeVisible();
	await page.getByRole('button', { name: 'Make 3 sets a goal' }).press('Enter');
	await expect(page.getByRole('heading', { name: 'To sell: 3 sets' })).toBeVisible();
});

test('● parcels: three boxes of 550 in the medium one, drawn to follow; a number that is none is told', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/selling/parcels`);
	await page.getByLabel('Row 1: how many boxes').fill('3');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('parcel')).toHaveCount(1);
	await expect(page.getByTestId('parcel').locator('li')).toHaveCount(3);
	await expect(page.getByTestId('parcel-total')).toContainText('no other way is cheaper');
	await page.getByLabel('Row 2: how many boxes').fill('many');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('row 2: "many" is no number of boxes');
});
