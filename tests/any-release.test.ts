import fc from 'fast-check';
import { recordedReleaseDraft } from '../src/lib/core/checklist/draft/release.arbitrary.ts';
import { expect, open, test } from './program.ts';

/** Drawn anew on every run; the seed tells which releases they were. */
const SEED = Date.now() % 2 ** 31;

test('any release that may be recorded is shown, edited, and exported as it came', async ({
	page,
	empty,
	request
}) => {
	const errors: string[] = [];
	page.on('pageerror', ({ message }) => errors.push(message));
	const drafts = fc.sample(recordedReleaseDraft, { numRuns: 3, seed: SEED });
	for (const [i, draft] of drafts.entries()) {
		const key = `drawn-${i}`;
		// What stands twice in a list of doubts, and names of the same kind: nothing may hang on them.
		const [variant] = draft.variants ?? [];
		// The first section is logged below, in its base finish.
		const sections = draft.sections.map(({ noBaseFinish: _, ...first }, s) =>
			s === 0 ? first : (draft.sections[s] ?? first)
		);
		// Families of tags may be called as the program calls its own ways to count.
		const tags = { Set: ['a'], group: ['b'], Series: ['c'], subject: ['d'] };
		const [start, ...others] = sections;
		const marked = start && {
			...start,
			cards: start.cards.map((listed, c) =>
				c === 0 ? { ...listed, tags, group: 'Keepers' } : listed
			)
		};
		const checklist = {
			...draft,
			sections: marked ? [marked, ...others] : sections,
			format: 'jade-checklist',
			formatVersion: 2,
			release: { ...draft.release, key },
			variants: variant ? [variant, variant] : []
		};
		const told = `seed ${SEED}, release ${i}`;
		const sent = await request.post(`${empty.url}/api/releases`, { data: checklist });
		expect(sent.ok(), `${told}: ${await sent.text()}`).toBe(true);
		const exported = await request.get(`${empty.url}/api/releases/${key}/checklist.json`);
		const again = (await exported.json()) as {
			readonly hunts: unknown;
			readonly collectibles: unknown;
			readonly sections: readonly { readonly cards: readonly { readonly key: string }[] }[];
		};
		const number = draft.sections[0]?.cards[0]?.number ?? '';
		const card = again.sections[0]?.cards[0]?.key ?? '';
		expect(again.hunts, told).toMatchObject([...(draft.hunts ?? [])]);
		expect(again.collectibles, told).toMatchObject([...(draft.collectibles ?? [])]);

		await open(page, `${empty.url}/releases/${key}`);
		await expect(page.getByRole('heading', { level: 1 })).toHaveText(draft.release.name);
		await expect(page.getByRole('article')).toHaveCount(draft.sections.length);
		await page
			.getByRole('button', { name: new RegExp(`^${number}, `) })
			.first()
			.click();
		await expect(page.getByTestId('have-base')).toContainText('1 of');
		await page.getByText('Who and what is in it').click();
		await page.getByRole('button', { name: 'By Set' }).click();
		await page.getByText('How rare').click();
		const goal = await request.post(`${empty.url}/api/goals`, {
			data: { release: key, name: '', rules: { preset: 'complete', sets: 2 } }
		});
		const { id } = (await goal.json()) as { id: number };
		await open(page, `${empty.url}/goals/${id}`);
		await page.getByText('In other ways').click();
		await expect(page.getByRole('region', { name: 'Set', exact: true }).first()).toBeVisible();
		await open(page, `${empty.url}/releases/${key}/edit`);
		for (const name of ['Sections', 'Parallels', 'Print runs', 'Variants', 'Packs']) {
			await page.getByRole('button', { name, exact: true }).click();
		}
		await open(page, `${empty.url}/releases/${key}/cards/${card}`);
		await expect(page.getByRole('heading', { name: 'Versions and copies' })).toBeVisible();
		expect(errors, told).toEqual([]);
	}
});
