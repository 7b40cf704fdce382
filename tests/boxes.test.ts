import { expect, test } from './program.ts';

test('what is in no binder is planned into boxes, with the reason of each choice', async ({
	page,
	demo
}) => {
	await page.goto(`${demo.url}/boxes`, { waitUntil: 'networkidle' });
	const shelf = page.getByRole('list', { name: 'Shelf' });
	await expect(shelf.getByRole('button')).toHaveAccessibleName(
		/^Box 1, Long box of 5,000, \d+ % full$/
	);
	const row = page.getByRole('row', { name: /^Harbour Lights 1994 / });
	await expect(row).toContainText('a shared long box');
	// With a low threshold the largest set has a box of its own: the choice says why.
	await page.getByLabel('An own box fills at least, %').fill('10');
	await page.getByLabel('and the set is there to, %').fill('10');
	await page.keyboard.press('Tab');
	await expect(page).toHaveURL(/fill=10&have=10/);
	await expect(row).toContainText('Box of 500');
	await expect(row).toContainText('of the smallest box');
	await shelf.getByRole('button').last().click();
	await expect(page.getByRole('heading', { name: /^Box \d+: Long box/ })).toBeVisible();
	await expect(page.getByText(/^row 1: \d+ of 457 mm/)).toBeVisible();
});

test('a pile is sorted the quickest way, its piles named in the set’s own numbers', async ({
	page,
	demo
}) => {
	await page.goto(`${demo.url}/boxes/sorting?release=regatta-almanac-1948`, {
		waitUntil: 'networkidle'
	});
	await page.getByLabel('Cards in the pile').fill('4');
	await expect(page.getByRole('status').last()).toContainText('Insert one by one');
	await page.getByLabel('Cards in the pile').fill('2000');
	await expect(page.getByRole('status').last()).toContainText('Deal in passes');
	await expect(
		page.getByRole('region', { name: 'Piles' }).getByRole('listitem').first()
	).toContainText('P1–P10');
	await page.getByLabel('Room for piles').fill('0');
	await expect(page.getByRole('alert')).toContainText('whole numbers from 1');
});
