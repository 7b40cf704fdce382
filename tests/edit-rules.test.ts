import type { APIRequestContext } from '@playwright/test';
import { expect, open, test } from './program.ts';

/** Makes a release of an outline, over HTTP. */
async function sketch(request: APIRequestContext, url: string, outline: string): Promise<void> {
	const read = await request.post(`${url}/api/compute/read-outline`, { data: { outline } });
	const { checklist } = (await read.json()) as { checklist: object };
	expect((await request.post(`${url}/api/releases`, { data: checklist })).status()).toBe(201);
}

const GULL_ROW = [
	'release Gull Row, M, 1996',
	'base Base: 1-12',
	'subset Dogs in Base: 4-5',
	'parallel Slate: Base /90, Dogs /30'
].join('\n');

test('sections, parallels, runs and variants are edited in sheets by keys; what is owned stays attached', async ({
	page,
	empty,
	request
}) => {
	await sketch(request, empty.url, GULL_ROW);
	const entry = { line: '2x3', numbering: null, parallel: 'slate' };
	await request.post(`${empty.url}/api/releases/gull-row-1996/log`, { data: entry });
	await open(page, `${empty.url}/releases/gull-row-1996/edit`);

	await page.getByRole('button', { name: 'Sections', exact: true }).click();
	await page.getByLabel('Name, section 1').fill('Common cards');
	await page.getByLabel('Stated total, section 1').fill('a dozen');
	await page.keyboard.press('Control+s');
	await expect(page.getByRole('alert')).toContainText('"a dozen" is no number');
	await expect(page.getByLabel('Stated total, section 1')).toHaveAttribute('aria-invalid', 'true');
	await page.getByLabel('Stated total, section 1').fill('12');

	// A new parallel, moved up by keys, with a rule of its own.
	await page.getByRole('button', { name: 'Parallels', exact: true }).click();
	await page.getByRole('button', { name: 'Add a parallel' }).click();
	await expect(page.getByLabel('Name, parallel 2')).toBeFocused();
	await page.keyboard.type('Chalk');
	await page.keyboard.press('Alt+ArrowUp');
	await expect(page.getByLabel('Name, parallel 1')).toHaveValue('Chalk');
	await expect(page.getByLabel('Name, parallel 1')).toBeFocused();
	await page.getByRole('button', { name: 'Print runs', exact: true }).click();
	await page.getByRole('button', { name: 'Add a rule' }).click();
	await page.getByLabel('Parallel, rule 3').fill('chalk');
	await page.getByLabel('Cards, rule 3').fill('1-3');
	await page.getByLabel('Print run, rule 3').fill('250');
	await page.getByRole('button', { name: 'Variants', exact: true }).click();
	await page.getByRole('button', { name: 'Add a variant' }).click();
	await page.getByLabel('Cards, variant 1').fill('7');
	await page.getByLabel('Name, variant 1').fill('two moons');
	await page.getByLabel('How sure, variant 1').fill('doubtful');
	await page.getByLabel('Found, variant 1').fill('3 of 400');
	// Packs, and a section that says in which alone it comes.
	await page.getByRole('button', { name: 'Packs', exact: true }).click();
	await page.getByRole('button', { name: 'Add a pack' }).click();
	await page.getByLabel('Name, pack 1').fill('Tin');
	await page.getByLabel('Price of a pack, pack 1').fill('4,50 €');
	await page.getByRole('button', { name: 'Sections', exact: true }).click();
	await page.getByLabel('Only in, section 1').fill('tin');
	await page.getByLabel('By experience, section 1').fill('hard; the club');
	await page.keyboard.press('Control+s');
	await expect(page.getByRole('button', { name: 'Save 0 changed rows' })).toBeVisible();

	// Twelve cards, Slate of all, Chalk of three, one error.
	await page.goto(`${empty.url}/releases/gull-row-1996`);
	await expect(page.getByText('12 cards · 28 versions')).toBeVisible();
	const chapter = page.getByRole('article', { name: /^Common cards/ });
	await expect(chapter).toContainText('7 error two moons doubtful, 3 of 400 looked at had it');
	await expect(chapter).toContainText('Only in TinBy experience hard, the club');
	await expect(chapter.getByTestId('have-base')).toHaveText('1 of 10 cards');
	await expect(page.getByText('€4.50 a pack')).toBeVisible();
	await page.getByRole('combobox', { name: /^Finish/ }).selectOption('Slate');
	await expect(page.getByRole('button', { name: /^2, .*3 copies/ })).toBeVisible();

	// A parallel with copies can't go; one step takes the whole edit back.
	await open(page, `${empty.url}/releases/gull-row-1996/edit`);
	await page.getByRole('button', { name: 'Parallels', exact: true }).click();
	await page.getByRole('button', { name: 'Remove parallel 2' }).click();
	await page.getByRole('button', { name: 'Print runs', exact: true }).click();
	for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Remove rule 2' }).click();
	await page.keyboard.press('Control+s');
	await expect(page.getByRole('alert')).toContainText(
		'3 copies of gull-row-1996/base-2~slate would belong to nothing'
	);
	await page.getByRole('button', { name: 'Discard' }).click();
	await page.getByRole('button', { name: 'Undo' }).click();
	await page.getByRole('button', { name: 'Sections', exact: true }).click();
	await expect(page.getByLabel('Name, section 1')).toHaveValue('Base');
});

test('a checklist is imported over the one that is there, and keeps what it does not say', async ({
	page,
	empty,
	request
}) => {
	await sketch(request, empty.url, `${GULL_ROW}\n7: two moons, two printings`);
	await request.post(`${empty.url}/api/releases/gull-row-1996/log`, {
		data: { line: '12', numbering: null, parallel: null }
	});
	const csv = await (
		await request.get(`${empty.url}/api/releases/gull-row-1996/checklist.csv`)
	).text();
	await open(page, `${empty.url}/releases/import`);
	const paste = page.getByLabel('Or paste it');
	const lines = csv.trim().split(/\r?\n/);

	// Without card 12, of which there is a copy.
	await paste.fill(lines.filter((line) => !line.includes(',12,')).join('\n'));
	await page.getByRole('button', { name: 'Preview' }).click();
	await expect(
		page.getByText('1 copy of gull-row-1996/base-12 would belong to nothing')
	).toBeVisible();
	const replace = page.getByRole('button', { name: 'Replace the checklist of Gull Row' });
	await expect(replace).toBeDisabled();

	await paste.fill(csv.replaceAll('/90', '/95').replace(',3,,', ',13,,'));
	await page.getByRole('button', { name: 'Preview' }).click();
	await expect(page.getByText('cards: 1 changed')).toBeVisible();
	await replace.click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Gull Row');
	await expect(page.getByText('two moons')).toBeVisible();
	await expect(page.getByText('/95').first()).toBeVisible();
	await expect(page.getByTestId('last-step')).toContainText('replace the checklist');
});
