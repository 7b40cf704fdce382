import { eq } from 'drizzle-orm';
import { expect, test } from 'vitest';
import type { CopyId } from '../../../core/row-id.ts';
import { editCopy, removeCopy } from '../../copies/edit-copy.ts';
import { bringBack, listOutings } from '../../copies/outings.ts';
import { copies, submissionCards } from '../../database/tables/index.ts';
import { redo, undo } from '../../journal/undo.ts';
import { placesOfCopies } from '../../places/places-of.ts';
import { standAsPlanned } from '../../storage/plan/stand-as-planned.ts';
import { withStorage } from '../../storage/storage.fixture.ts';
import { keepHouse } from '../houses.ts';
import { gradingView } from './grading-view.ts';
import { readEye } from './read-eye.ts';
import { sendSubmission, type TypedSubmission } from './send-submission.ts';
import { takeBack } from './take-back.ts';

const storage = withStorage();
const NOW = '1996-10-06T09:00:00.000Z';
const view = () => gradingView(storage.collection.db, { words: '', copies: [], now: NOW });
const messages = (done: { ok: boolean; problems?: readonly { message: string }[] }) =>
	(done.problems ?? []).map(({ message }) => message);

/** Cards 1 to 5 stand in a box, 2 three times; a house is kept that gives no halves. */
async function standing(): Promise<readonly CopyId[]> {
	await storage.release('a', '1992', 40);
	await storage.log('a', '1-5, 2x2');
	await standAsPlanned(storage.collection);
	const grades = '10, 9, 8, 7, 6, 5';
	await keepHouse(storage.collection, { name: 'Lantern Room', grades, givesAuthentic: true });
	const rows = await storage.collection.db
		.select({ id: copies.id })
		.from(copies)
		.orderBy(copies.cardKey);
	return rows.map(({ id }) => id);
}
const send = (ids: readonly (CopyId | undefined)[], more: Partial<TypedSubmission> = {}) =>
	sendSubmission(storage.collection, {
		...{ house: 'Lantern Room', tier: 'Slow', fee: '9', postage: '5', currency: 'EUR' },
		...{ sentOn: null, dueOn: '1996-10-09' },
		cards: ids.map((copyId, i) => ({
			copyId: copyId ?? (0 as CopyId),
			...{ purpose: 'grade' as const, insured: '10', estimate: `${8 - i}` }
		})),
		...more
	});

