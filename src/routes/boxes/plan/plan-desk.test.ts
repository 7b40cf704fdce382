import { afterEach, expect, test, vi } from 'vitest';
import { createPlanDesk } from './plan-desk.svelte';

afterEach(() => {
	vi.unstubAllGlobals();
});

/** An answer that comes in pieces, cut wherever they are; it ends when `go` has given the last. */
function inPieces(pieces: readonly string[], whole = true) {
	const encoder = new TextEncoder();
	return new ReadableStream<Uint8Array>({
		start(controller) {
			for (const piece of pieces) controller.enqueue(encoder.encode(piece));
			if (whole) controller.close();
		}
	});
}
const answer = (body: ReadableStream<Uint8Array>) =>
	vi.fn(async (_path: string, init: RequestInit) => {
		init.signal?.addEventListener('abort', () => void body.cancel().catch(() => undefined));
		return new Response(body);
	});

test('progress and the plan are read from lines, however they are cut', async () => {
	const lines = '{"done":50,"total":120}\n{"done":120,"total":120}\n{"view":{"kinds":["ä"]}}\n';
	for (const size of [1, 7, lines.length]) {
		const pieces = lines.match(new RegExp(`[\\s\\S]{1,${size}}`, 'g')) ?? [];
		const fetched = answer(inPieces(pieces));
		vi.stubGlobal('fetch', fetched);
		const desk = createPlanDesk();
		await desk.run('school=maker');
		expect(fetched.mock.calls[0]?.[0]).toBe('/api/boxes/plan?school=maker');
		expect(desk.view).toEqual({ kinds: ['ä'] });
		expect([desk.progress, desk.problem]).toEqual([null, '']);
	}
});

test('a plan that is cancelled leaves the one before; so does a server that does not answer', async () => {
	vi.stubGlobal('fetch', answer(inPieces(['{"view":{"kinds":[]}}\n'])));
	const desk = createPlanDesk();
	await desk.run('');
	const before = desk.view;

	vi.stubGlobal(
		'fetch',
		vi.fn(
			(_path: string, { signal }: RequestInit) =>
				new Promise((_resolve, reject) => {
					signal?.addEventListener('abort', () => reject(new Error('aborted')));
				})
		)
	);
	const running = desk.run('fill=10');
	expect(desk.progress).toEqual({ done: 0, total: 0 });
	desk.cancel();
	await running;
	expect(desk.problem).toContain('cancelled');
	expect(desk.view).toBe(before);

	vi.stubGlobal(
		'fetch',
		answer(inPieces(['{"done":1,"total":9}\n{"problem":"It takes too long."}\n']))
	);
	await desk.run('');
	expect([desk.problem, desk.view, desk.progress]).toEqual(['It takes too long.', before, null]);

	vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new Error('offline')));
	await desk.run('');
	expect(desk.problem).toContain('does not answer');
	expect([desk.view, desk.progress]).toEqual([before, null]);
});

test('a new choice stops the plan under way, and only the last one is shown', async () => {
	const stopped: string[] = [];
	vi.stubGlobal('fetch', (path: string, { signal }: RequestInit) =>
		path.endsWith('first')
			? new Promise((_resolve, reject) => {
					signal?.addEventListener('abort', () => {
						stopped.push(path);
						reject(new Error('aborted'));
					});
				})
			: Promise.resolve(new Response(inPieces(['{"view":{"kinds":["last"]}}'])))
	);
	const desk = createPlanDesk();
	const first = desk.run('first');
	await desk.run('second');
	await first;
	expect(stopped).toEqual(['/api/boxes/plan?first']);
	expect(desk.view).toEqual({ kinds: ['last'] });
	expect([desk.progress, desk.problem]).toEqual([null, '']);
});
