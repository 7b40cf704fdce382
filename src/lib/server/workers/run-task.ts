import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Tinypool, type TinypoolChannel } from 'tinypool';
import { readSettings } from '../database/settings.ts';
import type { TaskName, Tasks } from './tasks.ts';
import type { Collection } from '../database/open.ts';
import { theWindow } from '../journal/window.ts';
import type { Asked, ChangeName, Changes, TellChange } from './changes.ts';
import { TURN, type TaskCall } from './worker-calls.ts';

/** How long a task may take, its wait for a free worker included; files are larger than other bodies. */
const LONGEST_MS: Readonly<Record<TaskName | ChangeName, number>> = {
	standAsPlanned: 300_000,
	moveSteps: 300_000,
	makeSlip: 60_000,
	takeInKnowledge: 60_000,
	wake: 10_000,
	compute: 10_000,
	planStorage: 120_000,
	readChecklist: 60_000,
	readCardList: 60_000,
	readHoldings: 60_000,
	readOffers: 60_000,
	exportHoldingsCsv: 60_000,
	exportHoldingsXlsx: 60_000,
	holderView: 60_000,
	finishView: 60_000,
	offersView: 60_000,
	readWants: 60_000,
	exportKnowledge: 60_000,
	lookAtKnowledge: 60_000,
	tradesView: 60_000,
	conditionView: 60_000,
	packsView: 60_000,
	readGradedTable: 60_000,
	sampleScan: 10_000,
	lotsView: 60_000,
	buildView: 60_000,
	parcelsView: 60_000,
	exportListings: 60_000,
	writeBackup: 300_000,
	previewBackup: 120_000,
	packingSlip: 60_000,
	ladderView: 60_000,
	priceBookView: 60_000,
	populationsView: 60_000,
	subjectPricesView: 60_000,
	valueView: 60_000,
	insuranceList: 60_000,
	sealedView: 60_000,
	simulateGoal: 60_000,
	lastCardsView: 60_000,
	openingView: 60_000,
	planBuying: 60_000,
	fairView: 120_000,
	fairLot: 60_000,
	previewLabels: 60_000,
	printLabels: 60_000,
	printChecklist: 60_000,
	printComparison: 60_000,
	printTells: 60_000,
	groupPhotos: 60_000,
	printSecondPass: 60_000,
	printBinder: 60_000
};
/** What a worker may keep; past it the worker ends, not the server. */
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

let pool: Tinypool | undefined;

/**
 * Workers are processes: a thread that is ended while it reads the database takes the whole server
 * with it (the database's binding cannot be interrupted), a process only itself.
 */
function thePool(): Tinypool {
	if (pool) return pool;
	pool = new Tinypool({
		runtime: 'child_process',
		serialization: 'advanced',
		filename: resolve(readSettings(process.env).root, 'build/workers/worker.js'),
		env: process.env as Record<string, string>,
		execArgv: [`--max-old-space-size=${MOST_MEMORY_MB}`],
		minThreads: 1,
		maxThreads: Math.max(2, availableParallelism()),
		idleTimeout: 60_000,
		maxQueue: MOST_WAITING
	});
	// A worker that ends while it has nothing to do is made anew; nobody else is to notice.
	pool.on('error', (error) => {
		console.error('a worker ended:', error);
		wakeWaiting();
	});
	return pool;
}

/**
 * Starts a worker for the tasks that wait: once a worker has ended before it was ready, the pool makes none
 * anew (tinypool 2.2.0) until it is called again.
 */
function wakeWaiting(): void {
	if (pool && pool.queueSize > 0) void runTask('wake', undefined).catch(() => undefined);
}

/**
 * Runs a task in a worker, so that nobody waits for it but the caller. Given up, with its process,
 * when it takes too long or too much memory, or when `signal` says that the caller is gone.
 * @param tell is told how far the task is, where the task says so
 * @throws TooMuch when it was given up
 */
export async function runTask<Name extends TaskName>(
	task: Name,
	argument: Parameters<Tasks[Name]>[0],
	signal?: AbortSignal,
	tell?: Tasks[Name] extends (argument: never, tell: infer Tell) => unknown ? Tell : never
): Promise<Awaited<ReturnType<Tasks[Name]>>> {
	const call: TaskCall = { task, argument: argument as never, isFollowed: tell !== undefined };
	const channel = tell && { postMessage: tell as (told: unknown) => void };
	return run(call, channel, signal) as Promise<Awaited<ReturnType<Tasks[Name]>>>;
}

/**
 * Makes a change in a worker, in its turn among the changes of the server. Given up as a task is: then nothing of it
 * was written.
 *
 * @param aside of the collection that is changed
 * @throws TooMuch when it was given up
 */
export function runChange<Name extends ChangeName>(
	change: Name,
	argument: Parameters<Changes[Name]>[0]['argument'],
	aside: Collection['aside'],
	signal?: AbortSignal,
	tell?: TellChange
): Promise<Awaited<ReturnType<Changes[Name]>>> {
	const asked: Asked<unknown> = { argument, window: theWindow() };
	const call: TaskCall = { task: change, argument: asked as never, isFollowed: tell !== undefined };
	let send: (message: unknown) => void = () => undefined;
	let isSettled = false;
	const answer = run(
		call,
		{
			onMessage: (toWorker: (message: unknown) => void) => (send = toWorker),
			postMessage(told: unknown) {
				if (told !== TURN.wanted) return tell?.(told as Parameters<TellChange>[0]);
				void aside(async () => {
					if (isSettled) return;
					send(TURN.here);
					await settled;
				});
			}
		},
		signal
	);
	const settled = answer
		.catch(() => undefined)
		.then(() => {
			isSettled = true;
		});
	return answer as Promise<Awaited<ReturnType<Changes[Name]>>>;
}

async function run(
	call: TaskCall,
	channel: TinypoolChannel | undefined,
	signal: AbortSignal | undefined
): Promise<unknown> {
	const limit = AbortSignal.timeout(LONGEST_MS[call.task]);
	const both = signal ? AbortSignal.any([limit, signal]) : limit;
	try {
		return (await thePool().run(call, { signal: both, channel })) as unknown;
	} catch (error) {
		if (limit.aborted) throw new TooMuch('time', { cause: error });
		if (signal?.aborted) throw new TooMuch('gone', { cause: error });
		const { message } = error as Error;
		if (/exited unexpectedly/i.test(message)) {
			wakeWaiting();
			throw new TooMuch('memory', { cause: error });
		}
		if (/queue is at limit/i.test(message)) throw new TooMuch('busy', { cause: error });
		throw error;
	}
}
