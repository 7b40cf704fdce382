import type { APIRequestContext } from '@playwright/test';
import sharp from 'sharp';
import { CHECKLIST, expect, open, test } from './program.ts';

const RELEASE = 'small-lights-1994';

/** The small checklist, with an error of 2, and a goal for all of it. */
async function begin(request: APIRequestContext, url: string): Promise<void> {
	const address = `${url}/api/releases?name=Small%20Lights&maker=M&year=1994`;
	const headers = { 'content-type': 'text/csv' };
	expect((await request.post(address, { data: CHECKLIST, headers })).status()).toBe(201);
	const rules = { preset: 'with-inserts' };
	const goal = await request.post(`${url}/api/goals`, { data: { release: RELEASE, rules } });
	expect(goal.status()).toBe(201);
}

const log = (request: APIRequestContext, url: string, line: string) =>
	request.post(`${url}/api/releases/${RELEASE}/log`, {
		data: { line, numbering: null, parallel: null }
	});

test('what complete means is decided rule by rule, with the slots counted as one goes', async ({
	page,
	empty,
	request
}) => {
	await begin(request, empty.url);
	await log(request, empty.url, '1x2 nm 2 vg');
	await open(page, `${empty.url}/goals/new`);
	const slots = page.getByTestId('slots');
	// 30 base and subset; 38 with five Fresnel and three of the Storm Log; Brass on 30. By hand.
	await expect(slots).toHaveText('30');
	await page.getByLabel('With inserts').check();
	await expect(slots).toHaveText('38');
	await page.getByRole('radio', { name: 'All', exact: true }).check();
	await expect(slots).toHaveText('68');
	await page.getByLabel('Least print run').fill('46');
	await expect(slots).toHaveText('64');
	await expect(page.getByText('4 left out, printed fewer than 46 times')).toBeVisible();
	await page.getByLabel('Storm Log').first().uncheck();
	await expect(slots).toHaveText('61');
	await page.getByLabel('Sets at once').fill('2');
	await expect(slots).toHaveText('122');
	await page.getByLabel('Upgrade below').selectOption('near mint');
	await page.getByLabel('Name, if you like').fill('Two of everything');
	await page.getByRole('button', { name: 'Make the goal' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Two of everything');
	await expect(page.getByTestId('goal-have')).toHaveText('3');
	await expect(page.getByTestId('missing').first()).toContainText('2, 3–10 x2');
	await expect(page.getByRole('button', { name: /^2, .*to upgrade/ })).toBeVisible();

	await page.getByRole('link', { name: 'Rules' }).click();
	await expect(page.getByLabel('Subject collection')).toBeDisabled();
	await page.getByLabel('Group collection').check();
	await page.getByLabel('Group', { exact: true }).fill('Dogs');
	await expect(slots).toHaveText('4');
	await page.getByLabel('Hand-picked').check();
	await page.getByLabel('Card, by number or title').fill('F3');
	await page.keyboard.press('Enter');
	await page.getByLabel('Card, by number or title').fill('Bread');
	await page.keyboard.press('Enter');
	await expect(slots).toHaveText('2');
	await page.getByRole('button', { name: 'Save the rules' }).click();
	await expect(page.getByTestId('missing').first()).toHaveText('F3');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByTestId('goal-have')).toHaveText('3');
});

test('a pile is gone through by keys: needed, spare, better, and the last one back', async ({
	page,
	empty,
	request
}) => {
	await begin(request, empty.url);
	await log(request, empty.url, '5 vg 6 nm');
	await open(page, `${empty.url}/log?release=${RELEASE}`);
	await page.getByText('Trays').click();
	await page.getByLabel('Name of the pile').fill('Lot from the fair');
	await page.getByLabel('How many cards, or how high').fill('6');
	await page.getByRole('button', { name: 'Put in the tray' }).click();
	await page.getByRole('link', { name: 'Log it' }).click();

	const verdict = page.getByTestId('verdict');
	const take = async (line: string) => {
		await page.keyboard.type(line);
		await page.keyboard.press('Enter');
	};
	await expect(page.getByLabel('Next card')).toBeFocused();
	await take('7');
	await expect(verdict).toContainText('needed');
	await take('7');
	await expect(verdict).toContainText('2 copies now');
	await take('5 mint');
	await expect(verdict).toContainText('better than the one in');
	await take('6 vg');
	await expect(verdict).toContainText('spare');
	await take('9 brass');
	await expect(verdict).toContainText('no goal asks for it');
	await take('99');
	await expect(page.getByRole('alert')).toContainText('there is no card 99');
	await page.getByLabel('Next card').fill('');
	for (const [kind, count] of [
		['goal', 2],
		['spares', 2],
		['not-collected', 1]
	] as const) {
		await expect(page.getByTestId(`pile-${kind}`).locator('strong')).toHaveText(String(count));
	}
	await page.keyboard.press('Backspace');
	await expect(page.getByTestId('pile-not-collected')).toHaveCount(0);
	await expect(page.getByTestId('last-step')).toContainText('Take a card back');

	await page.getByRole('link', { name: 'Log', exact: true }).first().click();
	await expect(page.getByText('to log 2')).toBeVisible();
	await expect(page.getByText('to sort 4')).toBeVisible();
	const answer = await request.get(`${empty.url}/api/holdings.csv`);
	expect((await answer.text()).split('\r\n').filter((line) => line.includes(',5,'))).toHaveLength(
		2
	);
});

test('a mixed pile: choices by key and by tap, another one after all, and every release there is', async ({
	page,
	ownDemo
}) => {
	await open(page, `${ownDemo.url}/log/pile`);
	const next = page.getByLabel('Next card');
	const choices = page.getByRole('list', { name: 'What it may be' }).getByRole('listitem');
	const verdict = page.getByTestId('verdict');
	await next.fill('dinghy');
	await expect(choices).toHaveCount(2);
	await expect(choices.first()).toContainText('Marked issue');
	await page.keyboard.press('ArrowDown');
	await expect(choices.last().getByRole('button')).toHaveAttribute('aria-current', 'true');
	await page.keyboard.press('Enter');
	await expect(verdict).toContainText('Dinghy, Tidewater Strips');
	// The next number is looked for in the same set first, and the guess costs one key.
	await next.fill('28');
	await expect(choices.first()).toContainText('Sister issue');
	await expect(choices.first()).toContainText('same set as the card before');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('last-step')).toContainText('Tidewater Strips');
	await page.keyboard.press('ArrowDown');
	const taken = page.getByRole('list', { name: 'Taken off the pile' }).getByRole('listitem');
	await expect(taken).toHaveCount(2);
	await expect(taken.first()).toContainText('Marked issue');
	await next.fill('27 harbour 1994');
	await page.keyboard.press('Alt+9');
	await expect(taken).toHaveCount(2);
	await choices.first().getByRole('button').click();
	await expect(taken).toHaveCount(3);
	await expect(taken.first()).toContainText('Harbour Lights 1994');

	await page.getByLabel('Year, if all are of one').fill('1948');
	await next.fill('5-16');
	await page.getByRole('button', { name: 'Look in all releases' }).click();
	await expect(choices.first()).toContainText('Regatta Almanac 1948');
	await page.keyboard.press('Enter');
	await expect(taken.first()).toContainText('Regatta Almanac 1948');

	// A pile of one's own: what is misread is told by its line, what is kept counts for the next card.
	await page.getByText('What is kept apart').click();
	const lines = page.getByLabel('Storage classes');
	await lines.fill('Keepers: group Keepers\nBells: colour red');
	await page.getByRole('button', { name: 'Keep these lines' }).click();
	await expect(page.getByRole('alert')).toContainText('"colour red" is not understood');
	await lines.fill('Nan: subject Nan Gannaway');
	await page.getByRole('button', { name: 'Keep these lines' }).click();
	await expect(page.getByTestId('last-step')).toContainText('Storage classes');
	await page.getByLabel('Year, if all are of one').fill('');
	await next.fill('27 gannaway');
	await page.keyboard.press('Enter');
	await expect(verdict).toContainText('its subject is Nan Gannaway');
	await expect(page.getByTestId('pile-class')).toContainText('Nan');
});

