import { sql } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { answerLine, makeSlip } from '../slips/change-slips.ts';
import { saveBox } from './edit-boxes.ts';
import { addDivider } from './edit-dividers.ts';
import { readBox } from './read-box.ts';
import { respacingOf, takeRespaceStep } from './respace-box.ts';
import { readSlip } from '../slips/slips.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';
import { rowId } from '../../../core/row-id.ts';

const storage = withStorage();

describe('a row that is too full', () => {
	test('is re-spaced step by step, safe to stop, and then no row is over its length', async () => {
		// 18 pt: a row of a long box takes 1,000 cards; with its divider one less.
		await storage.release('a', '1992', 900);
		await storage.release('b', '1993', 400);
		await storage.log('a', '1-500');
		await storage.log('b', '1-400');
		const choice = { school: 'year', fill: 100, have: 100, growth: 0 } as const;
		await standAsPlanned(storage.collection, choice);
		expect(respacingOf((await readBox(storage.collection.db, rowId(1))) as never)).toBeNull();
		await storage.log('a', '501-800');
		await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
		const slip = await readSlip(storage.collection.db, rowId(1));
		const [any] = slip?.lines ?? [];
		// All at once, as the hand would: the rows themselves are what is told here.
		await storage.collection.write(async (tx) => {
			await tx.run(
				sql`insert into box_cards (divider_id, copy_id, quantity, um, mg) select ${any?.place?.dividerId}, copy_id, quantity, 457, 1800 from slip_lines`
			);
		});
		const total = (await storage.counts()).standing;
		let steps = 0;
		for (; steps < 10; steps++) {
			const box = await readBox(storage.collection.db, rowId(1));
			const respacing = box && respacingOf(box);
			if (!respacing) break;
			expect(respacing.isHopeless).toBe(false);
			const done = await takeRespaceStep(
				storage.collection,
				rowId(1),
				respacing.lines[0]?.name ?? ''
			);
			expect(done.ok).toBe(true);
			expect((await storage.counts()).standing).toBe(total);
		}
		expect(steps).toBeGreaterThan(0);
		expect(steps).toBeLessThan(4);
		const box = await readBox(storage.collection.db, rowId(1));
		const room = (box?.kind.rowMm ?? 0) * 1000;
		expect(box?.rows.filter(({ usedUm }) => usedUm > room)).toEqual([]);
		// Numbers still run on from row to row.
		const numbers = box?.dividers
			.filter(({ label }) => label === 'A 1992')
			.flatMap(({ standing }) => standing.map(({ number }) => Number(number)));
		expect(numbers).toEqual(Array.from({ length: 800 }, (_, i) => i + 1));
		expect(await takeRespaceStep(storage.collection, rowId(1), 'an old step')).toMatchObject({
			ok: false
		});
	});

	test('where even all rows are too short, the shortest set that makes room is named', async () => {
		await storage.release('own', '1992', 520);
		await storage.log('own', '1-400');
		await standAsPlanned(storage.collection);
		await saveBox(storage.collection, { kind: '500' }, rowId(1));
		await addDivider(storage.collection, rowId(1), 1, 'Checklists', null);
		await storage.log('own', '401-520');
		await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
		for (const { id, place } of (await readSlip(storage.collection.db, rowId(1)))?.lines ?? []) {
			await answerLine(storage.collection, rowId(1), id, 'done', place?.dividerId ?? null);
		}
		const box = await readBox(storage.collection.db, rowId(1));
		// 520 cards and two dividers are over a row for 500.
		expect(box && respacingOf(box)).toMatchObject({
			isHopeless: true,
			row: 1,
			overUm: Math.round(520 * 457.2 + 2 * 800) - 228_600,
			out: { label: 'OWN 1992', cards: 520 }
		});
	});
});
