import type axe from 'axe-core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page, Request } from '@playwright/test';
import { expect, open, test } from './program.ts';
import { VIEWS } from './views.ts';

declare global {
	interface Window {
		axe: typeof axe;
		/** Where Tab must lead, and where it led: whether it was to be seen there. */
		walked: { readonly places: readonly Element[]; readonly seen: Map<Element, boolean> };
	}
}

/** The small form of axe: each page reads it anew. */
const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/**
 * Of children that are built alike (same tag, classes, role) three stay, and so of lines of lists and tables wherever these stand: axe
 * need not see 300 equal tiles, nor what a picture is drawn of.
 */
function thinOut() {
	for (const picture of document.querySelectorAll('svg')) picture.replaceChildren();
	const lines = new Map<string, number>();
	for (const parent of document.querySelectorAll('main *')) {
		const seen = new Map<string, number>();
		for (const child of [...parent.children]) {
			const inside = [...child.querySelectorAll('*')].map((part) => part.className).join('|');
			const built = [child.tagName, child.className, child.getAttribute('role'), inside].join(' ');
			const counts = /^(LI|TR)$/.test(child.tagName) ? lines : seen;
			counts.set(built, (counts.get(built) ?? 0) + 1);
			if ((counts.get(built) ?? 0) > 3) child.remove();
		}
	}
}

/** Each view is loaded once, by a browser that knows the others, and looked at in every way. */
async function look(page: Page, url: string, path: string) {
	const elsewhere: string[] = [];
	const hear = (request: Request) => {
		const asked = request.url();
		if (!asked.startsWith(`${url}/`) && !/^(data|blob):/.test(asked)) elsewhere.push(asked);
	};
	page.on('request', hear);
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto(url + path);
	await page.waitForFunction(() => window.jadeEarly === undefined);
	// As they were sent once, whether they come from there now or from what the browser kept.
	const { bytes, ofPage } = await page.evaluate(() => {
		const sent = (type: string, isCounted: (name: string) => boolean) =>
			performance
				.getEntriesByType(type)
				.filter(({ name }) => isCounted(new URL(name).pathname))
				.reduce((sum, each) => sum + (each as PerformanceResourceTiming).encodedBodySize, 0);
		return {
			bytes: sent('resource', (name) => name.endsWith('.js')),
			ofPage: sent('navigation', () => true) + sent('resource', (name) => name.startsWith('/api/'))
		};
	});
	expect.soft(bytes, `${path}: compressed script of the first load`).toBeLessThanOrEqual(145_000);
	expect.soft(bytes, path).toBeGreaterThan(10_000);
	expect.soft(ofPage, `${path}: page and data, compressed`).toBeLessThanOrEqual(150_000);
	expect.soft(ofPage, path).toBeGreaterThan(1_000);
	page.off('request', hear);
	expect.soft(elsewhere, `${path}: what other hosts are asked`).toEqual([]);

	const width = await page.evaluate(() => document.documentElement.scrollWidth);
	expect.soft(width, `${path}: width on a phone`).toBeLessThanOrEqual(390);
	// Published: WCAG 2.2, success criterion 1.4.4, text up to 200 %: half as many CSS pixels on the same screen.
	await page.setViewportSize({ width: 640, height: 400 });
	const zoomed = await page.evaluate(() => document.documentElement.scrollWidth);
	expect.soft(zoomed, `${path}: width at 200 %`).toBeLessThanOrEqual(640);
	await page.setViewportSize({ width: 1280, height: 800 });

	if (path === '/log') await page.getByLabel('Entry line').fill('1-4 Q7');
	await page.evaluate(thinOut);
	expect.soft(await walk(page), `${path}: walked by Tab`).toEqual([]);
	// A colour on its way to another is neither.
	await page.addStyleTag({ content: '* { transition: none !important }' });
	await page.evaluate(AXE);
	expect.soft(await findings(page, { type: 'tag', values: WCAG }), `${path} by day`).toEqual([]);
	// By night only the colours are others.
	await page.evaluate(() => (document.documentElement.dataset.theme = 'jade-night'));
	expect
		.soft(await findings(page, { type: 'rule', values: ['color-contrast'] }), `${path} by night`)
		.toEqual([]);
}

/** Watches what Tab leads to, and says to how many places of the page it must lead. */
function watchFocus(): number {
	if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
	const isReached = (element: Element) =>
		element instanceof HTMLElement &&
		element.tabIndex >= 0 &&
		!element.matches(':disabled, [type=hidden], [inert] *, svg *') &&
		element.checkVisibility({ visibilityProperty: true });
	const places = [
		...document.querySelectorAll(
			'main :is(a[href], button, input, select, textarea, summary, [tabindex])'
		)
	].filter(isReached);
	/** How it is drawn; of a choice whose own mark is hidden, its label or what stands beside it shows where the focus is. */
	const look = (element: Element) =>
		[element, element.closest('label'), element.nextElementSibling]
			.map((each) => {
				if (!each) return '';
				const { outlineStyle, outlineWidth, outlineColor, boxShadow } = getComputedStyle(each);
				return outlineStyle === 'none' ? boxShadow : outlineWidth + outlineColor + boxShadow;
			})
			.join();
	const before = new Map(places.map((place) => [place, look(place)]));
	window.walked = { places, seen: new Map() };
	document.addEventListener('focusin', ({ target }) => {
		if (!(target instanceof HTMLElement)) return;
		const isShown = look(target) !== before.get(target);
		const { top, bottom } = target.getBoundingClientRect();
		const isThere = bottom > 0 && top < window.innerHeight;
		window.walked.seen.set(target, isShown && isThere);
	});
	const main = document.querySelector<HTMLElement>('#main');
	if (main) main.tabIndex = -1;
	main?.focus();
	// A date is a place for each of its parts.
	return places.length + 4 * document.querySelectorAll('main input[type=date]').length;
}