test('a pile is left and taken up again: asked where it matters, described, protected, handed over', async ({
	page,
	ownDemo
}) => {
	await open(page, `${ownDemo.url}/log`);
	await page.getByRole('link', { name: 'Log it: Mixed box' }).click();
	const next = page.getByLabel('Next card');
	const verdict = page.getByTestId('verdict');
	const question = page.getByTestId('pile-question');
	await expect(page.getByText('Top of 60, drawn')).toBeVisible();
	await page.getByLabel('Maker').fill('Gullhaven');
	for (const number of ['75', '63']) {
		await next.fill(number);
		await page.keyboard.press('Enter');
	}
	await expect(page.getByText('Top of 58, drawn')).toBeVisible();
	// The third card is the variation at dusk: two looks tell it.
	await next.fill('41');
	await page.keyboard.press('Enter');
	await expect(question).toContainText('not looked at');
	while ((await question.count()) > 0 && !(await verdict.textContent())?.includes('dusk')) {
		const seen = ['white', 'whole', 'black', 'red'];
		const answers = question.getByRole('button');
		const labels = await answers.allTextContents();
		const at = labels.findIndex((label) => seen.some((value) => label.includes(value)));
		await answers.nth(at).click();
	}
	await expect(verdict).toContainText('dusk');
	// A key card is worth more words: its value says which holder it goes into.
	const form = page.getByRole('form', { name: 'Worth typing in full' });
	await next.fill('205');
	await page.keyboard.press('Enter');
	await form.getByLabel('Value').fill('five');
	await form.getByRole('button', { name: 'Keep' }).click();
	await expect(form.getByRole('alert')).toContainText('no amount');
	await form.getByLabel('Value').fill('12 EUR');
	await form.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('Described.')).toBeVisible();

	await open(page, `${ownDemo.url}/`);
	await open(page, `${ownDemo.url}/log/pile`);
	await page.getByRole('link', { name: 'Mixed box from Hob Lane' }).first().click();
	const taken = page.getByRole('list', { name: 'Taken off the pile' }).getByRole('listitem');
	await expect(taken).toHaveCount(4);
	await expect(page.getByText('Top of 56, drawn')).toBeVisible();
	await expect(page.getByLabel('Maker')).toHaveValue('Gullhaven');
	await expect(page.getByRole('region', { name: 'Sleeves and loaders' })).toContainText(
		'Top loader'
	);
	await page.getByRole('button', { name: 'They are in' }).click();
	await expect(page.getByRole('region', { name: 'Sleeves and loaders' })).toHaveCount(0);
	// Spares are sold; what was taken back alone is in the tray again.
	const spares = page.getByTestId('pile-spares');
	const before = Number(await spares.locator('strong').textContent());
	expect(before).toBeGreaterThan(0);
	await spares.getByRole('button', { name: 'To sell: Spares' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'handed over' })).toBeVisible();
	await expect(spares).toHaveCount(0);
	await expect(taken).toHaveCount(4 - before);
	await page.keyboard.press('Backspace');
	await expect(taken).toHaveCount(3 - before);
	await expect(page.getByText('Top of 57, drawn')).toBeVisible();
	const csv = await (await page.request.get(`${ownDemo.url}/api/holdings.csv`)).text();
	expect(csv).toContain('to sell');
});

