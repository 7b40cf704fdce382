import type { Problem } from '../../problem.ts';

/** A line of an outline as it is read, which knows where in the outline each part of it stands. */
export interface Reader {
	/** The line with single blanks: the grammar knows no others, and long runs of them cost nothing. */
	readonly text: string;
	/** Notes a problem with a part of the line; gives null, so that it can be returned. */
	readonly wrong: (part: string, message: string, remedy: string) => null;
}

/** @param start where the line begins in the outline; @param number of the line, from 1 */
export function readerOf(line: string, start: number, number: number, problems: Problem[]): Reader {
	/** Where each character of the text stands in the line. */
	const places: number[] = [];
	const kept: string[] = [];
	for (let at = 0; at < line.length; at++) {
		const char = line[at] ?? '';
		const isBlank = /\s/.test(char);
		if (isBlank && kept.at(-1) === ' ') continue;
		kept.push(isBlank ? ' ' : char);
		places.push(at);
	}
	// Joined once: a text that grows and is looked at is copied whole each time.
	const text = kept.join('');
	return {
		text,
		wrong(part, message, remedy) {
			const at = Math.max(0, text.indexOf(part));
			const end = places[at + part.length - 1] ?? places[at] ?? 0;
			problems.push({
				line: number,
				start: start + (places[at] ?? 0),
				end: start + end + 1,
				message,
				remedy
			});
			return null;
		}
	};
}
