import { writeXlsx } from '../src/lib/formats/xlsx.ts';
import { expect, open, test } from './program.ts';

test('a release is sketched, filled in, mended and compared', async ({ page, empty }) => {
	await page.goto(`${empty.url}/releases/outline`);
	const outline = page.getByLabel('Outline');

	// Problems are named as one types, and lead to their place.
	await outline.fill(
		'release Gull Row, M, 1996\nbase Base: 1-12, stated 14\nparallel Slate: Base /90, Nix /5\n'
	);
	await expect(page.getByTestId('outline-problems')).toContainText(
		'Line 3: there is no section "Nix"'
	);
	await expect(page.getByRole('button', { name: 'Create Gull Row' })).toBeDisabled();
	await page.getByRole('button', { name: 'Line 3' }).click();
	await page.keyboard.type('parallel Slate: Base /90');
	await expect(page.getByTestId('outline-cards')).toHaveText('12 cards');
	await page.getByRole('button', { name: 'Create Gull Row' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Gull Row');
	await expect(
		page.getByRole('link', { name: /the checklist card says 14 for Base/ })
	).toBeVisible();

	// Titles from a pasted list: a stranger keeps all of it out, then it goes in.
	const list = page.getByLabel('List with number, title and group');
	await list.fill('#1. Ada  Hale – Keepers\n2 Bram Marsh – Keepers\n40 Nobody');
	await expect(page.getByText('line 3: there is no card 40 here')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Fill in 2 titles' })).toBeDisabled();
	await list.fill('#1. Ada  Hale – Keepers\n2 Bram Marsh – Keepers');
	await expect(page.getByText('Forgiven: double spaces, marks around the number.')).toBeVisible();
	await page.getByRole('button', { name: 'Fill in 2 titles' }).click();
	await expect(page.getByText('Ada Hale', { exact: true })).toBeVisible();

	// A variant in a line; one that cannot be is refused with its reason.
	const variant = page.getByLabel('Record one in a line');
	await variant.fill('99: town');
	await page.keyboard.press('Enter');
	await expect(page.getByText('there is no card "99" in Base')).toBeVisible();
	await variant.fill('2: home town, two printings');
	await page.keyboard.press('Enter');
	await expect(page.getByText('12 cards · 25 versions')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('12 cards · 24 versions')).toBeVisible();

	// A second release with a gap: the doctor's mend, and the two years one above the other.
	await page.goto(`${empty.url}/releases/outline`);
	await outline.fill(
		'release Gull Row 1997, M, 1997\nbase Base: 1-5, 8-9\ninsert Ink: K1-K2\nparallel Ghost: 20-30'
	);
	await page.getByRole('button', { name: 'Create Gull Row 1997' }).click();
	await page.getByRole('link', { name: 'Edit', exact: true }).click();
	const findings = page.getByTestId('findings').getByRole('listitem');
	await expect(findings).toHaveCount(2);
	await findings
		.filter({ hasText: 'Base has no 6, 7' })
		.getByRole('button', { name: 'Add them' })
		.click();
	await expect(findings).toHaveCount(1);
	await page.getByRole('button', { name: 'Remove it' }).click();
	await expect(page.getByText('Nothing is out of place.')).toBeVisible();
	await page.getByRole('link', { name: 'Gull Row 1997' }).click();
	await page.getByRole('link', { name: 'Side by side' }).click();
	const base = page.getByRole('region', { name: 'Base' });
	await expect(base.getByText('Cards, differs')).toBeVisible();
	await expect(base).toContainText('12');
	await expect(base).toContainText('Slate, differs');
	// A pair made by hand stays; it is parted again with a key.
	const apart = page.getByLabel('Its counterpart').first();
	await apart.selectOption({ index: 1 });
	const part = page.getByRole('button', { name: 'paired by hand: part them' });
	await expect(part).toHaveCount(1);
	await page.reload({ waitUntil: 'networkidle' });
	await part.press('Enter');
	await expect(part).toHaveCount(0);
	// Sections of one release, then three sides, then what differs alone; printed as it is shown.
	await page.getByLabel('And another').selectOption({ index: 1 });
	await expect(page).toHaveURL(/side=.*side=.*side=/);
	await page
		.getByRole('button', { name: /^Take .* away$/ })
		.last()
		.click();
	await page
		.getByLabel(/^Section of/)
		.first()
		.selectOption({ label: 'Base' });
	await expect(page.getByRole('region')).toHaveCount(1);
	await page.getByLabel('Only what differs').check();
	const coming = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Print as PDF' }).click();
	expect((await coming).suggestedFilename()).toBe('side-by-side.pdf');
});

test('the checklist is edited by keys and in bulk; an edit that would orphan a copy is refused', async ({
	page,
	empty,
	request
}) => {
	const data = { outline: 'release R, M, 1994\nbase Base: 1-5\nsubset Dogs in Base: 4-5' };
	const sketched = await request.post(`${empty.url}/api/compute/read-outline`, { data });
	const { checklist } = (await sketched.json()) as { checklist: object };
	await request.post(`${empty.url}/api/releases`, { data: checklist });
	await request.post(`${empty.url}/api/releases/r-1994/log`, {
		data: { line: '2x2', numbering: null, parallel: null }
	});
	await open(page, `${empty.url}/releases/r-1994/edit`);

	await page.getByLabel('Title of 1').focus();
	await page.keyboard.type('Ada');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.type('Bram');
	await page.keyboard.press('Control+s');
	await expect(page.getByRole('button', { name: 'Save 0 changes' })).toBeVisible();
	await expect(page.getByTestId('last-step')).toContainText('edit 2 cards');

	await page.getByLabel('Choose 1').click();
	await page.getByLabel('Choose 3').click({ modifiers: ['Shift'] });
	for (const number of [1, 2, 3]) await expect(page.getByLabel(`Choose ${number}`)).toBeChecked();
	await page.getByLabel('Text for the chosen cards').fill('Keepers');
	await page.getByRole('button', { name: 'Set', exact: true }).click();
	await page.getByRole('button', { name: 'Save 3 changes' }).click();
	await expect(page.getByLabel('Group of 3')).toHaveValue('Keepers');

	// What is known of a card beside its line: a column is chosen, the chosen cards get it at once.
	await page.getByLabel('Column to set').selectOption({ label: 'Tags' });
	await page.getByLabel('Text for the chosen cards').fill('keeper');
	await page.getByRole('button', { name: 'Set', exact: true }).click();
	await page.getByRole('button', { name: 'Save 3 changes' }).click();
	await expect(page.getByRole('alert')).toContainText('Tags of 1: "keeper" is no tag of a family');
	await page.getByLabel('Text for the chosen cards').fill('role: keeper');
	await page.getByRole('button', { name: 'Set', exact: true }).click();
	await page.getByLabel('Last column').locator('visible=true').selectOption({ label: 'Came from' });
	await page.getByLabel('Came from of 2').fill('magazine; Harbour Post 4; on 1994-05');
	await page.keyboard.press('Control+s');
	await expect(page.getByRole('button', { name: 'Save 0 changes' })).toBeVisible();
	await open(page, `${empty.url}/releases/r-1994/cards/base-2`);
	await expect(page.getByText('Harbour Post 4')).toBeVisible();
	await expect(page.getByText(/role.*keeper/)).toBeVisible();
	await open(page, `${empty.url}/releases/r-1994/edit`);
	await page.getByLabel('Choose 1').click();
	await page.getByLabel('Choose 3').click({ modifiers: ['Shift'] });

	await page.getByRole('button', { name: 'Remove' }).click();
	await page.getByRole('button', { name: 'Save 3 changes' }).click();
	await expect(page.getByRole('alert')).toContainText(
		'2 copies of r-1994/base-2 would belong to nothing'
	);
	await page.getByRole('button', { name: 'Discard' }).click();
	await expect(page.getByLabel('Title of 2')).toHaveValue('Bram');
	for (const group of ['Keepers', '']) {
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByLabel('Group of 3')).toHaveValue(group);
	}
});

test('a workbook of 10,000 rows is previewed; its columns are guessed, chosen and remembered', async ({
	page,
	empty
}) => {
	const rows = Array.from({ length: 10_000 }, (_, i) => [String(i + 1), `Lamp ${i + 1}`, 'red']);
	const bytes = await writeXlsx('Cards', [['Nr', 'Card name', 'Colour'], ...rows]);
	await open(page, `${empty.url}/releases/import`);
	await page.getByLabel('Maker').fill('M');
	const file = { name: 'lamps-1996.xlsx', mimeType: 'application/zip', buffer: Buffer.from(bytes) };
	const started = Date.now();
	await page.getByLabel('Drag a file in here').setInputFiles(file);
	await expect(
		page.getByRole('status').filter({ hasText: 'Reading lamps-1996.xlsx' })
	).toBeVisible();
	await expect(page.getByText('This would create 10,000 cards in 1 section')).toBeVisible({
		timeout: 20_000
	});
	console.log(`10,000 rows previewed after ${Date.now() - started} ms`);
	await expect(page.getByText('Colour: this column is not read')).toBeVisible();
	await page.getByLabel('Colour').selectOption('group');
	await expect(page.getByText('Colour: this column is not read')).toHaveCount(0, {
		timeout: 20_000
	});

	await open(page, `${empty.url}/releases/import`);
	await page.getByLabel('Maker').fill('M');
	await page.getByLabel('Drag a file in here').setInputFiles(file);
	await expect(page.getByLabel('Colour')).toHaveValue('group', { timeout: 20_000 });
	await expect(page.getByText('Colour: this column is not read')).toHaveCount(0, {
		timeout: 20_000
	});
	await page.getByRole('button', { name: 'Create Lamps 1996' }).click();
	await expect(page.getByText('10,000 cards · 10,000 versions')).toBeVisible({ timeout: 30_000 });
	// The wall draws what is seen: a few hundred tiles, wherever one goes in it.
	const tiles = page.locator('[data-index]');
	expect(await tiles.count()).toBeLessThan(1500);
	await page.getByRole('button', { name: /^1, / }).focus();
	await page.keyboard.press('End');
	await expect(page.getByRole('button', { name: /^10000, / })).toBeFocused();
	await page.keyboard.press('Space');
	await expect(page.getByRole('button', { name: /^10000, .*have/ })).toBeVisible();
	await expect(page.getByRole('button', { name: /^1, / })).toHaveCount(0);
	expect(await tiles.count()).toBeLessThan(1500);
});
