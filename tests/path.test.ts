import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { CHECKLIST, expect, open, test } from './program.ts';

const tile = (page: Page, number: number | string) =>
	page.getByRole('button', { name: new RegExp(`^${number}, `) });

test('the whole path with the mouse, with a restart in the middle', async ({
	page,
	empty,
	context
}) => {
	await context.grantPermissions(['clipboard-read', 'clipboard-write']);
	await page.goto(empty.url);
	await page.getByRole('link', { name: 'Import a checklist' }).click();

	// Checklist in: a file is chosen, previewed at once, created whole.
	await page.getByLabel('Maker').fill('Gullhaven Card Works');
	await page.getByLabel('Drag a file in here').setInputFiles({
		name: 'small-lights-1994.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(CHECKLIST)
	});
	await expect(page.getByText('This would create 38 cards in 4 sections')).toBeVisible();
	await expect(page.getByText('68 versions')).toBeVisible();
	await page.getByRole('button', { name: 'Create Small lights 1994' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Small lights 1994');

	// Decide what complete means.
	await page.getByRole('link', { name: 'Make a goal' }).click();
	await expect(page.getByRole('radio', { name: /^Base The/ })).toBeVisible();
	await page.getByText('Complete, and every insert set.').click();
	await page.getByRole('button', { name: 'Make the goal' }).click();
	await expect(page.getByTestId('goal-have')).toHaveText('0');
	const goalUrl = new URL(page.url()).pathname;

	// Log: a preview before Enter, one line, one transaction.
	await page.getByRole('link', { name: 'Log', exact: true }).click();
	const line = page.getByLabel('Entry line');
	await line.fill('1-20 25 28x2 F1-F4');
	await expect(page.getByText('Enter adds 27 cards: 26 new, 1 to spare.')).toBeVisible();
	await page.getByRole('button', { name: 'Log', exact: true }).click();
	await expect(page.getByTestId('wall-have').first()).toHaveText('22');
	await expect(tile(page, 28)).toHaveAttribute('data-state', 'spare');

	// The wall: click, drag over many, shift-click; the count changes at once.
	await tile(page, 21).click();
	await expect(page.getByTestId('wall-have').first()).toHaveText('23');
	await tile(page, 22).hover();
	await page.mouse.down();
	await tile(page, 23).hover();
	await tile(page, 24).hover();
	await page.mouse.up();
	await expect(page.getByTestId('wall-have').first()).toHaveText('26');
	await tile(page, 1).click();
	await tile(page, 3).click({ modifiers: ['Shift'] });
	// The second change is with the server, not only on the wall: the restart must not lose it.
	await expect(page.getByTestId('last-step')).toContainText('take out 2 cards');
	await expect(tile(page, 2)).toHaveAttribute('data-state', 'missing');
	await expect(page.getByTestId('wall-have').first()).toHaveText('23');

	// Restart: what was done stays, and can be undone.
	await page.waitForLoadState('networkidle');
	await open(page, (await empty.restart()) + goalUrl);
	const before = Number(await page.getByTestId('goal-have').textContent());
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByTestId('goal-have')).not.toHaveText(String(before));
	await page.getByRole('button', { name: 'Redo' }).click();
	await expect(page.getByTestId('goal-have')).toHaveText(String(before));
	for (let i = 0; i < 2; i++) {
		const undone = page.waitForResponse(/\/api\/journal\/undo$/);
		await page.getByRole('button', { name: 'Undo' }).click();
		expect((await undone).ok()).toBe(true);
		await expect(page.getByText(/^Undone: /)).toBeVisible();
		await page.waitForLoadState('networkidle');
	}

	// The missing list: as text and as CSV.
	await expect(page.getByTestId('goal-have')).toHaveText('30');
	await expect(page.getByTestId('missing').first()).toHaveText('26, 27, 29, 30');
	await page.getByRole('button', { name: 'Copy as text' }).click();
	await expect(page.getByText('Copied', { exact: true })).toBeVisible();
	expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(
		[
			'Small lights 1994, with inserts: missing',
			'Base (22 of 26): 26, 27, 29, 30',
			'Fresnel (4 of 5): F5',
			'Storm Log (0 of 3): "Bread", "Fog, again", "Oil"'
		].join('\n')
	);
	const downloading = page.waitForEvent('download');
	await page.getByRole('link', { name: 'CSV' }).click();
	const csv = await readFile(await (await downloading).path(), 'utf8');
	expect(csv.split('\r\n').slice(0, 2)).toEqual([
		'release,section,parallel,number,title,variant,quantity',
		'Small lights 1994,Base,,26,Lamp 26,,1'
	]);
	expect(csv).toContain('Storm Log,,,"Fog, again"');

	// The binder: nine pockets a page, a new page a section, placeholders for what is missing.
	await page.getByRole('button', { name: 'Plan a binder for it' }).click();
	await expect(page.getByText('of 6')).toBeVisible();
	await expect(page.getByTestId('pocket')).toHaveCount(9);
	await page.getByRole('button', { name: 'Leaf on' }).click();
	await expect(page.getByTestId('pocket')).toHaveCount(18);
	await expect(page.getByRole('button', { name: '26, Lamp 26, Base, missing' })).toBeVisible();
	await page.getByLabel('Each section').selectOption('runs-on');
	await expect(page.getByText('of 5')).toBeVisible();
	await page.getByLabel('Go to').selectOption({ label: 'Storm Log, page 4' });
	await expect(page.getByRole('button', { name: 'Bread, Storm Log, missing' })).toBeVisible();
	expect(empty.output()).not.toContain('Error');
});

test('the whole path by keyboard alone', async ({ page, empty }) => {
	await page.goto(empty.url);
	const tabTo = async (
		name: string | RegExp,
		role: 'link' | 'button' | 'radio' | 'textbox' = 'link'
	) => {
		const wanted = page.getByRole(role, { name, exact: typeof name === 'string' }).first();
		for (let i = 0; i < 60; i++) {
			await page.keyboard.press('Tab');
			if (await wanted.evaluate((element) => element === document.activeElement)) return;
		}
		throw new Error(`Tab does not reach ${String(name)}`);
	};
	const type = async (name: string, text: string) => {
		await tabTo(name, 'textbox');
		await page.keyboard.insertText(text);
	};

	await tabTo('Import a checklist');
	await page.keyboard.press('Enter');
	await page.getByRole('heading', { name: 'Import a checklist' }).waitFor();
	await type('Or paste it', CHECKLIST);
	await type('Release', 'Small Lights');
	await type('Maker', 'M');
	await type('Year or season', '1994');
	await tabTo('Preview', 'button');
	await page.keyboard.press('Enter');
	await expect(page.getByText('This would create 38 cards')).toBeVisible();
	await tabTo('Create Small Lights', 'button');
	await page.keyboard.press('Enter');
	await tabTo('Make a goal');
	await page.keyboard.press('Enter');
	await tabTo(/^Complete /, 'radio');
	await page.keyboard.press('ArrowUp');
	await expect(page.getByRole('radio', { name: /^Base The/ })).toBeChecked();
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('goal-have')).toHaveText('0');

	// "/" goes to the entry line; a word that is not understood is marked and selected.
	await page.waitForLoadState('networkidle');
	await tabTo('Log');
	await page.keyboard.press('Enter');
	await page.getByRole('heading', { name: 'Log', exact: true }).waitFor();
	await page.keyboard.press('/');
	await page.keyboard.type('1-5 Q7 F1');
	await expect(page.getByTestId('entry-problems')).toContainText(
		'“Q7” (characters 5 to 6): no section has the prefix Q. Prefixes here: F.'
	);
	await page.keyboard.press('Enter');
	await page.keyboard.type('9');
	await expect(page.getByLabel('Entry line')).toHaveValue('1-5 9 F1');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('wall-have').first()).toHaveText('6');

	// "All but" gives the whole numbering in one line.
	await page.keyboard.type('all but 7, 12, 25-28');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('wall-have').first()).toHaveText('24');

	// The wall by keys: a run of tiles, one copy more, undo and redo.
	await tabTo(/^1, Lamp 1/, 'button');
	for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
	await page.keyboard.press('Space');
	await expect(page.getByTestId('wall-have').first()).toHaveText('25');
	await page.keyboard.press('+');
	await expect(tile(page, 7)).toHaveAttribute('data-state', 'spare');
	await page.keyboard.press('End');
	await page.keyboard.press('ArrowLeft');
	await page.keyboard.press('Shift+ArrowRight');
	await page.keyboard.press('Space');
	await expect(page.getByTestId('wall-have').first()).toHaveText('23');
	await page.keyboard.press('Control+z');
	await expect(page.getByTestId('wall-have').first()).toHaveText('25');
	await page.keyboard.press('Control+Shift+z');
	await expect(page.getByTestId('wall-have').first()).toHaveText('23');
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toContainText('one copy more, one less');
	await page.keyboard.press('Escape');

	// A binder, leafed by arrow keys.
	await tabTo('Binders');
	await page.keyboard.press('Enter');
	await tabTo('Plan it', 'button');
	await page.keyboard.press('Enter');
	await expect(page.getByText('Page 1 of 3')).toBeVisible();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByText('Pages 2 and 3 of 3')).toBeVisible();
	await page.keyboard.press('Home');
	await expect(page.getByText('Page 1 of 3')).toBeVisible();
});

