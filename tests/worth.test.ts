import { expect, open, test } from './program.ts';

test('the ladder: ranked at a grade, empty cells of three kinds, a card looked at closely, graded or not', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/worth`);
	await expect(page.getByLabel('Ranked at')).toHaveValue('6');
	const rows = page.getByTestId('ladder-row');
	await expect(rows.first()).toContainText('30 Gangway');
	// None graded, graded and never sold, sold long ago: each by its own mark.
	await expect(rows.first().getByRole('img', { name: 'none graded' }).first()).toBeVisible();
	await expect(rows.nth(1).getByLabel('30 graded, never sold')).toBeVisible();
	await expect(rows.filter({ hasText: 'Bollard' })).toContainText(/€15\.00\s*Mar 1989/);

	await page.getByLabel('Ranked at').selectOption('7');
	await expect(rows.first()).toContainText('30 Gangway');
	await page.getByLabel('The top').fill('1');
	await page.keyboard.press('Enter');
	await expect(page.getByText('Nearly made it')).toBeVisible();
	await expect(rows.nth(1)).toContainText('1 Anchor');

	await page.getByRole('link', { name: '3 Capstan' }).press('Enter');
	await expect(page.getByRole('heading', { name: '3 Capstan' })).toBeVisible();
	await expect(
		page.getByText('7 at €30.00 (Dec 1995) is below 5 at €34.00 (May 1996).')
	).toBeVisible();
	await expect(page.getByText(/67 graded; 3 at 8 or better \(4 %\)/)).toBeVisible();
	await expect(page.getByText('Leave it raw')).toBeVisible();
	await page.getByLabel('Fee of the house').fill('0');
	await page.getByLabel('Postage both ways').fill('0');
	await expect(page.getByText('Grade it:')).toBeVisible();
	await page.getByLabel('It sells raw for').fill('much');
	await expect(page.getByText('Write sums of money')).toBeVisible();
});

test('prices and populations are typed and taken in as tables; what is wrong is named, and nothing is lost', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/worth/prices`);
	await expect(page.getByText('42 prices of this release')).toBeVisible();
	await expect(page.getByTestId('slip')).toHaveCount(1);
	await expect(page.getByTestId('inversion').first()).toContainText('3 Capstan');
	await page.getByLabel('What was heard').fill('14 grade 6 33; 99 5');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('there is no card 99');
	await expect(page.getByLabel('What was heard')).toHaveValue('14 grade 6 33; 99 5');
	await page.getByLabel('What was heard').fill('14 grade 6 33');
	await page.getByLabel('Graded by').first().selectOption('Skerry Assay');
	await page.getByRole('button', { name: 'Note it' }).press('Enter');
	await expect(page.getByText('43 prices of this release')).toBeVisible();

	await page.getByText('Take a table in').click();
	const paste = page.getByLabel('Or paste it');
	await paste.fill('card,5,6\n14,20,31 to 35\n16,x,12\n');
	await page.getByRole('button', { name: 'Take it in' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('line 3');
	await paste.fill('card,5,6\n14,20,31 to 35\n16,,12\n');
	await page.getByRole('button', { name: 'Take it in' }).press('Enter');
	await expect(page.getByText('46 prices of this release')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('43 prices of this release')).toBeVisible();

	await page.getByRole('link', { name: 'Populations' }).click();
	await expect(page.getByTestId('wrong-sum')).toContainText(
		'7 Gaff, Lantern Room, 1996-08-31: it states 31, its grades come to 29.'
	);
	await expect(page.getByTestId('population').first()).toContainText(/30 Gangway.*13/);
	await page.getByLabel('Card', { exact: true }).fill('14');
	await page.getByLabel('How many of each grade').fill('8: 1, 7.5: 2');
	await page.getByLabel('Graded by').first().selectOption('Skerry Assay');
	await page.getByRole('button', { name: 'Keep it' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('Skerry Assay does not give the grade 7.5');
	await page.getByLabel('How many of each grade').fill('8: 1, 7: 2');
	await page.getByRole('button', { name: 'Keep it' }).press('Enter');
	await expect(page.getByTestId('population').first()).toContainText(/14 Nun buoy.*3/);
});

test('what is there is worth so much; a list for an insurer; a subject over all issues from its card', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/worth/value`);
	await expect(page.getByTestId('worth-group').filter({ hasText: 'Slipway 1988' })).toContainText(
		'€'
	);
	await page.locator('select[name=of]').selectOption('release harbour-lights-1994');
	await expect(page.getByTestId('worth-group').filter({ hasText: "Keeper's Ink" })).toContainText(
		'€120.00'
	);
	await page.getByRole('combobox', { name: /^As/ }).selectOption('csv');
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Write the list' }).click();
	expect((await download).suggestedFilename()).toBe('insurance.csv');
	for (const form of ['csv', 'xlsx', 'pdf']) {
		const answer = await page.request.get(`${url}/api/worth/insurance.${form}?of=all&least=20`);
		expect(answer.status()).toBe(200);
		expect((await answer.body()).length).toBeGreaterThan(100);
	}
	expect((await page.request.get(`${url}/api/worth/insurance.pdf?least=much`)).status()).toBe(400);

	await open(page, `${url}/releases/harbour-lights-1994/cards/base-1`);
	await page.getByRole('link', { name: "Pilot's Chair Light over all issues" }).click();
	await page.locator('select[name=at]').selectOption('9');
	await expect(page.getByTestId('subject-price').first()).toContainText('€12.00');
});
