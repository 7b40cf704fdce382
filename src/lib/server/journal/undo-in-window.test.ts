import fc from 'fast-check';
import { beforeEach, describe, expect, test } from 'vitest';
import { WINDOW_NAME } from '../../schemas/window-name.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { nextSteps, undo } from './undo.ts';
import { moveInWindow } from './undo-in-window.ts';
import { answerWindow, theWindow } from './window.ts';

const at = withCollection();
const [DESK, PHONE] = ['desk-window', 'phone-window'];

/** Does something as a window does it. */
const as = <Answer>(window: string, act: () => Answer | Promise<Answer>): Promise<Answer> =>
	answerWindow(new Request('http://x/', { headers: { [WINDOW_NAME]: window } }), act);
const log = (window: string, line: string) => as(window, () => at.line(line));
const move = (window: string, direction: 'undo' | 'redo') =>
	as(window, () => moveInWindow(at.collection, direction, window));

describe('each window takes back what it did itself', () => {
	beforeEach(async () => {
		await importRelease(at.collection, sampleRelease());
	});

	test('not what another window did last', async () => {
		await log(DESK, '1-3');
		await log(PHONE, '7');
		expect(await move(DESK, 'undo')).toMatchObject({ ok: true, value: { label: 'R: log 1-3' } });
		expect(await at.owned()).toEqual({ 'r/base-7': 1 });
		expect((await nextSteps(at.collection.db, DESK)).undo).toBeNull();
		expect(await move(DESK, 'undo')).toMatchObject({
			ok: false,
			problems: [{ message: 'this window has done nothing that it could take back' }]
		});
		await log(PHONE, '8');
		expect(await move(DESK, 'redo')).toMatchObject({ ok: true });
		expect(Object.keys(await at.owned())).toHaveLength(5);
		expect(await move(PHONE, 'redo')).toMatchObject({ ok: false });
	});

	test('where a later step changed the same pile it is refused, and that step is named', async () => {
		await log(DESK, '1');
		await log(PHONE, '1');
		const refused = await move(DESK, 'undo');
		expect(refused).toMatchObject({ ok: false, problems: [{ remedy: 'Take that back first.' }] });
		expect(await at.owned()).toEqual({ 'r/base-1': 2 });
		await move(PHONE, 'undo');
		expect((await move(DESK, 'undo')).ok).toBe(true);
		expect(await at.owned()).toEqual({});
	});

	test('for all ways of doing, taking back and doing again: each window moves along its own steps', async () => {
		const act = fc.tuple(
			fc.constantFrom(DESK, PHONE),
			fc.oneof(fc.integer({ min: 1, max: 10 }), fc.constantFrom('undo', 'redo'))
		);
		await fc.assert(
			fc.asyncProperty(fc.array(act, { maxLength: 14 }), async (acts) => {
				while (await undo(at.collection));
				await importRelease(at.collection, sampleRelease());
				const model = new Map([DESK, PHONE].map((w) => [w, { done: [''], undone: [''] }]));
				for (const each of model.values()) [each.done, each.undone] = [[], []];
				for (const [window, what] of acts) {
					const { done, undone } = model.get(window) ?? { done: [], undone: [] };
					if (what === 'undo' || what === 'redo') {
						const [from, to] = what === 'undo' ? [done, undone] : [undone, done];
						const card = from.pop();
						expect((await move(window, what)).ok).toBe(card !== undefined);
						if (card !== undefined) to.push(card);
					} else {
						const card = `${what + (window === PHONE ? 10 : 0)}`;
						await log(window, card);
						done.push(card);
						undone.length = 0;
					}
				}
				const wanted: Record<string, number> = {};
				for (const card of [...model.values()].flatMap(({ done }) => done))
					wanted[`r/base-${card}`] = (wanted[`r/base-${card}`] ?? 0) + 1;
				expect(await at.owned()).toEqual(wanted);
			}),
			{ numRuns: 25 }
		);
	});
});

test('a window is known by header or form, within its request only; what is no such name is nobody', async () => {
	expect(await as(DESK, theWindow)).toBe(DESK);
	expect(theWindow()).toBeNull();
	expect(await as(`'; drop table`, theWindow)).toBeNull();
	const body = new FormData();
	body.set(WINDOW_NAME, PHONE);
	body.set('name', 'Gull');
	const form = () => new Request('http://x/', { method: 'POST', body });
	const read = form();
	const seen = await answerWindow(read, async () => [...(await read.formData()).keys()]);
	expect(seen).toEqual(['name']);
	expect(await answerWindow(form(), theWindow), 'nobody asks for its fields').toBe(PHONE);
	const broken = new Request('http://x/', {
		...{ method: 'POST', body: 'no such parts' },
		headers: { 'content-type': 'multipart/form-data; boundary=x' }
	});
	await expect(answerWindow(broken, () => broken.formData())).rejects.toThrow();
});
