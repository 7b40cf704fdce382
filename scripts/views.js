// The main views as pictures: where each is, and what to do before it is taken.

/** @typedef {import('@playwright/test').Page} Page */

/** @type {readonly { name: string, path: string, theme?: string, size?: { width: number, height: number }, full?: boolean, act?: (page: Page) => Promise<unknown> }[]} */
export const VIEWS = [
	{ name: 'desk', path: '/' },
	{ name: 'releases', path: '/releases' },
	{ name: 'release', path: '/releases/harbour-lights-1994' },
	{
		name: 'tell-apart',
		path: '/tell-apart?of=harbour-lights-1994/base&of=harbour-lights-1994/base~brass&of=harbour-lights-1994/base~verdigris&of=harbour-lights-1994/base~first-beam'
	},
	{ name: 'goal', path: '/goals/1' },
	{
		name: 'log',
		path: '/log',
		act: (page) => page.getByLabel('Entry line').fill('72 verdigris 14/120 nm 1-4 133x2 Q7 F8-F10')
	},
	{
		name: 'pile',
		path: '/log/pile',
		act: (page) => takeCards(page, ['5', '6', '13 nm', '104 mint', 'F5', '23'])
	},
	{
		name: 'card',
		path: '/releases/harbour-lights-1994/cards/base-201',
		act: (page) => page.getByRole('button', { name: 'Describe' }).first().click()
	},
	{
		name: 'binder',
		path: '/binders/1',
		act: async (page) => {
			await page.keyboard.press('ArrowRight');
			await page.keyboard.press('ArrowRight');
		}
	},
	{ name: 'boxes', path: '/boxes' },
	{
		name: 'box',
		path: '/boxes/43',
		act: (page) => page.getByRole('list', { name: 'Rows' }).getByRole('button').nth(1).click()
	},
	{ name: 'packs', path: '/packs' },
	{ name: 'buying', path: '/buying' },
	{
		name: 'plan',
		path: '/buying/plan',
		act: (page) => page.getByTestId('rival').first().waitFor({ timeout: 60_000 })
	},
	{ name: 'ladder', path: '/worth' },
	{ name: 'selling', path: '/selling' },
	{
		name: 'bench',
		path: '/bench',
		act: async (page) => {
			await page.getByRole('combobox', { name: /drawn scan/ }).selectOption('id-1');
			await page.getByTestId('scan-size').waitFor();
		}
	},
	{ name: 'phone-put-away', path: '/boxes/slips/7', size: { width: 390, height: 844 } },
	{ name: 'phone-wants', path: '/goals/1/wants', size: { width: 390, height: 844 } }
];

/** @param {Page} page @param {readonly string[]} lines */
async function takeCards(page, lines) {
	for (const line of lines) {
		await page.getByLabel('Next card').fill(line);
		await page.keyboard.press('Enter');
	}
}
