import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './program.ts';

const VIEWS = [
	'/',
	'/releases',
	'/releases/import',
	'/releases/outline',
	'/releases/compare',
	'/releases/signal-year-2019/edit',
	'/releases/the-drowned-bell',
	'/releases/harbour-lights-1994',
	'/releases/subjects/Quiet%20Harbour%20Light',
	'/goals',
	'/goals/new',
	'/goals/1',
	'/goals/3',
	'/goals/1/rules',
	'/goals/1/wants',
	'/log',
	'/log/stack',
	'/log/holdings',
	'/releases/harbour-lights-1994/cards/base-27',
	'/search?q=harbour',
	'/journal',
	'/binders',
	'/binders/1',
	'/binders/2',
	'/binders/1/moves',
	'/binders/1/supplies',
	'/binders/1/print',
	'/binders/1/show',
	'/binders/kinds',
	'/binders/side-by-side',
	'/boxes',
	'/boxes/sorting',
	'/boxes/plan',
	'/boxes/16',
	'/boxes/slips',
	'/boxes/slips/1',
	'/boxes/slips/1?whole',
	'/boxes/questions',
	'/boxes/holders',
	'/boxes/labels',
	'/boxes/shelves'
];

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

for (const theme of ['jade-day', 'jade-night']) {
	test(`every view is accessible in ${theme}`, async ({ page, demo, context }) => {
		test.setTimeout(480_000);
		await context.addCookies([{ name: 'theme', value: theme, url: demo.url }]);
		for (const path of VIEWS) {
			await page.goto(demo.url + path);
			if (path === '/log') await page.getByLabel('Entry line').fill('1-4 Q7');
			// Published: WCAG 2.2 AA, as far as axe can tell.
			const axe = new AxeBuilder({ page })
				// Pictures are hidden from assistive technology and hold thousands of shapes.
				.exclude('svg');
			// By night only the colours are others.
			const { violations } = await (
				theme === 'jade-day' ? axe.withTags(WCAG) : axe.withRules('color-contrast')
			).analyze();
			const told = violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html ?? ''}`);
			expect(told).toEqual([]);
		}
	});
}

test('no view is wider than a phone, and targets are large enough', async ({ page, demo }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	for (const path of VIEWS) {
		await page.goto(demo.url + path);
		const width = await page.evaluate(() => document.documentElement.scrollWidth);
		expect(width, path).toBeLessThanOrEqual(390);
	}
	await page.goto(`${demo.url}/log`);
	const box = await page.getByRole('button', { name: /^1, / }).boundingBox();
	// Published: WCAG 2.2, success criterion 2.5.8, target size (minimum) 24 × 24 CSS pixels.
	expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(24);
});

test('the first load of each view sends at most 130 kB of compressed script', async ({
	browser,
	demo
}) => {
	// Every view in a context of its own takes some seconds on a busy machine; only sizes are asserted.
	test.setTimeout(240_000);
	for (const path of VIEWS) {
		// A context of its own each time: nothing is in the cache yet.
		const context = await browser.newContext();
		const page = await context.newPage();
		const sizes: Promise<number>[] = [];
		page.on('requestfinished', (request) => {
			if (request.resourceType() !== 'script') return;
			sizes.push(request.sizes().then(({ responseBodySize }) => responseBodySize));
		});
		await page.goto(demo.url + path, { waitUntil: 'networkidle' });
		const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
		expect(bytes, path).toBeLessThanOrEqual(130_000);
		expect(bytes, path).toBeGreaterThan(10_000);
		await context.close();
	}
});

test('a choice of theme stays, and the drag of a tile does not select text', async ({
	page,
	demo
}) => {
	await page.goto(`${demo.url}/log`);
	await page.getByRole('button', { name: 'Dark theme' }).click();
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'jade-night');
	await expect(page).toHaveURL(/\/log$/);
	await page.getByRole('button', { name: 'Light theme' }).click();
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'jade-day');
});