test('cards that are sent are out and keep their place, of a pile one; they come back with grade and certificate', async () => {
	const { collection } = storage;
	const [first, pile] = await standing();
	const where = async (id: CopyId) => (await placesOfCopies(collection.db, [id])).get(id);
	const before = first && (await where(first));
	expect((await send([first, pile])).ok).toBe(true);
	const [sent] = (await view()).submissions;
	expect(sent).toMatchObject({ state: 'due soon', isBack: false, totalMinor: 2300 });
	const [card, other] = sent?.cards ?? [];
	expect(await where(card?.copyId as CopyId)).toEqual(before);
	// The card off the pile stands where the pile does, as a copy apart.
	expect(other?.copyId).not.toBe(pile);
	expect(await where(other?.copyId as CopyId)).toHaveLength(1);
	expect(
		(await listOutings(collection.db, NOW)).map(({ name, kind }) => `${name} ${kind}`)
	).toEqual(['1 Card 1 grading', '2 Card 2 grading']);
	// What belongs to a submission comes back there alone.
	const [outing] = await listOutings(collection.db, NOW);
	expect(messages(await bringBack(collection, outing?.id as never))).toEqual([
		'it belongs to a submission'
	]);
	await editCopy(collection, first as CopyId, { costMinor: 300, currency: 'EUR' });
	const back = (result: string, certificate = '') =>
		takeBack(
			collection,
			sent?.id as never,
			[
				{ id: card?.id as never, result, certificate },
				{ id: other?.id as never, result: '', certificate: '' }
			],
			true
		);
	expect(messages(await back(''))).toEqual(['nothing is written']);
	expect(messages(await back('7.5'))).toEqual([
		'1 Card 1: Lantern Room does not give the grade 7.5'
	]);
	expect(messages(await back('near mint'))[0]).toMatch(/nothing that a house says/);
	expect((await back('7 (off centre)', 'LR 1')).ok).toBe(true);
	const [row] = await collection.db
		.select()
		.from(copies)
		.where(eq(copies.id, first as CopyId));
	expect(row).toMatchObject({ grade: 7, house: 'Lantern Room', certificate: 'LR 1' });
	// 3.00, and 9.00 with half of 5.00.
	expect(row).toMatchObject({ costMinor: 300 + 900 + 250, qualifier: 'off centre' });
	expect((await listOutings(collection.db, NOW)).map(({ name }) => name)).toEqual(['2 Card 2']);
	expect((await view()).submissions[0]).toMatchObject({
		isBack: false,
		cards: [{ result: '7 (off centre)' }, { result: null }]
	});
	expect((await readEye(collection.db)).all).toMatchObject({ checked: 1, differences: [-1] });
	await undo(collection);
	expect((await readEye(collection.db)).all.checked).toBe(0);
	expect(await listOutings(collection.db, NOW)).toHaveLength(2);
	await redo(collection);
	// The copy may go; what a house said of it, and how the eye did, stays.
	await removeCopy(collection, first as CopyId);
	expect((await readEye(collection.db)).all.checked).toBe(1);
	expect((await view()).submissions[0]?.cards[0]).toMatchObject({ copyId: null, name: '1 Card 1' });
	await undo(collection);
	expect((await view()).submissions[0]?.cards[0]?.copyId).toBe(first);
});

test('a graded card goes for a new holder; a certificate is there once', async () => {
	const { collection } = storage;
	const [first, second, third] = await standing();
	for (const [id, certificate] of [
		[first, 'LR 1'],
		[second, 'LR 2']
	] as const) {
		await editCopy(collection, id as CopyId, {
			...{ grade: 8, house: 'Lantern Room', certificate, quantity: 1 }
		});
	}
	const holder = { purpose: 're-holder' as const, insured: '', estimate: '' };
	expect(messages(await send([], { cards: [{ copyId: third as CopyId, ...holder }] }))).toEqual([
		'3 Card 3 has no grade, so it has no holder to be changed'
	]);
	expect((await send([], { cards: [{ copyId: first as CopyId, ...holder }] })).ok).toBe(true);
	const [sent] = (await view()).submissions;
	const back = (certificate: string) =>
		takeBack(
			collection,
			sent?.id as never,
			[{ id: sent?.cards[0]?.id as never, result: '8', certificate }],
			false
		);
	expect(messages(await back('LR 2'))).toEqual([
		'1 Card 1: another card bears the certificate LR 2'
	]);
	expect((await back('LR 3')).ok).toBe(true);
	// A new holder says nothing of the eye.
	expect((await readEye(collection.db)).all.checked).toBe(0);
});

test('bad ones send nothing, and all is told', async () => {
	const { collection } = storage;
	const [first, pile] = await standing();
	expect((await send([first])).ok).toBe(true);
	expect(
		messages(
			await send([first, pile, pile, 999 as CopyId], {
				...{ house: 'Nobody', fee: 'much', dueOn: '1996-01-01' }
			})
		).sort()
	).toEqual([
		'"much" is no amount',
		'1 Card 1 is out already',
		'2 Card 2 is named twice',
		'a copy is gone',
		'it is due before it goes',
		'there is no house "Nobody"'
	]);
	expect(messages(await send([], { house: '' }))).toEqual([
		'no house is named',
		'no copy is chosen'
	]);
	expect(await collection.db.select().from(submissionCards)).toHaveLength(1);
});
