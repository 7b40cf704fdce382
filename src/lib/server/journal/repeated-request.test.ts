import { expect, test } from 'vitest';
import { REQUEST_NAME } from '../../schemas/request-name.ts';
import { withCollection } from '../collection.fixture.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease } from '../collection.fixture.ts';
import { recentSteps } from './undo.ts';
import { answerOnce, requestIdOf } from './repeated-request.ts';
import { answerWindow } from './window.ts';

const at = withCollection();

/** Logs a card as a request does that names itself. */
const ask = (id: string | null) => {
	const headers = new Headers(id === null ? {} : { [REQUEST_NAME]: id });
	const request = new Request('http://localhost/api/log', { method: 'POST', headers });
	return answerOnce(at.collection.db, requestIdOf(headers), () =>
		answerWindow(request, async () => {
			await at.line('3');
			return Response.json({ isDone: true });
		})
	);
};
const steps = async () => (await recentSteps(at.collection.db, 20)).length;

test('a change that is sent again is made once, also while it is under way, and after a restart', async () => {
	await importRelease(at.collection, sampleRelease());
	const before = await steps();
	const id = 'request-of-a-phone';
	const answers = await Promise.all([ask(id), ask(id), ask(id)]);
	expect(await Promise.all(answers.map((answer) => answer.json()))).toEqual([
		{ isDone: true },
		{ isDoneBefore: true },
		{ isDoneBefore: true }
	]);
	await at.reopen();
	expect(await (await ask(id)).json()).toEqual({ isDoneBefore: true });
	expect(await steps()).toBe(before + 1);
});

test('another name is another change; what names itself not, or not as it should, is made each time', async () => {
	await importRelease(at.collection, sampleRelease());
	const before = await steps();
	for (const id of ['request-1', 'request-2', null, null, 'short', 'with blanks in it'])
		await ask(id);
	expect(await steps()).toBe(before + 6);
});
