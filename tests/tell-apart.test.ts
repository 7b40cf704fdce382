import sharp from 'sharp';
import { expect, open, test } from './program.ts';

test('look-alikes lie side by side, are asked for, kept and printed', async ({ page, ownDemo }) => {
	await open(page, `${ownDemo.url}/`);
	await page.getByRole('link', { name: 'Tell apart' }).click();
	await page.getByRole('link', { name: 'Harbour Lights, 1994 or 1995' }).click();
	const table = page.getByRole('table', { name: 'Tells side by side' });
	await expect(table.getByRole('row').nth(1)).toContainText('line round the picture');
	await expect(table.getByRole('row').nth(1)).toContainText('single');
	await expect(table.getByRole('row').nth(1)).toContainText('double');
	await page.getByText('Which one is it?').click();
	await page.getByRole('button', { name: 'double' }).click();
	await expect(page.getByText('It is Harbour Lights 1995')).toBeVisible();

	// All versions of a number, one more beside them, one taken away.
	await open(page, `${ownDemo.url}/tell-apart`);
	const add = page.getByRole('form', { name: 'Add to the table' });
	await add.getByLabel('or a number').fill('41');
	await add.getByRole('button', { name: 'Add' }).click();
	await page.getByRole('link', { name: 'All of them' }).click();
	await expect(table.getByRole('columnheader', { name: 'dusk' })).toBeVisible();
	const columns = await table.getByRole('columnheader').count();
	await table.getByRole('link', { name: /^Take away .*First Beam/ }).click();
	await expect(table.getByRole('columnheader')).toHaveCount(columns - 1);
	await page.getByLabel('Name of these look-alikes').fill('Number 41');
	await page.getByRole('button', { name: 'Keep as easily mistaken' }).click();
	await expect(page.getByRole('link', { name: 'Number 41' })).toBeVisible();
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'A card to carry' }).click()
	]);
	expect(file.suggestedFilename()).toBe('tell-apart.pdf');
	await page.goto(`${ownDemo.url}/releases/harbour-lights-1994/cards/base-41`);
	await page.getByRole('link', { name: 'Easily mistaken: Number 41' }).click();
	await expect(table).toBeVisible();
	for (const wrong of [
		'of=nix',
		'of=',
		'of=harbour-lights-1994/nix&of=%00',
		'release=nix&number=1'
	]) {
		const answer = await page.request.get(`${ownDemo.url}/tell-apart?${wrong}`);
		expect(answer.status()).toBe(200);
	}
});

test('the second pass goes through what nobody looked at, with keys, in the order of the binder', async ({
	page,
	ownDemo
}) => {
	// Taken off a pile without a look, they wait here.
	await open(page, `${ownDemo.url}/log/pile`);
	const next = page.getByLabel('Next card');
	for (const line of ['41 harbour 1994', '41 harbour 1994', '77 harbour 1994']) {
		await next.fill(line);
		await page.keyboard.press('Enter');
	}
	await expect(page.getByTestId('last-step')).toContainText('log 77');
	await page.setViewportSize({ width: 390, height: 844 });
	await open(page, `${ownDemo.url}/`);
	await page.getByText('More').click();
	await page.getByRole('link', { name: 'Tell apart' }).click();
	await page.getByRole('link', { name: /^Second pass/ }).click();
	const line = page.getByTestId('pass-line');
	await expect(line).toContainText('41');
	await expect(line).toContainText('× 2');
	const form = line.locator('form').filter({ hasText: 'dusk' });
	await form.getByLabel('of them').fill('1');
	await form.getByRole('button').click();
	await expect(line).not.toContainText('× 2');
	await page.keyboard.press('1');
	await expect(line).toContainText('77');
	await page.keyboard.press('k');
	await expect(page.getByTestId('pass-done')).toContainText('1 card skipped');
	const csv = await (await page.request.get(`${ownDemo.url}/api/holdings.csv`)).text();
	expect(csv.split('\r\n').filter((row) => row.includes('dusk'))).toHaveLength(1);
	const pdf = await page.request.get(`${ownDemo.url}/api/second-pass.pdf`);
	expect(pdf.headers()['content-type']).toContain('pdf');
});

test('photos of a number are compared; the trainer asks and keeps the score; packs tell what they hold', async ({
	page,
	ownDemo
}) => {
	const { url } = ownDemo;
	const of = 'harbour-lights-1994/base-41';
	await open(page, `${url}/tell-apart/pictures?of=${of}`);
	const picture = (shape: string) =>
		sharp(
			Buffer.from(
				`<svg width="250" height="350"><rect width="250" height="350" fill="#bcd"/>${shape}<path d="M0 260h250v90H0z" fill="#146"/></svg>`
			)
		)
			.png()
			.toBuffer();
	const tower = await picture('<path d="M90 40h70v230H90z" fill="#eee"/>');
	const boat = await picture('<path d="M20 180h210l-40 90H60z" fill="#722"/>');
	for (const buffer of [tower, boat]) {
		await page
			.getByLabel('Picture', { exact: true })
			.setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer });
		await page.getByLabel('Where it is from').fill('a book');
		await page.getByRole('button', { name: 'Add it' }).click();
		await expect(page.getByLabel('Where it is from')).toHaveValue('');
	}
	await expect(page.getByTestId('photo-wall')).toContainText('another picture?');
	await page.getByLabel('Picture', { exact: true }).setInputFiles({
		name: 'p.png',
		mimeType: 'image/png',
		buffer: Buffer.from('no picture')
	});
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('alert')).toContainText('no picture that can be read');
	await page.getByRole('link', { name: 'Compare all photos' }).click();
	await expect(page.getByText('1 number may have another picture')).toBeVisible();

	await open(page, `${url}/tell-apart/trainer`);
	const round = page.getByTestId('round');
	await expect(page.getByText(/^1 of \d/)).toBeVisible();
	const kept = page.waitForResponse(/\/api\/trainer$/);
	await page.keyboard.press('2');
	await kept;
	await expect(round.getByRole('status')).toContainText(/Right\.|No\./);
	await round.getByRole('button', { name: /Go on/ }).click();
	await expect(page.getByText(/^2 of \d/)).toBeVisible();
	await page.reload({ waitUntil: 'networkidle' });
	await expect(
		page.getByRole('region', { name: 'How well you know them' }).getByRole('listitem')
	).toHaveCount(1);

	await open(page, `${url}/tell-apart/packs?release=signal-year-2019`);
	await expect(page.getByRole('row', { name: /Signal Flags/ })).toContainText('1:4');
	await expect(page.getByRole('region', { name: 'Which can hold what you lack' })).toContainText(
		'slots of your goals are open'
	);
});
