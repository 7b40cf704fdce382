import { expect, open, test } from './program.ts';

test('from unfinished goals over prices and offers to a plan, with keys', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/buying`);
	const lines = page.getByTestId('finish-line');
	await expect(lines).toHaveCount(6);
	const keeper = lines.filter({ hasText: 'Every keeper' });
	await keeper.getByRole('button', { name: 'Finish' }).press('Enter');
	await expect(keeper.getByRole('button', { name: 'Finish' })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await expect(page.getByRole('link', { name: 'Wants of 4 goals' })).toBeVisible();
	await page.getByLabel('Ranked by').selectOption('Nearest to done');
	await expect(page.getByText('The largest part of its cards')).toBeVisible();

	await open(page, `${url}/buying/prices?goal=1`);
	await page.keyboard.press('/');
	const entry = page.getByLabel('Prices as you hear them');
	await expect(entry).toBeFocused();
	await page.keyboard.type('208 6.50; 210 0.65; 999 3');
	await expect(page.getByTestId('price-problems')).toContainText('there is no card 999');
	await page.keyboard.press('Enter');
	// The word that is not understood is selected: typed over, the line is kept.
	await page.keyboard.type('1');
	await expect(page.getByTestId('price-flags')).toContainText('A slip of the decimal mark?');
	const before = await page.getByTestId('sheet-total').textContent();
	await page.keyboard.press('Enter');
	await expect(page.locator('#price-summary')).toContainText('Kept:');
	await expect(page.getByTestId('sheet-total')).not.toHaveText(before ?? '');
	await expect(page.getByTestId('sheet-line').filter({ hasText: /^\s*210/ })).toContainText('slip');
	await page.getByRole('button', { name: 'Take away the price of 210' }).press('Enter');
	await expect(page.locator('#price-summary')).toContainText('Forgotten');

	await open(page, `${url}/buying/wants`);
	const wanted = page.getByTestId('want').filter({ hasText: 'Tolling Bell' }).first();
	await wanted.getByRole('button', { name: /^Favourite/ }).press('Enter');
	await expect(page.getByTestId('want').first()).toContainText('Tolling Bell');
	await page
		.getByTestId('want')
		.first()
		.getByLabel(/^At most for/)
		.fill('0.15');
	await page.keyboard.press('Tab');
	await open(page, `${url}/buying/wants`);
	await expect(
		page
			.getByTestId('want')
			.first()
			.getByLabel(/^At most for/)
	).toHaveValue('0.15');
});

test('offers typed at a seller’s list change the plan, and a seller out of it too', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/buying/plan`);
	const total = page.getByTestId('plan-total');
	await expect(page.getByTestId('rival')).toHaveCount(2, { timeout: 40_000 });
	const before = await total.textContent();
	await expect(page.getByTestId('plan-sure')).toContainText(/No plan/);
	await open(page, `${url}/buying/offers`);
	await page.getByText('Another seller').press('Enter');
	const form = page.locator('form[action="?/seller"]').last();
	await form.getByLabel('Name').fill('Wren & Daughters');
	await form.getByLabel(/^Postage straight/).fill('1–20: 4; 25+: 6');
	await form.getByRole('button', { name: 'Add the seller' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('nothing is said of 21 to 24 cards');
	await form.getByLabel('Name').fill('Wren & Daughters');
	await form.getByLabel(/^Postage straight/).fill('0.50');
	await form.getByRole('button', { name: 'Add the seller' }).press('Enter');
	const entry = page.getByLabel('What Wren & Daughters offers');
	await entry.fill('K1 1; K2 1; K4 1; K5 1; 211 2; all commons 3 (shipped)');
	await entry.press('Enter');
	await expect(page.getByTestId('offer')).toHaveCount(5);
	await expect(page.getByTestId('bundle')).toContainText('shipped');
	await open(page, `${url}/buying/plan`);
	await expect(page.getByTestId('rival')).toHaveCount(2, { timeout: 40_000 });
	await expect(total).not.toHaveText(before ?? '');
	await expect(
		page.getByTestId('plan-order').filter({ hasText: 'Wren & Daughters' }).first()
	).toBeVisible();
	await page.getByText('Sellers in or out').click();
	await page.getByLabel('Wren & Daughters in the plan').selectOption('out');
	await expect(page.getByTestId('plan-progress')).toBeEmpty({ timeout: 40_000 });
	await expect(page.getByTestId('plan-order').filter({ hasText: 'Wren & Daughters' })).toHaveCount(
		0
	);
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto(`${url}/buying/fair`);
	await expect(page.getByTestId('fair-want').first()).toBeVisible({ timeout: 60_000 });
	await page.getByPlaceholder('number, name or set').fill('Tolling');
	await expect(page.getByTestId('fair-want').filter({ hasNotText: 'Tolling' })).toHaveCount(0);
	await expect(page.getByTestId('fair-want').first()).toContainText(/€\d/);
});
