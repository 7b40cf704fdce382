import { expect, open, test } from './program.ts';

test('a drawn scan is measured as it was drawn; its guides are moved by keys and by hand; without a border it says so', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/bench`);
	const result = page.getByTestId('scan-result');
	const sample = page.getByRole('combobox', { name: /drawn scan/ });
	await sample.selectOption('off');
	await expect(result).toContainText(/63\.\d ± \d\.\d %; drawn at 63\.6 %/);
	const guide = page.getByRole('slider', { name: 'Frame within the border: left side' });
	await guide.focus();
	await page.keyboard.press('Shift+ArrowRight');
	await expect(result).toContainText('By the guides as you laid them');
	await expect(result).toContainText(/6[78]\.\d ± /);
	await page.getByRole('button', { name: 'As found' }).press('Enter');
	await expect(result).toContainText(/63\.\d ± /);
	// Dragged across half the picture, the left border is nearly all of both.
	const corner = page.getByRole('slider', { name: 'Frame within the border: right side' });
	const box = await corner.boundingBox();
	if (!box) throw new RangeError('no guide');
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 4 });
	await page.mouse.up();
	await expect(result).toContainText('By the guides as you laid them');

	await sample.selectOption('id-1');
	await expect(page.getByTestId('scan-size')).toContainText('63.5 × 88.9 mm');
	await sample.selectOption('borderless');
	await expect(result).toContainText('It cannot be said.');
});

test('a worksheet: a photo measured, judged by what is seen, kept with the copy; tolerances are the user’s', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/bench?q=Bram+Kelper`);
	await page.getByRole('link', { name: '113 Bram Kelper, Verdigris' }).press('Enter');
	await page.getByRole('button', { name: 'Its photo, front' }).press('Enter');
	await expect(page.getByTestId('scan-result')).toContainText(/22\.\d ± /);
	await page.getByRole('button', { name: 'Take it as the front' }).press('Enter');
	const word = page.getByTestId('suggested');
	await expect(word).toContainText('excellent for 22:78 left to right on the front');
	await page.getByLabel('Corners, upper left').selectOption('rounded');
	await expect(word).toContainText('very good for 1 of 4 corners rounded');
	await page.getByRole('button', { name: 'All corners sharp' }).press('Enter');
	await expect(word).toContainText('excellent');
	await page.getByLabel('or a stack of').fill('20');
	await page.getByLabel('that is, mm').fill('9,144');
	await page.getByRole('button', { name: 'Take it', exact: true }).press('Enter');
	await expect(page.getByLabel('Thickness by gauge')).toHaveValue('18');
	await page.getByLabel('I think it is a grade').fill('8.2');
	await page.getByRole('button', { name: 'Keep with the copy' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('"8.2" is no grade');
	await page.getByLabel('I think it is a grade').fill('6');
	await page.getByRole('button', { name: 'Keep with the copy' }).press('Enter');
	await expect(page.getByText('Kept with the copy.')).toBeVisible();

	await page.getByRole('link', { name: 'All worksheets and fault rates' }).press('Enter');
	await expect(page.getByTestId('fault-rate').first()).toContainText(/weak in \d+ of 14/);
	await expect(page.getByTestId('worksheet').first()).toContainText(/113.*Bram Kelper.*excellent/s);
	await page.getByText('Tolerances and levels').click();
	const limits = page.getByLabel('Centring: at most');
	await limits.fill('mint: 30 front, 75 back');
	await page.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('centring: line 1');
	await limits.fill('mint: 80 front, 80 back');
	await page.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
	await expect(page.getByTestId('worksheet').first()).toContainText(/Bram Kelper.*mint/s);
});

test('the grading desk: cards are sent, are out with a place, and come back with grade and certificate; the eye is held against it', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/bench/grading?q=Mussel+Scar+Float`);
	await expect(page.getByTestId('eye')).toContainText('1 of 4');
	await page
		.getByRole('button', { name: /^Put 207 Mussel Scar Float/ })
		.first()
		.press('Enter');
	await page.getByLabel(/^I think 207/).fill('9');
	await page.getByLabel('Back by').fill('1996-09-01');
	await page.getByLabel('Fee a card').fill('12');
	await page.getByRole('button', { name: 'Send 1 card' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('it is due before it goes');
	await page.getByLabel('Back by').fill('1996-10-30');
	await page.getByRole('button', { name: 'Send 1 card' }).press('Enter');
	await expect(page.getByText('They are out, and keep their places.')).toBeVisible();
	const sent = page.getByTestId('submission').filter({ hasText: '207' });
	await expect(sent).toContainText('keeps its place');
	await sent.getByLabel(/came back as/).fill('11');
	await sent.getByRole('button', { name: 'They are back' }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('"11" is no grade');
	await sent.getByLabel(/came back as/).fill('8.5');
	await sent.getByLabel(/^Certificate/).fill('LR 40001');
	await sent.getByRole('button', { name: 'They are back' }).press('Enter');
	await expect(page.getByText('1 card back.')).toBeVisible();
	await expect(sent).toContainText('thought 9: −0.5');
	await expect(page.getByTestId('eye')).toContainText('1 of 5');
	await sent.getByRole('link', { name: /207/ }).press('Enter');
	await expect(page.getByText(/8\.5/).first()).toBeVisible();
	await expect(page.getByText(/LR 40001/).first()).toBeVisible();
});
