import { expect, open, test } from './program.ts';

test('when to stop opening packs, with keys: a box more, open none, and what cannot be read', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/packs`);
	const verdict = page.getByTestId('verdict');
	await expect(verdict).toContainText('Open one more box, then buy singles.');
	await expect(page.getByTestId('next-box')).toContainText(/brings €\d+\.\d\d\s*for €86\.40/);
	const groups = page.getByTestId('pack-groups');
	await expect(groups.getByRole('row', { name: /^Fresnel/ })).toContainText('1:6');
	await expect(page.getByRole('list', { name: 'Cost by packs opened' })).toContainText('€');
	// Which packs hold what is missing; how many of each.
	const kinds = page.getByTestId('pack-kinds');
	await expect(kinds.getByRole('row', { name: /1994: Hobby/ })).toContainText('€2.40');

	// Dear packs, as old ones are: singles cost less.
	await page.getByLabel('A pack costs').fill('20');
	await page.keyboard.press('Enter');
	await expect(verdict).toContainText('Open none: singles cost less.');
	await expect(page.getByText('Best together: none of them.')).toBeVisible();
	await page.getByLabel('A pack costs').fill('much');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('much');
	// The release's own price counts again.
	await expect(verdict).toContainText('Open one more box');

	await page.getByLabel('A pack costs').fill('');
	await page.getByLabel('Packs to open').fill('72');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'What 72 packs promise' })).toBeVisible();
	await page.getByLabel('Goal').selectOption({ label: 'Brine & Beacon' });
	await expect(page.getByLabel('Packs of')).toContainText('Brine & Beacon: Booster');
	await expect(verdict).toContainText('Open none: singles cost less.');
});

test('collectors open packs over and over: progress, an answer beside the formula, and Stop', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/packs`);
	await page.getByRole('combobox', { name: 'Collectors' }).selectOption('1000');
	await page.getByRole('button', { name: 'Let them open' }).press('Enter');
	const told = page.getByTestId('simulation');
	await expect(told).toContainText(/Half are complete by [\d,]+ packs/);
	await expect(told).toContainText('they agree');
	await expect(page.getByRole('list', { name: 'Collectors by packs opened' })).toBeVisible();
	// Friends who have everything: it takes fewer.
	const half = async () =>
		Number(
			(/complete by ([\d,]+) packs/.exec((await told.textContent()) ?? '')?.[1] ?? '').replace(
				',',
				''
			)
		);
	const alone = await half();
	await page.getByLabel('friends trade one for one').check();
	await page.getByLabel('Doubles for a harder card').fill('10');
	await page.keyboard.press('Enter');
	await expect.poll(half).toBeLessThan(alone);
	await page.getByLabel('Doubles for a harder card').fill('x');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('"x" is no number');
	await page.getByLabel('Doubles for a harder card').fill('');
	await page.getByLabel('friends trade').uncheck();
	await page.getByRole('combobox', { name: 'Collectors' }).selectOption('100000');
	await page.getByRole('button', { name: 'Let them open' }).click();
	await page.getByRole('button', { name: 'Stop' }).click();
	await expect(page.getByRole('alert')).toContainText('It was stopped.');
});

