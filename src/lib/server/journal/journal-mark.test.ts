import { expect, test } from 'vitest';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { logLine } from '../copies/log.ts';
import { journalMark } from './journal-mark.ts';
import { moveInWindow } from './undo-in-window.ts';
import { redo, undo } from './undo.ts';
import { inWindow } from './window.ts';

const at = withCollection();
const log = (window: string, line: string) =>
	inWindow(window, () => logLine(at.collection, 'r', { line, numbering: null, parallel: null }));

test('each step, undone or made again, gives another mark; back where it was, the same', async () => {
	const mark = () => journalMark(at.collection.db);
	await importRelease(at.collection, sampleRelease());
	const before = await mark();
	await at.line('1');
	const after = await mark();
	await undo(at.collection);
	const undone = await mark();
	expect(new Set([before, after, undone]).size).toBe(3);
	await redo(at.collection);
	expect(await mark()).toBe(after);
});

test('one step taken back and another made again is not the same, though as many are in force', async () => {
	const [left, right] = ['window-left', 'window-right'];
	await importRelease(at.collection, sampleRelease());
	await log(left, '1');
	await log(right, '2');
	await moveInWindow(at.collection, 'undo', left);
	const mark = await journalMark(at.collection.db);
	await moveInWindow(at.collection, 'redo', left);
	await moveInWindow(at.collection, 'undo', right);
	expect(await journalMark(at.collection.db)).not.toBe(mark);
});
