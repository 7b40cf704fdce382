import type { ChangeName } from './changes.ts';
import type { TaskName } from './tasks.ts';

/** A task, or a change, on its way to a worker. */
export interface TaskCall {
	readonly task: TaskName | ChangeName;
	readonly argument: never;
	/** Whether anyone wants to know how far it is. */
	readonly isFollowed: boolean;
}

/** What the server and a worker that changes something say to each other: the worker may write once it is its turn. */
export const TURN = { wanted: 'turn wanted', here: 'turn here' } as const;
