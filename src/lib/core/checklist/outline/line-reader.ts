import type { Problem } from '../../problem.ts';

/** Knows where in the outline a line stands. */
export interface Reader {
	/** Notes a problem with a part of the line; gives null, so that it can be returned. */
	readonly wrong: (part: string, message: string, remedy: string) => null;
}

export function readerOf(line: string, start: number, number: number, problems: Problem[]): Reader {
	return {
		wrong(part, message, remedy) {
			const at = start + Math.max(0, line.indexOf(part));
			problems.push({ line: number, start: at, end: at + part.length, message, remedy });
			return null;
		}
	};
}