test('sixty known cards a minute: a number and Enter each, answered within one frame', async ({
	page,
	ownDemo
}) => {
	await open(page, `${ownDemo.url}/log/pile?release=harbour-lights-1994`);
	const numbers = Array.from({ length: 60 }, (_, i) => String(1 + ((i * 37) % 160)));
	const late = await page.evaluate(async (cards) => {
		const input = document.querySelector<HTMLInputElement>('#entry-line');
		const missed: string[] = [];
		for (const number of cards) {
			if (!input?.form) return ['no entry line'];
			input.value = number;
			input.dispatchEvent(new InputEvent('input', { bubbles: true }));
			input.form.requestSubmit();
			await new Promise((resolve) => requestAnimationFrame(resolve));
			const shown = document.querySelector('[data-testid="verdict"] .font-semibold');
			if (shown?.textContent !== number) missed.push(number);
		}
		return missed;
	}, numbers);
	expect(late).toEqual([]);
	// Two keys or three for the number and one for Enter: four at most a card.
	expect(Math.max(...numbers.map(({ length }) => length + 1))).toBeLessThanOrEqual(4);
	const taken = page.getByRole('list', { name: 'Taken off the pile' }).getByRole('listitem');
	await expect(taken).toHaveCount(30);
	await expect(page.getByText('not logged')).toHaveCount(0);
	await expect(page.getByTestId('last-step')).toContainText(`log ${numbers.at(-1)}`);
});

