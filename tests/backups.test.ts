import { readFileSync, writeFileSync } from 'node:fs';
import { CHECKLIST, expect, open, test } from './program.ts';

const json = { 'content-type': 'application/json' };

test('a backup is made, looked at, restored, and the way back is taken; a window elsewhere sees it', async ({
	empty,
	page,
	context,
	request
}) => {
	const csv = { 'content-type': 'text/csv' };
	const query = 'name=Small&maker=M&year=1994';
	await request.post(`${empty.url}/api/releases?${query}`, { data: CHECKLIST, headers: csv });
	const log = (line: string) =>
		request.post(`${empty.url}/api/releases/small-1994/log`, {
			data: { line, numbering: null, parallel: null },
			headers: json
		});
	await log('1-3');
	const other = await context.newPage();
	await open(other, `${empty.url}/log?release=small-1994`);
	await open(page, `${empty.url}/journal/backups`);
	await expect(page.getByText('There is no backup yet.')).toBeVisible();
	await page.getByRole('button', { name: 'Back up now' }).press('Enter');
	await expect(page.getByText(/is made, and was read again/)).toBeVisible();
	await expect(page.getByTestId('backup')).toHaveCount(1);
	const downloading = page.waitForEvent('download');
	await page.getByRole('link', { name: /^Download the backup/ }).click();
	const file = await (await downloading).path();
	expect(readFileSync(file).subarray(0, 15).toString()).toBe('SQLite format 3');

	await log('5 6');
	await expect(other.getByTestId('wall-have').first()).toHaveText('5');
	await page.getByRole('link', { name: /^Look at the backup/ }).press('Enter');
	await expect(page.getByRole('row', { name: 'Copies 3 5' })).toBeVisible();
	await expect(page.getByText('Its last step: Small: log 1-3')).toBeVisible();
	await page.getByRole('button', { name: /Put it in place/ }).press('Enter');
	await expect(page.getByText(/^It is in place/)).toBeVisible();
	await expect(other.getByTestId('wall-have').first()).toHaveText('3');
	expect((await log('7')).status()).toBe(200);
	await expect(other.getByTestId('wall-have').first()).toHaveText('4');

	const before = page.getByTestId('backup').filter({ hasText: 'before restoring' });
	await before.getByRole('link', { name: /^Look at/ }).click();
	await expect(page.getByRole('row', { name: 'Copies 5 4' })).toBeVisible();
	await page.getByRole('button', { name: /Put it in place/ }).click();
	await expect(page.getByText(/^It is in place/)).toBeVisible();
	await expect(other.getByTestId('wall-have').first()).toHaveText('5');

	// From another disk: what is damaged is refused and leaves nothing.
	const bytes = readFileSync(file);
	const damaged = empty.data('damaged.db');
	writeFileSync(damaged, bytes.subarray(0, 9000));
	const count = await page.getByTestId('backup').count();
	await page.getByLabel('A backup').setInputFiles(damaged);
	await page.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByRole('alert')).toContainText(/damaged|no collection/);
	await expect(page.getByTestId('backup')).toHaveCount(count);
	await page.getByLabel('A backup').setInputFiles({
		...{ name: 'mine.db', mimeType: 'application/octet-stream' },
		buffer: bytes
	});
	await page.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByText(/is in the list: look at it/)).toBeVisible();
	await expect(page.getByTestId('backup').filter({ hasText: 'brought in' })).toHaveCount(1);

	await page.getByLabel('Every so many days').fill('3');
	await page.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
	await expect(page.getByText('Kept.')).toBeVisible();
	expect((await request.get(`${empty.url}/api/backups/..%2Fjade.db`)).status()).toBe(404);
});
