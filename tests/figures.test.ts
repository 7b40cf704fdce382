import { expect, open, test } from './program.ts';

/** Figures that the demo's views show, worked by hand from the demo world's description. */
test.describe('the figures of the demo', () => {
	test('what can exist of Harbour Lights 1994, and how often a strict master can be built', async ({
		page,
		demo
	}) => {
		await open(page, `${demo.url}/releases/harbour-lights-1994`);
		// 240 base in Brass, 228 in Verdigris, 240 in First Beam; 37 inserts, 12 extras, 11 errors and photos.
		await expect(page.getByText('289 cards · 1,008 versions')).toBeVisible();
		await page.getByText('What can exist').click();
		const rowOf = (name: string) => page.getByRole('row', { name: new RegExp(`^${name} `) });
		await expect(rowOf('Base, Verdigris')).toContainText('24,960');
		await expect(rowOf('New Lamps, Verdigris')).toContainText('900');
		await expect(rowOf('Storm Watch, Verdigris')).toContainText('360');
		await expect(rowOf('Base, First Beam')).toContainText('2,080');
		await expect(page.getByRole('row', { name: /^Keepers' Dogs, Verdigris/ })).toHaveCount(0);
		await page.goto(`${demo.url}/goals/3`);
		const limit = page.locator('p', { hasText: 'sets can' });
		await expect(limit).toContainText('At most 10 such sets');
		await expect(limit).toContainText('the scarcest are First Beam: 1–240.');
		await expect(page.getByText(/had a print run under 25/)).toBeVisible();
	});

	test('a shared section counts in both years, and is listed where it is kept', async ({
		page,
		demo
	}) => {
		await page.goto(`${demo.url}/releases/harbour-lights-1994`);
		const shared = page.getByRole('region', { name: 'Shared sections' });
		await expect(shared).toContainText("Tallow Jack's Round, kept with Harbour Lights 1995");
		await page.goto(`${demo.url}/releases/harbour-lights-1995`);
		await expect(shared).toContainText('counts also in harbour-lights-1994');
		await page.goto(`${demo.url}/goals/1`);
		// 240 in the base numbering, 15 + 10 + 12 inserts, four of the round.
		await expect(page.getByText('of 281')).toBeVisible();
		await expect(page.getByRole('row', { name: /Tallow Jack's Round/ })).toContainText('J2, J4');
	});

	test('four tiles of a kind earn the prize', async ({ page, demo }) => {
		await page.goto(`${demo.url}/releases/moths-of-the-lamp`);
		const pieces = page.getByRole('region', { name: 'Pieces' });
		await expect(pieces).toContainText('24 cards hide tiles; 1 full set owned');
		await expect(pieces).toContainText('each earns The Great Lamp Moth');
		await expect(pieces.getByRole('listitem').filter({ hasText: 'Ash Lamp' })).toContainText(
			'1 full set'
		);
	});

	test('a binder lies subject by subject on the fewest pages, and on pages of twelve', async ({
		page,
		demo
	}) => {
		await open(page, `${demo.url}/binders/1`);
		await page.getByLabel('Order', { exact: true }).selectOption('subject');
		// 281 pockets take at least 32 pages of nine.
		await expect(page.getByText('32 pages on 16 leaves, the fewest there can be')).toBeVisible();
		await page.getByLabel('Pages').selectOption('4x3');
		await expect(page.getByText('24 pages on 12 leaves, the fewest there can be')).toBeVisible();
		await page.keyboard.press('ArrowRight');
		await expect(page.getByText('Pages 2 and 3 of 24')).toBeVisible();
		for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByLabel('Order', { exact: true })).toHaveValue('number');
	});

	test('goals are drawn over time, and the desk says what is best done next', async ({
		page,
		demo
	}) => {
		await page.goto(`${demo.url}/`);
		await expect(page.getByText('Storm Watch, 1 to go: 13').first()).toBeVisible();
		await open(page, `${demo.url}/goals/1`);
		const days = page.getByRole('table', { name: 'Cards had and needed by day' });
		await expect(days.getByRole('row').first()).toContainText('1996-01-07');
		await expect(days.getByRole('row').last()).toContainText('169');
		const drawn = await page.locator('canvas').evaluate((canvas: HTMLCanvasElement) => {
			const { data } = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? {
				data: []
			};
			return [...data].some((value) => value > 0);
		});
		expect(drawn).toBe(true);
	});
});