test('the entry line comes over any view by a key; completes, says what it will do, and is undone', async ({
	page,
	empty,
	request
}) => {
	await begin(request, empty.url);
	await open(page, `${empty.url}/goals/1`);
	await page.keyboard.press('/');
	const line = page.getByLabel('Entry line', { exact: true }).last();
	await expect(line).toBeFocused();
	await page.keyboard.type('1-3 nm 4 bra');
	await page.keyboard.press('Tab');
	await expect(line).toHaveValue('1-3 nm 4 brass ');
	await page.keyboard.type('12/120');
	await expect(page.getByText('Enter adds 4 cards: 4 new.')).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(line).toHaveValue('');
	await page.keyboard.press('Escape');
	await expect(page.getByTestId('goal-have')).toHaveText('3');
	await page.keyboard.press('Control+z');
	await expect(page.getByTestId('goal-have')).toHaveText('0');
});

test('a copy is described, photographed, found again, and its steps are taken back', async ({
	page,
	empty,
	request
}) => {
	await begin(request, empty.url);
	await open(page, `${empty.url}/releases/${RELEASE}/cards/base-2`);
	await page.getByRole('button', { name: 'Record a copy' }).last().click();
	await page.getByLabel('Serial, as printed').fill('130/120');
	await page.getByLabel('Kept in').fill('Tin box');
	await page.getByLabel('Value of one').fill('12.50');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('alert')).toContainText('there is no copy 130 of 120');
	await expect(page.getByRole('alert')).toContainText('an amount needs its currency');
	await page.getByLabel('Serial, as printed').fill('13/120');
	await page.getByLabel('Currency').fill('eur');
	await page.getByLabel('Add a photo').setInputFiles({
		name: 'note.txt',
		mimeType: 'image/png',
		buffer: Buffer.from('no picture')
	});
	await expect(page.getByRole('alert')).toContainText('no picture that can be read');
	await page.getByLabel('Add a photo').setInputFiles({
		name: 'front.png',
		mimeType: 'image/png',
		buffer: await sharp({ create: { width: 63, height: 88, channels: 3, background: 'teal' } })
			.png()
			.toBuffer()
	});
	const photo = page.getByRole('img', { name: 'This copy' });
	await expect(photo).toBeVisible();
	await expect(page.getByLabel('Serial, as printed')).toHaveValue('13/120');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('13/120 · in Tin box · worth €12.50')).toBeVisible();
	expect(await photo.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(63);

	await page.keyboard.press('s');
	await expect(page.getByLabel('Search everything')).toBeFocused();
	await page.keyboard.type('tin b');
	await page.getByRole('link', { name: /Lamp 2.*13\/120/ }).click();
	await expect(page.getByText('in Tin box')).toBeVisible();

	// A pile of three: one key takes one off, to be described by itself.
	await log(request, empty.url, '2x3');
	await page.reload({ waitUntil: 'networkidle' });
	await page.keyboard.press('x');
	await expect(page.getByText('2 × not looked at')).toBeVisible();
	await expect(page.getByLabel('Quantity')).toHaveValue('1');
	await expect(page.getByText('✓ filled')).toBeVisible();

	await page.getByRole('link', { name: 'Journal' }).click();
	await page.getByRole('button', { name: 'Take back: Record a copy' }).click();
	await expect(page.getByRole('alert')).toContainText('changed the same things later');
	await page.getByRole('button', { name: 'Take back: Add a photo' }).click();
	await expect(page.getByText('Take back: Add a photo').first()).toBeVisible();
});