/** Goes through a view by Tab: published, WCAG 2.2, success criteria 2.1.1, 2.1.2 and 2.4.7. What is not reached, or not seen. */
async function walk(page: Page): Promise<readonly string[]> {
	const count = await page.evaluate(watchFocus);
	// Scrolling parts are places of their own to a browser.
	for (let i = 0; i < count + 5; i++) await page.keyboard.press('Tab');
	return page.evaluate(() => {
		const { places, seen } = window.walked;
		/** Of a choice one radio is reached. */
		const isSeen = (place: Element) =>
			seen.has(place) ||
			(place instanceof HTMLInputElement &&
				place.type === 'radio' &&
				[...seen.keys()].some(
					(other) =>
						other instanceof HTMLInputElement &&
						other.name === place.name &&
						other.form === place.form
				));
		const tell = (element: Element) => element.outerHTML.slice(0, 160);
		return [
			...places
				.filter((place) => place.isConnected && place.checkVisibility() && !isSeen(place))
				.map((place) => `not reached: ${tell(place)}`),
			...[...seen].filter(([, isShown]) => !isShown).map(([place]) => `not seen: ${tell(place)}`)
		].slice(0, 6);
	});
}

/** Published: WCAG 2.2 AA, as far as axe can tell. Pictures are hidden from assistive technology. */
const findings = (page: Page, runOnly: axe.RunOnly) =>
	page.evaluate(async (only) => {
		const { violations } = await window.axe.run(
			{ exclude: ['svg'] },
			{ runOnly: only, resultTypes: ['violations'], preload: false }
		);
		return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`);
	}, runOnly);

const PARTS = 8;
for (let part = 0; part < PARTS; part++) {
	const views = VIEWS.filter((_, i) => i % PARTS === part);
	test(`accessible by day and night, at phone width, and light to load: ${views.join(' ')}`, async ({
		browser,
		demo
	}) => {
		// Only findings fail it; a busy machine may need its time for the six views of a part.
		test.setTimeout(240_000);
		const context = await browser.newContext({ colorScheme: 'light' });
		const page = await context.newPage();
		for (const path of views) await look(page, demo.url, path);
		await context.close();
	});
}

test('targets are large enough on a phone', async ({ page, demo }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto(`${demo.url}/log`);
	const box = await page.getByRole('button', { name: /^1, / }).boundingBox();
	// Published: WCAG 2.2, success criterion 2.5.8, target size (minimum) 24 × 24 CSS pixels.
	expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(24);
});

test('a word of the trade says what it means where it stands, by mouse and by keys, on a phone too', async ({
	page,
	demo
}) => {
	for (const size of [
		{ width: 1280, height: 800 },
		{ width: 390, height: 844 }
	]) {
		await page.setViewportSize(size);
		await open(page, `${demo.url}/worth/populations`);
		const word = page.getByRole('button', { name: 'Populations' });
		const note = page.getByText('how many copies of a card a house has graded, by grade');
		await word.click();
		await expect(note).toBeInViewport({ ratio: 1 });
		const [at, said] = [await word.boundingBox(), await note.boundingBox()];
		expect(Math.abs((said?.y ?? 0) - (at?.y ?? 0) - (at?.height ?? 0))).toBeLessThan(20);
		await page.keyboard.press('Escape');
		await expect(note).toBeHidden();
		await expect(word).toBeFocused();
		await page.keyboard.press('Enter');
		await expect(note).toBeVisible();
	}
});

test('who wants less motion sees none: nothing moves for longer than a blink', async ({
	browser,
	demo
}) => {
	const context = await browser.newContext({ reducedMotion: 'reduce' });
	const page = await context.newPage();
	for (const path of ['/', '/log', '/binders/1', '/boxes']) {
		await page.goto(demo.url + path);
		const longest = await page.evaluate(() =>
			Math.max(
				...[...document.querySelectorAll('*')].map((part) => {
					const { transitionDuration, animationDuration, scrollBehavior } = getComputedStyle(part);
					const times = `${transitionDuration}, ${animationDuration}`.split(', ').map(parseFloat);
					return scrollBehavior === 'smooth' ? 1 : Math.max(...times);
				})
			)
		);
		expect(longest, path).toBeLessThan(0.001);
	}
	await context.close();
});

test('numbers, days and money are written as the browser asks', async ({ browser, demo }) => {
	const context = await browser.newContext({ locale: 'de-DE' });
	const page = await context.newPage();
	await page.goto(`${demo.url}/buying/wants`);
	await expect(page.getByTestId('want').first()).toContainText(/\d,\d\d.€/);
	await page.goto(`${demo.url}/worth/prices`);
	await expect(page.getByText(/\d\d\.\d\d\.199\d/).first()).toBeVisible();
	await context.close();
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

test('an address that leads nowhere says so, and where to go on', async ({ page, demo }) => {
	for (const path of ['/releases/nix', '/goals/999', '/binders/999', '/no-such-view']) {
		expect((await page.goto(demo.url + path))?.status(), path).toBe(404);
		await page.waitForFunction(() => window.jadeEarly === undefined);
		await expect(page.getByRole('heading', { level: 1 })).toHaveText('There is nothing here');
		await expect(page.getByRole('link', { name: 'Search', exact: true }).last()).toBeVisible();
		await page.evaluate(AXE);
		expect(await findings(page, { type: 'tag', values: WCAG }), path).toEqual([]);
	}
	await page.getByRole('main').getByRole('link', { name: 'Journal' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Journal');
});
