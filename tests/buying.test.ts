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
	const kept = page.waitForResponse(/\/api\/wants$/);
	await page.keyboard.press('Tab');
	await kept;
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
	const [first, second] = [0, 1].map((n) => page.getByTestId('fair-want').nth(n));
	await expect(first ?? page.getByRole('main')).toContainText(/€\d/);
	// A lot of two: worth no less than either of them.
	const lot = page.getByTestId('fair-lot');
	await first?.getByRole('checkbox').press('Space');
	await expect(lot).toContainText(/1 card together, at most\s*€\d/, { timeout: 60_000 });
	await second?.getByRole('checkbox').check();
	await expect(lot).toContainText(/2 cards together, at most\s*€\d/, { timeout: 60_000 });
	await lot.getByRole('button', { name: 'Clear' }).press('Enter');
	await expect(lot).toHaveCount(0);
});

test('what is ordered is on its way, at the hub, checked in with a claim, and settled, with keys', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/buying/orders`);
	await expect(page.getByTestId('committed')).toContainText('under way');
	await expect(page.getByTestId('hub')).toContainText(/Wait \d+ days: that saves/);
	const order = page.getByTestId('order').filter({ hasText: 'Kelp & Sons' });
	await order.getByRole('button', { name: 'Ask for shipment' }).press('Enter');
	await expect(
		order.getByRole('listitem').filter({ hasText: 'shipment asked for' })
	).toHaveAttribute('aria-current', 'step');
	await order.getByRole('button', { name: 'It is shipped' }).press('Enter');
	// What sending it cost in fact.
	await expect(order.getByLabel('postage')).toHaveValue('1.50');
	await order.getByLabel('postage').fill('-2');
	await page.keyboard.press('Tab');
	await expect(order.getByRole('alert')).toContainText('-2');
	await order.getByLabel('postage').fill('2.00');
	await page.keyboard.press('Tab');
	await expect(order).toContainText('of it €6.50 postage');
	await order.getByRole('button', { name: 'Check in' }).press('Enter');
	// The first line has the focus: none of it came.
	await page.keyboard.press('0');
	await expect(order.getByText('1 short, ask back')).toBeVisible();
	await order.getByLabel('99 Bell: condition').selectOption('good');
	await order.getByPlaceholder('0.00').fill('0.50');
	await order.getByRole('button', { name: /Check in 7 cards/ }).press('Enter');
	await expect(page.getByTestId('order').filter({ hasText: 'Kelp & Sons' })).toHaveCount(0);
	const here = page.getByTestId('arrived').filter({ hasText: 'Kelp & Sons' });
	await here.getByLabel('99 Bell: given back').fill('0.30');
	await here.getByRole('button', { name: 'Settle' }).last().press('Enter');
	await expect(here.getByLabel('99 Bell: given back')).toHaveCount(0);
	await page.keyboard.press('Control+z');
	await expect(here.getByLabel('99 Bell: given back')).toBeVisible();

	await page.getByLabel('211 Amber Shoal Lightship: won for').fill('12');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('order').filter({ hasText: 'Lantern Hall sale 12' })).toBeVisible();
	await page.getByText('Record something taken along').press('Enter');
	const form = page.locator('form').filter({ hasText: 'For, all together' });
	await form.getByLabel('Release').selectOption({ label: 'Harbour Lights 1994' });
	await form.getByLabel('Cards', { exact: true }).fill('2 999');
	await form.getByLabel('For, all together').fill('3');
	await form.getByLabel('From whom').fill('Pier market');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('999');
	await form.getByLabel('Cards', { exact: true }).fill('2 4 6');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('arrived').filter({ hasText: 'Pier market' })).toContainText(
		'€1.00 a card'
	);
});

test('a trade is fair, is recorded and undone; a list is taken in, and the practice market moves an order', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/buying/trades`);
	await page.getByLabel('With').selectOption('Mara Quill');
	const trade = page.getByTestId('trade');
	await expect(trade).toContainText(/2 cards for \d/);
	await page.getByLabel('A card without a price counts').fill('0.20');
	await page.keyboard.press('Enter');
	await expect(trade).toContainText(/6 cards for \d/);
	await page.getByLabel('20 Bram Sandys in the trade').selectOption('without');
	await expect(trade).toContainText(/5 cards for \d/);
	await trade.getByRole('button', { name: 'It is traded' }).press('Enter');
	await expect(page.getByText(/Recorded: 5 given/)).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(trade).toContainText(/5 cards for \d/);

	await open(page, `${url}/buying/offers`);
	await expect(page.getByTestId('next-seller').first()).toContainText('not looked for');
	await page.getByText('The practice market').press('Enter');
	await page.getByRole('button', { name: 'Ask what it offers' }).press('Enter');
	await expect(page.getByText(/4 stalls, \d+ offers/)).toBeVisible();
	await page.getByRole('link', { name: /^Low Tide Stall/ }).press('Enter');
	await page.getByRole('link', { name: 'Take in a list as XLSX or CSV' }).press('Enter');
	await page
		.getByLabel('Or paste it')
		.fill('No.,Cond,Each,Lots\nK1,NM,20,\n999,NM,1,\n2,NM,0.40,5 for 1.50');
	await page.getByLabel('Where a row names no set').selectOption('Harbour Lights 1994');
	await page.getByRole('button', { name: 'Preview' }).press('Enter');
	await expect(page.getByTestId('offers-found')).toHaveText('2');
	await page.getByRole('button', { name: /Take in 2 offers, keep 1/ }).press('Enter');
	await expect(page.getByTestId('waiting-row')).toContainText('has no 999');
	await page.getByLabel('Release of line 3').selectOption('Harbour Lights 1994');
	await page.getByLabel('Card of line 3').fill('4');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('waiting-row')).toHaveCount(0);

	await open(page, `${url}/buying/plan`);
	await page.getByText('Sellers in or out').click();
	await page.getByLabel('Two Oars in the plan').selectOption('with');
	await expect(page.getByTestId('leave-out')).toBeVisible({ timeout: 40_000 });
	const order = page.getByLabel('Order at Two Oars');
	await order.getByRole('button', { name: 'It is ordered' }).press('Enter');
	await expect(order.getByText('✓ ordered')).toBeVisible();
	await open(page, `${url}/buying/orders`);
	const placed = page.getByTestId('order').filter({ hasText: 'Two Oars' });
	await expect(
		placed.getByRole('listitem').filter({ hasText: 'awaiting payment' })
	).toHaveAttribute('aria-current', 'step');
	await page.getByRole('button', { name: 'A week passes' }).press('Enter');
	await expect(page.getByText(/Day 7 of the market/)).toBeVisible();
	await expect(
		placed.getByRole('listitem').filter({ hasText: 'awaiting payment' })
	).not.toHaveAttribute('aria-current', 'step');
});
