import { afterEach, expect, test, vi } from 'vitest';
import { ask, inTurn, send, takeTurn } from './send';

/** A server that answers when it is told to, and notes in which order it was asked. */
function slowServer() {
	const asked: string[] = [];
	const answers: ((response: Response) => void)[] = [];
	vi.stubGlobal('fetch', (path: string) => {
		asked.push(path);
		return new Promise<Response>((resolve) => answers.push(resolve));
	});
	const settle = () => new Promise((resolve) => setTimeout(resolve));
	return {
		asked,
		answer: async (response = Response.json({})) => {
			answers.shift()?.(response);
			await settle();
		},
		settle
	};
}
afterEach(() => void vi.unstubAllGlobals());

test('changes of every kind reach the server in the order in which they were made', async () => {
	const server = slowServer();
	const first = send('POST', 'tile');
	const form = takeTurn();
	void form.isHere.then(() => server.asked.push('form'));
	const last = send('DELETE', 'mark');
	void ask('GET', 'question');
	await server.settle();
	// What changes nothing waits for nobody.
	expect(server.asked).toEqual(['question', 'tile']);
	await server.answer();
	await server.answer(Response.json({}));
	expect(await first).toMatchObject({ ok: true, value: {} });
	expect(server.asked).toEqual(['question', 'tile', 'form']);
	form.end();
	await server.settle();
	expect(server.asked).toEqual(['question', 'tile', 'form', 'mark']);
	await server.answer(Response.json({ detail: 'not so' }, { status: 400 }));
	expect(await last).toMatchObject({ ok: false, problems: [{ message: 'not so' }] });
});

test.each([
	['a change that throws', () => inTurn(() => Promise.reject(new RangeError('lost')))],
	['a server that is gone', () => send('POST', 'gone')],
	['a body that cannot be made', () => send('POST', 'body', () => JSON.parse('{'))]
])('%s does not hold up the next', async (_, change) => {
	vi.stubGlobal('fetch', (path: string) =>
		path === 'gone' ? Promise.reject(new TypeError('no line')) : Promise.resolve(Response.json(7))
	);
	const before = change().catch((error: unknown) => error);
	expect(await send('POST', 'next')).toMatchObject({ ok: true, value: 7 });
	await before;
});
