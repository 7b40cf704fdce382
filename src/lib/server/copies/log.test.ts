import { withGulls } from '../gulls.fixture.ts';
import { describe, expect, test } from 'vitest';
import { addCopy, editCopy, removeCopy, splitCopy } from './edit-copy.ts';
import { logOwned } from './log.ts';
import { readCopies } from './read-copies.ts';
import { listTrays, savePile } from './trays.ts';
import { setSynonym } from './synonyms.ts';
import { settlePrinting } from '../telling/second-pass.ts';
import { undo } from '../journal/undo.ts';
import { addVariantLine } from '../../core/checklist/outline/add-variant-line.ts';
import { saveRelease } from '../checklists/save-release.ts';
import { rowId } from '../../core/row-id.ts';

const at = withGulls();

describe('what is logged', () => {
	test('plain copies of a condition make a pile; what is said of a copy sets it apart', async () => {
		await at.log('1x2 nm 2 slate 14/65 vg');
		await at.log('1 nm 1 vg 3 @tin');
		expect(await at.copies()).toEqual([
			'base-2~slate 1 very good 14/65',
			'base-1 3 near mint',
			'base-3 1 tin',
			'base-1 1 very good'
		]);
		// Taking away on the wall takes the plain and the worst first.
		await logOwned(at.collection, 'gulls-1996', [{ version: 'gulls-1996/base-1', quantity: 2 }]);
		expect(await at.copies()).toContain('base-1 2 near mint');
	});

	test('a serial number is checked against the run; two copies with one are pointed out', async () => {
		expect(await at.log('2 slate 66/65')).toMatchObject({ ok: false });
		const first = await addCopy(at.collection, 'gulls-1996/base-2~slate', { serial: '7/65' });
		expect(first).toMatchObject({ ok: true, notes: [] });
		const second = await addCopy(at.collection, 'gulls-1996/base-2~slate', { serial: '007/65' });
		expect(second.ok && second.notes[0]?.message).toBe('2 copies bear the serial number 7/65');
		expect(await addCopy(at.collection, 'gulls-1996/base-9', {})).toMatchObject({ ok: false });
	});

	test('further deviations are those of its card, and a copy with some is by itself', async () => {
		const add = (variants: string[]) =>
			addCopy(at.collection, 'gulls-1996/base-1', {
				alsoVariants: variants,
				isPrintingUnseen: true
			});
		expect(await add(['nix'])).toMatchObject({ ok: false, problems: [{ field: 'alsoVariants' }] });
		await at.log('1 nm');
		await saveRelease(at.collection, 'gulls-1996', 'a variant', (release) =>
			addVariantLine(release, 'error 1: back')
		);
		const shown = 'back';
		expect(await add([shown])).toMatchObject({ ok: true });
		expect(await add([shown, shown])).toMatchObject({ ok: false });
		const [, copy] = await readCopies(at.collection.db, rowId(1));
		expect(copy).toMatchObject({
			alsoVersions: [`gulls-1996/base-1!${shown}`],
			isPrintingUnseen: true
		});
		await at.log('1 nm');
		expect((await readCopies(at.collection.db, rowId(1))).map(({ quantity }) => quantity)).toEqual([
			2, 1
		]);
	});

	test('a pile is split, described, taken out, and all of it undone', async () => {
		await at.log('1x3 nm');
		const [pile] = await readCopies(at.collection.db, rowId(1));
		const split = await splitCopy(at.collection, pile?.id ?? rowId(0));
		const id = split.ok ? split.value.id : rowId<'copies'>(0);
		expect(
			await editCopy(at.collection, id, { grade: 9.5, house: 'Lantern', serial: 'x' })
		).toMatchObject({
			ok: false
		});
		await editCopy(at.collection, id, { grade: 9.5, house: 'Lantern', note: 'sharp' });
		for (const version of ['2', '', 'nix/base-1', 'gulls-1996/base-99', '__proto__']) {
			expect(await editCopy(at.collection, id, {}, version)).toMatchObject({ ok: false });
			const refused = await settlePrinting(at.collection, id, version, 1);
			expect(refused).toMatchObject({ ok: false });
		}
		await removeCopy(at.collection, pile?.id ?? rowId(0));
		expect(await at.copies()).toEqual(['base-1 1 near mint']);
		for (let i = 0; i < 3; i++) await undo(at.collection);
		expect(await at.copies()).toEqual(['base-1 3 near mint']);
		expect(await splitCopy(at.collection, rowId(999))).toMatchObject({ ok: false });
	});

	test('own words and trays: what is logged from a pile goes over into the tray to sort', async () => {
		await setSynonym(at.collection, 'S', 'slate nm');
		await savePile(at.collection, { tray: 'to log', name: 'fair', amount: '3' });
		const [pile] = await listTrays(at.collection.db);
		await at.log('1 s 2', { pile: pile?.id });
		const trays = async () =>
			(await listTrays(at.collection.db)).map(({ tray, cards }) => `${tray} ${cards}`).sort();
		expect(await at.copies()).toEqual(['base-1~slate 1 near mint', 'base-2 1']);
		expect(await trays()).toEqual(['to log 1', 'to sort 2']);
		await at.log('3', { pile: pile?.id });
		expect(await trays()).toEqual(['to sort 3']);
	});
});
