import type { MessagePort } from 'node:worker_threads';
import { TASKS, type TaskName } from './tasks.ts';

/** A task on its way to a worker. */
export interface TaskCall {
	readonly task: TaskName;
	readonly argument: never;
	/** Where it says how far it is; null: nobody asks. */
	readonly port: MessagePort | null;
}

/** What a worker thread runs: one task after the other (`vite.workers.config.ts` builds it). */
export default function work({ task, argument, port }: TaskCall): unknown {
	return TASKS[task](argument, (told) => port?.postMessage(told));
}
