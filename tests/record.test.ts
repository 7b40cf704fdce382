import { CHECKLIST, expect, open, test } from './program.ts';

const RELEASE = 'small-lights-1994';
const QUERY = 'name=Small%20Lights&maker=M&year=1994';
const csv = { 'content-type': 'text/csv' };

test('a release grows by lines, by a list over releases and by a sketch of the next year', async ({
	empty,
	page,
	request
}) => {
	await request.post(`${empty.url}/api/releases?${QUERY}`, { data: CHECKLIST, headers: csv });
	await open(page, `${empty.url}/releases/${RELEASE}/edit`);
	await page.getByRole('button', { name: 'Add lines' }).click();
	const lines = page.getByLabel('Lines of an outline');
	await lines.fill('insert Moths: M1-M9\nsubset Tides in Base: 2-3\nkey 999');
	await expect(page.getByText('there is no card 999')).toBeVisible();
	const add = page.getByRole('button', { name: 'Add to Small Lights' });
	await expect(add).toBeDisabled();
	await lines.fill('insert Moths: M1-M9\nsubset Tides in Base: 2-3\nkey 5');
	await expect(page.getByText('9 new cards')).toBeVisible();
	await expect(page.getByText('takes over')).toContainText('2, 3');
	await add.click();
	await expect(lines).toHaveValue('');
	const stored = async () =>
		(await (await request.get(`${empty.url}/api/releases/${RELEASE}/checklist.json`)).json()) as {
			sections: { name: string; cards: { key: string; subjects?: string[] }[] }[];
		};
	const tides = (await stored()).sections.find(({ name }) => name === 'Tides');
	expect(tides?.cards.map(({ key }) => key)).toEqual(['base-2', 'base-3']);

	await page.getByRole('button', { name: 'Subjects from titles' }).click();
	await expect(page.getByText('“Lamp 1”')).toBeVisible();
	await page.getByRole('button', { name: /Give \d+ cards their subjects/ }).click();
	await expect(page.getByText('No title says a subject that its card lacks.')).toBeVisible();
	expect((await stored()).sections[0]?.cards[0]?.subjects).toEqual(['Lamp 1']);

	await page.getByRole('button', { name: 'Add lines' }).click();
	await page.getByRole('link', { name: 'as a list' }).click();
	await expect(page.getByRole('radio', { name: /A list of cards/ })).toBeChecked();
	await page
		.getByLabel('Or paste it')
		.fill(
			'release,maker,year,section,number,title\n,,,Base,77,Late\nNew Lights,Rival,1995,Base,1,First'
		);
	await page.getByRole('button', { name: 'Preview' }).click();
	await expect(page.getByRole('row', { name: /Small Lights/ })).toContainText('cards: 1 added');
	await expect(page.getByRole('row', { name: /New Lights/ })).toContainText('new');
	await expect(page.getByRole('radio', { name: /A list of cards/ })).toBeChecked();
	await page.getByRole('button', { name: 'Add these cards' }).click();
	await expect(page.getByRole('link', { name: 'New Lights' }).first()).toBeVisible();

	// A subject may be called anything, and is found under its name all the same.
	const strange = '/A & B? 100 % #1/';
	await request.post(`${empty.url}/api/card-lists?${QUERY}`, {
		data: `section,number,title,subjects\nBase,78,Both,${strange}`,
		headers: csv
	});
	await page.goto(`${empty.url}/releases/${RELEASE}/cards/base-78`);
	await page.getByRole('link', { name: strange, exact: true }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText(strange);
	await page.goto(`${empty.url}/releases/year/1994`);
	await expect(page.getByRole('link', { name: strange, exact: true })).toHaveAttribute(
		'href',
		/%2FA%20%26%20B%3F%20100%20%25%20%231%2F$/
	);

	await open(page, `${empty.url}/releases/${RELEASE}`);
	await page.getByRole('link', { name: 'Another like it' }).click();
	await expect(page.getByLabel('Outline', { exact: true })).toHaveValue(
		/^release Small Lights, M, 1995/
	);
	await page.getByRole('button', { name: 'Create Small Lights' }).click();
	await expect(page.getByText('M, 1995')).toBeVisible();
});

test('a goal of single versions, done and on to its next ring; a hunt that is found; rows that make a release', async ({
	empty,
	page,
	request
}) => {
	await request.post(`${empty.url}/api/releases?${QUERY}`, { data: CHECKLIST, headers: csv });
	await open(page, `${empty.url}/goals/new?release=${RELEASE}`);
	await page.getByRole('radio', { name: /Hand-picked/ }).check();
	const picked = page.getByLabel('Versions, by an entry line');
	await picked.fill('1-2 brass, nonsense');
	await picked.press('Enter');
	await expect(page.getByText(/nonsense/).first()).toBeVisible();
	await picked.fill('1-2 brass');
	await picked.press('Enter');
	await expect(page.getByText('1, Brass')).toBeVisible();
	await page.getByLabel('Sets at once').fill('1');
	await page.getByRole('button', { name: 'Make the goal' }).click();
	await expect(page.getByTestId('goal-have')).toHaveText('0');
	await request.post(`${empty.url}/api/releases/${RELEASE}/log`, {
		data: { line: '1-2 brass', numbering: null, parallel: null }
	});
	await page.reload({ waitUntil: 'networkidle' });
	await expect(page.getByText('Complete. The next ring?')).toBeVisible();
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Another set' })
		.getByRole('button', { name: 'Add 2 slots' })
		.click();
	await expect(page.getByText('of 4').first()).toBeVisible();
	await page.getByText('In other ways').click();
	await expect(page.getByRole('region', { name: 'Set', exact: true })).toContainText('Set 2');

	const checklist = (await (
		await request.get(`${empty.url}/api/releases/${RELEASE}/checklist.json`)
	).json()) as object;
	await request.put(`${empty.url}/api/releases/${RELEASE}`, {
		data: { ...checklist, hunts: [{ name: 'F6, never seen', section: 'fresnel' }] }
	});
	await open(page, `${empty.url}/releases/${RELEASE}`);
	await page.getByText('Found, or looked for again').click();
	await page.getByLabel('Looked for, where').fill('the fair');
	await page.getByRole('button', { name: 'Not found today' }).click();
	await expect(page.getByText(/last looked for on/)).toContainText('the fair');
	const found = page.getByLabel(/As lines of an outline/);
	await found.fill('insert Fresnel: nonsense words');
	await page.getByRole('button', { name: 'Found: add it' }).click();
	await expect(page.getByText(/not understood of a section/)).toBeVisible();
	await found.fill('insert Fresnel: F6');
	await page.getByRole('button', { name: 'Found: add it' }).click();
	await expect(page.getByText('Still looked for')).toBeHidden();

	await open(page, `${empty.url}/log/holdings`);
	await page.getByLabel('Or paste it').fill('year,set,number,subject\n1993,Old Lights,7,Ada');
	await page.getByRole('button', { name: 'Preview' }).click();
	await page.getByRole('button', { name: /keep 1 to settle/ }).click();
	await page.getByRole('button', { name: 'Make release and card' }).click();
	await expect(page.getByText('1 row taken in, 1 release made')).toBeVisible();
	await open(page, `${empty.url}/releases/old-lights-1993/cards/base-7`);
	await page.getByRole('button', { name: 'Describe' }).click();
	await page.getByLabel('Printing not looked at').check();
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await page.getByRole('button', { name: 'Close' }).click();
	await expect(page.getByText('printing not looked at')).toBeVisible();
});

test('a poster is put on the list, owned, asked for by a goal and recorded like a card; a hunt begins and ends', async ({
	empty,
	page,
	request
}) => {
	await request.post(`${empty.url}/api/releases?${QUERY}`, { data: CHECKLIST, headers: csv });
	await open(page, `${empty.url}/releases/${RELEASE}`);
	await page.getByText('Add a wrapper, box, poster').click();
	const beside = page.getByRole('region', { name: 'Beside the cards' });
	await beside.getByLabel('Kind').selectOption('poster');
	await beside.getByLabel('Name').fill('The long pier');
	await beside.getByRole('button', { name: 'Add it' }).click();
	await expect(beside).toContainText('0 of 1 here');
	await beside.getByLabel('Kind').selectOption('poster');
	await beside.getByLabel('Name').fill('The long pier');
	await beside.getByRole('button', { name: 'Add it' }).click();
	await expect(beside.getByRole('alert')).toContainText('is there already');
	await beside.getByRole('button', { name: 'One more: The long pier' }).press('Enter');
	await expect(beside).toContainText('1 of 1 here');
	await beside.getByRole('button', { name: 'Take The long pier off the list' }).press('Enter');
	await expect(beside.getByRole('alert')).toContainText('take these copies out first');

	await open(page, `${empty.url}/goals/new?release=${RELEASE}`);
	await page.getByLabel('posters').check();
	await expect(page.getByRole('complementary')).toContainText('Beside the cards');
	await page.getByRole('button', { name: 'Make the goal' }).click();
	await expect(page).toHaveURL(/\/goals\/\d+$/);
	const wall = page.getByRole('region', { name: 'Beside the cards' });
	await expect(wall).toContainText('The long pier');

	await open(page, `${empty.url}/releases/${RELEASE}`);
	await page.getByRole('link', { name: 'The long pier' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('The long pier');
	await expect(page.getByText('✓ filled')).toBeVisible();

	await open(page, `${empty.url}/releases/${RELEASE}`);
	await page.getByText('Look for something suspected to exist').click();
	await page.getByLabel('What is looked for').fill('31 without a lamp');
	await page.getByLabel('Who says so').fill('a dealer');
	await page.getByRole('button', { name: 'Put it on the list' }).click();
	await page.getByText('Found, or looked for again').click();
	await page.getByRole('button', { name: 'Look for it no more' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: '31 without a lamp' })).toHaveCount(0);
});

test('which version lies in the hand: asked by the cheapest look, answered by keys', async ({
	demo,
	page
}) => {
	await open(page, `${demo.url}/releases/harbour-lights-1994/cards/base-23`);
	await page.getByText('Which one is it?').press('Enter');
	const telling = page.locator('details').filter({ hasText: 'Which one is it?' });
	await expect(telling).toContainText('look at the front');
	await telling.getByRole('button', { name: 'I cannot tell' }).press('Enter');
	await telling.getByRole('button', { name: 'Take the last answer back' }).press('Enter');
	/** Answers as the usual card shows it, but for what is seen of the line. */
	const answerAll = async (line: 'red' | 'blue') => {
		const seen = new RegExp(`^(black|white|whole|${line})$`);
		for (let i = 0; i < 5 && (await telling.getByText('It is ').count()) === 0; i++) {
			await telling.getByRole('button', { name: seen }).first().click();
		}
	};
	await answerAll('blue');
	await expect(telling.getByText('It is ')).toContainText('Base finish, blue line');
	await telling.getByRole('button', { name: 'Begin again' }).click();
	await answerAll('red');
	await expect(telling.getByText('It is ')).toContainText('Base finish, red line');
});