test('a box is opened pack by pack with keys; undo; what is wrong is told and stands in the line', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/packs/openings`);
	await expect(page.getByRole('row', { name: /First box/ })).toContainText('36');
	await page.getByLabel('Packs of').selectOption({ label: 'Harbour Lights 1994: Hobby' });
	await page.getByLabel('Called').fill('Evening box');
	await page.getByLabel('A pack cost').fill('2.40');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Evening box' })).toBeVisible();
	const line = page.getByLabel('Entry line', { exact: true });
	const figures = page.getByTestId('opening-figures');
	await line.fill('1 2 3 F1 999');
	await expect(page.getByTestId('entry-problems')).toContainText('999');
	await line.fill('5 7 9 11 12 14 15 16 17 F5');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('opened-told')).toContainText('10 cards, 1 new.');
	await expect(figures).toContainText(/Packs\s*1/);
	await line.fill('1 2 3');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('opened-told')).toContainText(
		'1 × 10 cards would be 10; 3 are named'
	);
	const piles = page.getByTestId('opened-pile');
	await expect(piles).toHaveCount(2);
	await expect(page.getByTestId('realised-odds')).toContainText('Fresnel');
	await page.getByRole('button', { name: 'Undo' }).press('Enter');
	await expect(piles).toHaveCount(1);
	// A box at a time: what it held in one line.
	await page.getByRole('button', { name: 'a box of 36' }).press('Enter');
	await page.getByLabel('these cards are in the collection already').check();
	await line.fill('18x3 19 20x2');
	await page.keyboard.press('Enter');
	await expect(figures).toContainText(/Packs\s*37/);
	// Nobody else shares it: its cards are in the collection.
	await expect(page.getByText('Its cards are all yours')).toBeVisible();
	await page.getByText('Name and price, or forget it').click();
	await page.getByRole('button', { name: 'Forget this opening' }).click();
	await expect(page.getByRole('row', { name: /Evening box/ })).toHaveCount(0);
});

test('a club box is shared out by the group on each card; sealed stock is compared; a tile is opened', async ({
	page,
	ownDemo: { url }
}) => {
	await open(page, `${url}/packs/openings`);
	await page.getByRole('link', { name: /Club box/ }).click();
	const shares = page.getByTestId('share');
	await expect(shares).toHaveCount(3);
	await expect(shares.first()).toContainText(/Me \(you\)\s*\d+ cards/);
	await page.getByLabel('Of them you are').fill('Cy');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('"Cy" is none of them');
	await page.getByRole('button', { name: 'Take my share into the collection' }).press('Enter');
	await expect(page.getByText(/It was shared out on/)).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(
		page.getByRole('button', { name: 'Take my share into the collection' })
	).toBeVisible();

	// Keep, open and sell beside each other; opened it becomes an opening.
	await open(page, `${url}/packs/sealed`);
	const lots = page.getByTestId('sealed-lot');
	const box = lots.filter({ hasText: '1 box' });
	await expect(box).toContainText(/Opened: the most\s*€\d/);
	await expect(lots.filter({ hasText: '3 packs' })).toContainText('may be resealed');
	await page.getByText('Something else that is sealed').click();
	const added = page.locator('form[action="?/keep"]').last();
	await added.getByLabel('Each sells for').fill('lots');
	await added.getByLabel('Each cost').press('Enter');
	await expect(page.getByRole('alert')).toContainText('"lots" is no amount');
	await added.getByLabel('Each sells for').fill('80');
	await added.getByLabel('Packs, boxes or cases').selectOption('case');
	await added.getByLabel('Each cost').press('Enter');
	await expect(lots).toHaveCount(3);
	await page.getByLabel('It rises a year, %').fill('30');
	await page.keyboard.press('Enter');
	await expect(box).toContainText(/Kept, sold later: the most/);
	await page.getByRole('button', { name: 'Open one: Harbour Lights 1994: Hobby' }).press('Enter');
	await expect(page.getByRole('heading', { name: 'Harbour Lights 1994, Hobby box' })).toBeVisible();
	await expect(page.getByText('€1.61 a pack')).toBeVisible();

	// How many to open, and a copy opened.
	await open(page, `${url}/packs/tiles`);
	await expect(page.getByTestId('tiles-verdict')).toContainText(/For one prize open .+ about \d/);
	const row = page.getByRole('row', { name: /^Quiet Drab/ });
	await expect(row.getByRole('cell').nth(2)).toHaveText('2');
	await row.getByLabel('What was in Quiet Drab').selectOption('Tile 3');
	await row.getByRole('button', { name: 'Was in it' }).press('Enter');
	await expect(row.getByRole('cell').nth(2)).toHaveText('1');
	await expect(row.getByText('Tile 3: 1')).toHaveCount(1);
});

test('why the last cards cost most: a guess, the curve, and packs for fun', async ({
	page,
	demo: { url }
}) => {
	await open(page, `${url}/packs/last-cards`);
	await page.getByLabel('Packs of').selectOption({ label: 'Harbour Lights 1994: Hobby' });
	await expect(page.getByText(/How many packs of Hobby until there are all/)).toBeVisible();
	await page.getByLabel('Your guess, packs').fill('30');
	await page.keyboard.press('Enter');
	await expect(page.getByTestId('last-cards-answer')).toContainText(
		/You said 30\. On average it takes \d+ packs, [\d.]+ boxes: the last 2\d cards take \d+ %/
	);
	await expect(page.getByTestId('last-cards-stages').getByRole('row')).not.toHaveCount(1);
	const game = page.getByTestId('last-cards-game');
	await page.getByRole('button', { name: 'Open a pack' }).press('Enter');
	await expect(game).toContainText('1 pack opened for fun');
	await page.getByRole('button', { name: 'To the last card' }).press('Enter');
	await expect(game).toContainText(/complete, \d+ packs this time/);
	await page.getByRole('button', { name: 'Once more' }).press('Enter');
	await expect(game).toContainText('0 packs opened for fun');
});
