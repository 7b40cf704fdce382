import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { readSettings } from '../database/settings.ts';
import type { Progress, TaskName, Tasks } from './tasks.ts';
import type { TaskCall } from './worker.ts';

/** How long a task may take, its wait for a free worker included; files are larger than other bodies. */
const LONGEST_MS: Readonly<Record<TaskName, number>> = {
	compute: 10_000,
	planStorage: 120_000,
	readChecklist: 60_000,
	readHoldings: 60_000,
	exportHoldings: 60_000,
	holderView: 60_000,
	previewLabels: 60_000,
	printLabels: 60_000,
	printBinder: 60_000
};
/** What a worker may keep; past it the thread ends, not the server. */
const MOST_MEMORY_MB = 768;
/** Tasks that may wait for a worker. */
const MOST_WAITING = 64;

/** Why a task has no answer: the server goes on, the caller should ask for less, or later. */
export class TooMuch extends Error {
	constructor(
		readonly why: 'time' | 'memory' | 'busy' | 'gone',
		options?: ErrorOptions
	) {
		super(`a task was given up: ${why}`, options);
	}
}

let pool: Piscina<TaskCall> | undefined;

function thePool(): Piscina<TaskCall> {
	pool ??= new Piscina({
		filename: resolve(readSettings(process.env).root, 'build/workers/worker.js'),
		minThreads: 1,
		maxThreads: Math.max(2, availableParallelism()),
		idleTimeout: 60_000,
		maxQueue: MOST_WAITING,
		resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB }
	});
	return pool;
}

/**
 * Runs a task in a worker thread, so that nobody waits for it but the caller. Given up, with its
 * thread, when it takes too long or too much memory, or when `signal` says that the caller is gone.
 * @param tell is told how far the task is, where the task says so
 * @throws TooMuch when it was given up
 */
export async function runTask<Name extends TaskName>(
	task: Name,
	argument: Parameters<Tasks[Name]>[0],
	signal?: AbortSignal,
	tell?: (told: Progress) => void
): Promise<Awaited<ReturnType<Tasks[Name]>>> {
	const limit = AbortSignal.timeout(LONGEST_MS[task]);
	const both = signal ? AbortSignal.any([limit, signal]) : limit;
	// A channel is opened only for those who ask how far it is.
	const channel = tell ? new MessageChannel() : null;
	if (channel && tell) channel.port1.on('message', tell);
	try {
		const port = channel?.port2 ?? null;
		const call = { task, argument: argument as never, port };
		return (await thePool().run(call, {
			signal: both,
			transferList: port ? [port] : []
		})) as Awaited<ReturnType<Tasks[Name]>>;
	} catch (error) {
		if (limit.aborted) throw new TooMuch('time', { cause: error });
		if (signal?.aborted) throw new TooMuch('gone', { cause: error });
		const { code, message } = error as NodeJS.ErrnoException;
		if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooMuch('memory', { cause: error });
		if (/queue is at limit/i.test(message)) throw new TooMuch('busy', { cause: error });
		throw error;
	} finally {
		channel?.port1.close();
	}
}
