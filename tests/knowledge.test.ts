import { expect, open, test } from './program.ts';

test('what is known of a release is passed on, and taken in line by line by another collector', async ({
	page,
	demo,
	empty
}) => {
	await open(page, `${demo.url}/releases/signal-year-2019`);
	await page.getByText('Pass on what is known of it').click();
	await page.getByLabel('Learnt by').fill('Mara Quill');
	await page.getByLabel('Prices').selectOption('with');
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'Write the file' }).press('Enter')
	]);
	expect(download.suggestedFilename()).toBe('signal-year-2019.knowledge.zip');
	const path = await download.path();

	// Where the release is not known it comes whole.
	await open(page, `${empty.url}/releases/knowledge`);
	await page.getByLabel('File of knowledge').setInputFiles(path);
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('Learnt by Mara Quill')).toBeVisible();
	await expect(
		page.getByText(/not in your collection yet: its checklist of \d+ cards/)
	).toBeVisible();
	await page.getByRole('button', { name: /^Take in the release/ }).click();
	await expect(page.getByRole('status').filter({ hasText: 'taken in' })).toBeVisible();

	// Another file of the same release says otherwise in two lines; one is taken, by keys.
	const at = `${empty.url}/api/releases/signal-year-2019/checklist.json`;
	const checklist = (await (await page.request.get(at)).json()) as {
		release: { theme?: string; note?: string };
		sections: { cards: { title?: string }[] }[];
	};
	const title = checklist.sections[0]?.cards[0]?.title ?? '';
	if (checklist.sections[0]?.cards[0]) checklist.sections[0].cards[0].title = 'Not what it says';
	checklist.release.note = 'ours';
	expect(
		(await page.request.put(at.replace('/checklist.json', ''), { data: checklist })).status()
	).toBe(200);
	await page.getByLabel('File of knowledge').setInputFiles(path);
	await page.getByRole('button', { name: 'Look at it' }).press('Enter');
	const line = page.getByRole('checkbox', { name: /title.*Not what it says/ });
	// What says otherwise than here is for a person to judge.
	await expect(line).not.toBeChecked();
	await line.press('Space');
	await page.getByRole('button', { name: /^Take 1 line/ }).press('Enter');
	await expect(page.getByRole('status').filter({ hasText: '1 line taken in' })).toBeVisible();
	const after = await (await page.request.get(at)).text();
	expect(after).toContain(JSON.stringify(title));
	expect(after).not.toContain('Not what it says');

	// What is no file of knowledge is refused in words.
	await page.getByLabel('File of knowledge').setInputFiles({
		name: 'a.zip',
		mimeType: 'application/zip',
		buffer: Buffer.from('no zip')
	});
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('this is no zip, or it is damaged')).toBeVisible();
});
