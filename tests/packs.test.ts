import { expect, open, test } from './program.ts';

test('when to stop opening packs, with keys: a box more, open none, and what cannot be read', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/packs`);
	const verdict = page.getByTestId('verdict');
	await expect(verdict).toContainText(/Open \d+ packs, then buy singles/);
	await expect(page.getByTestId('next-box')).toContainText(/brings €\d+\.\d\d\s*for €86\.40/);
	const groups = page.getByTestId('pack-groups');
	await expect(groups.getByRole('row', { name: /^Fresnel/ })).toContainText('1:6');
	await expect(page.getByRole('list', { name: 'Cost by packs opened' })).toContainText('€');

	// Dear packs, as old ones are: singles cost less.
	await page.getByLabel('A pack costs').fill('20');
	await page.keyboard.press('Enter');
	await expect(verdict).toContainText('Open none: singles cost less.');
	await page.getByLabel('A pack costs').fill('much');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('much');
	// The release's own price counts again.
	await expect(verdict).toContainText(/Open \d+ packs/);

	await page.getByLabel('A pack costs').fill('');
	await page.getByLabel('Packs to open').fill('72');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'What 72 packs promise' })).toBeVisible();
	await page.getByLabel('Goal').selectOption({ label: 'Brine & Beacon' });
	await expect(page.getByLabel('Packs of')).toContainText('Brine & Beacon: Booster');
	await expect(verdict).toContainText('Open none: singles cost less.');
});