test('holdings made by LibreOffice: sets are chosen, what fits comes in, the rest is settled', async ({
	page,
	demo
}) => {
	await open(page, `${demo.url}/log/holdings`);
	await page.getByLabel('File').setInputFiles('tests/files/holdings-by-libreoffice.xlsx');
	await expect(page.getByTestId('matched')).toHaveText('4');
	await expect(page.getByText('Harbour Lights 1994 has no 999')).toBeVisible();
	await page.getByLabel('Release for Signal Yr').selectOption('');
	await expect(page.getByTestId('matched')).toHaveText('3');
	await page.getByLabel('Release for Signal Yr').selectOption('signal-year-2019');
	await expect(page.getByTestId('matched')).toHaveText('4');
	await page.getByRole('button', { name: 'Take in 4 rows, keep 1 to settle' }).click();
	await expect(page.getByText('4 rows of holdings-by-libreoffice.xlsx taken in')).toBeVisible();
	await page.getByLabel('Release', { exact: true }).selectOption('harbour-lights-1994');
	await page.getByLabel('Card, as an entry line').fill('zz');
	await page.getByRole('button', { name: 'Settle' }).click();
	await expect(page.getByRole('alert')).toContainText('neither a number nor a word');
	await page.getByLabel('Card, as an entry line').fill('9 brass');
	await page.getByRole('button', { name: 'Settle' }).click();
	await expect(page.getByRole('heading', { name: 'To settle' })).toHaveCount(0);
	for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByTestId('last-step')).not.toContainText('Import holdings');
});

test('on the phone: wants are ticked off with a tap, and a pile is gone through', async ({
	page,
	empty,
	request
}) => {
	await begin(request, empty.url);
	await page.setViewportSize({ width: 390, height: 844 });
	await open(page, `${empty.url}/goals/1/wants`);
	await expect(page.getByText('missing of 38')).toBeVisible();
	await page.getByRole('button', { name: '17', exact: true }).click();
	await expect(page.getByText('37', { exact: true })).toBeVisible();
	await expect(page.getByRole('button', { name: '17', exact: true })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await page.getByRole('button', { name: '17', exact: true }).click();
	await expect(page.getByText('38', { exact: true })).toBeVisible();
	// Two sets, one copy there already: a tap adds the second one, another takes only that back.
	await log(request, empty.url, '5 good');
	const rules = { preset: 'base', sets: 2 };
	await request.post(`${empty.url}/api/goals`, { data: { release: RELEASE, rules } });
	await open(page, `${empty.url}/goals/2/wants`);
	const five = page.getByRole('button', { name: '5', exact: true });
	const owned = async () => {
		const csv = await (await request.get(`${empty.url}/api/holdings.csv`)).text();
		return csv.split('\r\n').filter((row) => row.includes(',Base,5,')).length;
	};
	await five.click();
	await expect.poll(owned).toBe(2);
	await five.click();
	await expect.poll(owned).toBe(1);
	expect(await (await request.get(`${empty.url}/api/holdings.csv`)).text()).toContain('good');
	const wide = await page.evaluate(() => document.documentElement.scrollWidth);
	expect(wide).toBeLessThanOrEqual(390);
	await open(page, `${empty.url}/log/pile?release=${RELEASE}`);
	await page.getByLabel('Next card').fill('3');
	await page.getByRole('button', { name: 'Take it' }).click();
	await expect(page.getByTestId('verdict')).toContainText('needed');
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
