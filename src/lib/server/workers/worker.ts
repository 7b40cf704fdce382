import { CHANGES, type ChangeName } from './changes.ts';
import { TASKS, type TaskName } from './tasks.ts';
import { TURN, type TaskCall } from './worker-calls.ts';

/** What a worker process runs: one task after the other (`vite.workers.config.ts` builds it). */
export default function work({ task, argument, isFollowed }: TaskCall): unknown {
	const tell = (told: object) => {
		if (isFollowed) process.send?.(told);
	};
	return isChange(task) ? CHANGES[task](argument, tell, turnTaker()) : TASKS[task](argument, tell);
}

const isChange = (task: TaskName | ChangeName): task is ChangeName => task in CHANGES;

/** Asks for the turn once: it is kept until the task is done. */
function turnTaker(): () => Promise<void> {
	let turn: Promise<void> | undefined;
	return () =>
		(turn ??= new Promise((resolve) => {
			const listen = (message: unknown) => {
				if (message !== TURN.here) return;
				process.off('message', listen);
				resolve();
			};
			process.on('message', listen);
			process.send?.(TURN.wanted);
		}));
}