test('a file dragged in is previewed; a refused one leaves nothing behind', async ({
	page,
	empty
}) => {
	await page.goto(`${empty.url}/releases/import`);
	const drop = async (name: string, text: string) => {
		const transfer = await page.evaluateHandle(
			([fileName, content]) => {
				const data = new DataTransfer();
				data.items.add(new File([content], fileName));
				return data;
			},
			[name, text] as const
		);
		await page
			.getByRole('group', { name: 'File' })
			.dispatchEvent('drop', { dataTransfer: transfer });
	};
	await page.getByLabel('Maker').fill('M');
	await drop('twice-1994.csv', 'number,title\n1,A\n2,B\n1,C\n5,<i>D</i>\n');
	await expect(
		page.getByRole('heading', { name: '1 problem in twice-1994.csv; nothing was imported' })
	).toBeVisible();
	await expect(page.getByText('line 4, number: number 1 is already used by "A"')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Create/ })).toHaveCount(0);
	await drop('once-1994.csv', 'number,title\n1,A\n5,<i>D</i>\n');
	await expect(page.getByText('line 3, title: the title holds markup (<i>)')).toBeVisible();
	await page.getByRole('button', { name: /^Create/ }).click();
	await expect(page.getByText('<i>D</i>')).toBeVisible();
	await page.goto(`${empty.url}/releases`);
	await expect(page.getByRole('listitem').filter({ hasText: 'M, 1994' })).toHaveCount(1);
});

test('an empty collection offers the sample, and it loads', async ({ page, empty }) => {
	for (const path of ['/', '/releases', '/goals', '/log', '/binders']) {
		await page.goto(empty.url + path);
		await expect(page.getByRole('button', { name: 'Load the sample' })).toBeVisible();
	}
	await page.getByRole('button', { name: 'Load the sample' }).click();
	await expect(page.getByRole('progressbar', { name: 'Loading the sample' })).toBeVisible();
	// As long as it takes: the test's own time ends it.
	await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible({
		timeout: 0
	});
	await expect(page.getByTestId('goal-have').first()).toHaveText('169');
});
