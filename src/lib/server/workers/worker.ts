import { TASKS, type TaskName } from './tasks.ts';

/** A task on its way to a worker. */
export interface TaskCall {
	readonly task: TaskName;
	readonly argument: never;
}

/** What a worker thread runs: one task after the other (`vite.workers.config.ts` builds it). */
export default function work({ task, argument }: TaskCall): unknown {
	return TASKS[task](argument);
}
