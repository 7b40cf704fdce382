import { TASKS, type TaskName } from './tasks.ts';

/** A task on its way to a worker. */
export interface TaskCall {
	readonly task: TaskName;
	readonly argument: never;
	/** Whether anyone wants to know how far it is. */
	readonly isFollowed: boolean;
}

/** What a worker process runs: one task after the other (`vite.workers.config.ts` builds it). */
export default function work({ task, argument, isFollowed }: TaskCall): unknown {
	return TASKS[task](argument, (told: object) => {
		if (isFollowed) process.send?.(told);
	});
}
