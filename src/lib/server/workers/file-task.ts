import { error } from '@sveltejs/kit';
import { problemResponse } from '../problem-document.ts';
import { runTask, TooMuch } from './run-task.ts';
import type { TaskName, Tasks } from './tasks.ts';

/**
 * Answers with what a task writes: nobody else waits for it, it ends when the other side is gone, and past
 * its limits the answer says so.
 */
export async function fileTask<Name extends TaskName>(
	task: Name,
	argument: Parameters<Tasks[Name]>[0],
	signal: AbortSignal,
	respond: (written: Awaited<ReturnType<Tasks[Name]>>) => Response
): Promise<Response> {
	try {
		return respond(await runTask(task, argument, signal));
	} catch (reason) {
		return problemResponse(503, reasonOf(reason));
	}
}

/**
 * The same for what a page shows while it is already read: past the limits the page says so. Where the
 * other side is gone before the page was sent, nobody listens to its answer any more.
 */
export function pageTask<Name extends TaskName>(
	task: Name,
	argument: Parameters<Tasks[Name]>[0],
	signal: AbortSignal
): Promise<Awaited<ReturnType<Tasks[Name]>>> {
	const answer = runTask(task, argument, signal).catch((reason: unknown) =>
		error(503, reasonOf(reason))
	);
	answer.catch(() => undefined);
	return answer;
}

/** Why a task was given up, in words; what is another fault goes on as one. */
export function reasonOf(reason: unknown): string {
	if (!(reason instanceof TooMuch)) throw reason;
	return REASONS[reason.why];
}

const REASONS: Readonly<Record<TooMuch['why'], string>> = {
	time: 'This takes too long. Ask for a part of it.',
	memory: 'This takes too much memory. Ask for a part of it.',
	busy: 'Too many others wait already. Ask again in a moment.',
	gone: 'The other side is gone; nothing was written.'
};
