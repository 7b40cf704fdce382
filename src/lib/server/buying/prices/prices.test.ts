import { expect, test } from 'vitest';
import { makeGoal, removeGoal } from '../../goals/make-goal.ts';
import { setExchangeRates } from '../../preferences/exchange-rates.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { removeRelease } from '../../checklists/remove-release.ts';
import { addCopy } from '../../copies/edit-copy.ts';
import { undo } from '../../journal/undo.ts';
import type { GoalId } from '../../../core/row-id.ts';
import { withGulls } from '../../gulls.fixture.ts';
import { chooseGoal, setBuyingRules } from '../finish/choose-goals.ts';
import { finishView } from '../finish/finish-view.ts';
import { markWant } from '../wants/mark-want.ts';
import { readWants } from '../wants/read-wants.ts';
import { forgetPrice, sayPrices } from './say-prices.ts';
import { sheetView } from './sheet-view.ts';

const gulls = withGulls();
const goal = async (rules: object = { preset: 'base' }): Promise<GoalId> => {
	const made = await makeGoal(gulls.collection, {
		...{ release: 'gulls-1996', name: '' },
		rules: rules as { preset: 'base' }
	});
	if (!made.ok) throw new RangeError(JSON.stringify(made.problems));
	return made.value.id;
};
const say = (id: GoalId, line: string, source = '') =>
	sayPrices(gulls.collection, id, { release: 'gulls-1996', line, source });
/** "2 24 to 24 asking" of each line. */
const sheet = async (id: GoalId) =>
	((await sheetView(gulls.collection.db, id))?.sheet.lines ?? []).map(
		({ name, lowMinor, highMinor, basis }) => `${name} ${lowMinor} to ${highMinor} ${basis}`
	);
const finish = { choice: 'finish', priority: 1, mostMinor: null, currency: null } as const;

test('prices are kept as heard, a sum by its share; a slip of the same day is replaced; undo, forget', async () => {
	const { collection } = gulls;
	await gulls.log('1');
	const id = await goal();
	expect(await say(id, '2 24 nm; 3 4–4.50; all 1')).toMatchObject({
		ok: true,
		value: { prices: 3, lumps: 0 }
	});
	expect(await sheet(id)).toEqual([
		'4 100 to 100 asking',
		'3 400 to 450 asking',
		'2 2400 to 2400 asking'
	]);
	await say(id, '2 2.40 nm');
	expect((await sheet(id))[1]).toBe('2 240 to 240 asking');
	await undo(collection);
	expect((await sheet(id))[2]).toBe('2 2400 to 2400 asking');
	gulls.now = '1996-10-08T09:00:00.000Z';
	await say(id, '2 2.40 nm');
	const view = await sheetView(collection.db, id);
	expect(view?.sheet.lines.find(({ name }) => name === '2')?.flag).toMatchObject({
		...{ kind: 'ten-fold', againstMinor: 2400, against: 'before' }
	});
	const refused = await say(id, '2 3; 99 4; 3 -1');
	expect(refused.ok ? [] : refused.problems.map(({ message }) => message)).toEqual([
		'there is no card 99',
		'a price is below nothing'
	]);
	expect((await forgetPrice(collection, { version: 'gulls-1996/base-3' })).ok).toBe(true);
	expect((await forgetPrice(collection, { version: 'gulls-1996/base-3' })).ok).toBe(false);
	expect(await sheet(id)).toContain('3 0 to 0 unknown');
	await say(id, '3 9; 4 9');
	await forgetPrice(collection, { version: 'gulls-1996/base-3' });
	await forgetPrice(collection, { version: 'gulls-1996/base-4' });
	await say(id, 'all commons 6');
	await gulls.log('3');
	expect(await sheet(id)).toEqual(['2 240 to 240 asking', 'all commons 300 to 300 lump']);
	await say(id, 'all commons 5');
	// What one sum was said for is a single card by now.
	expect((await sheet(id))[1]).toBe('4 500 to 500 asking');
});

test('goals are laid beside each other; those chosen make one list, without what is on its way', async () => {
	const { collection } = gulls;
	await gulls.log('1');
	await addCopy(collection, 'gulls-1996/base-2', { status: 'incoming' });
	const [base, two] = [await goal(), await goal({ preset: 'base', sets: 2 })];
	await say(base, '3 2; 4 30');
	const view = await finishView(collection.db);
	expect(view.goals.map(({ key, missing, cost }) => [key, missing, cost.lowMinor])).toEqual([
		[String(base), 2, 3200],
		[String(two), 6, 6400]
	]);
	expect((await readWants(collection.db)).wants).toEqual([]);
	await chooseGoal(collection, base, { ...finish, priority: 3, mostMinor: 500, currency: 'EUR' });
	await chooseGoal(collection, two, finish);
	await markWant(collection, 'gulls-1996/base-4', {
		isFavourite: true,
		currency: 'EUR',
		mostMinor: 100
	});
	const told = async () =>
		(await readWants(collection.db)).wants.map(
			({ name, quantity, goals, priority, mostMinor, isTooDear }) =>
				`${name} ×${quantity} of ${goals.join('+')}, ${priority}, ${mostMinor}${isTooDear ? ', too dear' : ''}`
		);
	const both = `${base}+${two}`;
	expect(await told()).toEqual([
		`4 ×2 of ${both}, 1, 100, too dear`,
		`1 ×1 of ${two}, 1, null`,
		`2 ×1 of ${two}, 1, null`,
		`3 ×2 of ${both}, 1, null`
	]);
	expect((await readWants(collection.db)).wants[0]?.search).toBe('1996 M Gulls 4 Ada Hale');
	expect(
		(await markWant(collection, 'gulls-1996/base-9', { isFavourite: true, currency: 'EUR' })).ok
	).toBe(false);
	await chooseGoal(collection, two, { ...finish, choice: null });
	expect(await told()).toEqual([`4 ×1 of ${base}, 3, 100, too dear`, `3 ×1 of ${base}, 3, 500`]);
});

test('a currency that no rate leads from is named and counted in no sum; goals and releases go with their prices', async () => {
	const { collection } = gulls;
	const id = await goal();
	const rules = BUYING_RULES.usual;
	await setBuyingRules(collection, { ...rules, currency: 'USD' });
	await say(id, '1 5; 2 7; all 3');
	await setBuyingRules(collection, rules);
	const view = await finishView(collection.db);
	expect(view.problems).toMatchObject([
		{ message: '3 prices are in USD, and no rate leads to EUR' }
	]);
	expect(view.goals[0]).toMatchObject({ cost: { highMinor: 0 }, advice: { verdict: 'unknown' } });
	await setExchangeRates(collection, [{ from: 'USD', to: 'EUR', rate: 0.9 }]);
	expect((await finishView(collection.db)).goals[0]?.cost.lowMinor).toBe(450 + 630 + 270);
	await chooseGoal(collection, id, finish);
	await markWant(collection, 'gulls-1996/base-1', { isFavourite: true, currency: 'EUR' });
	expect(await removeGoal(collection, id)).toBe(true);
	await undo(collection);
	expect((await finishView(collection.db)).goals[0]).toMatchObject({ choice: 'finish' });
	expect(await removeRelease(collection, 'gulls-1996')).toBe(true);
	expect((await finishView(collection.db)).goals).toEqual([]);
	await undo(collection);
	expect((await readWants(collection.db)).wants[0]).toMatchObject({ isFavourite: true, name: '1' });
});
