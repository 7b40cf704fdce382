import { bad, good, type Outcome, type Problem } from '../problem.ts';

/** What a friend wants of a release, as an entry line says it. */
export interface FriendLine {
	readonly friend: string;
	/** Name or key of the release. */
	readonly release: string;
	/** An entry line: "5 12-14, 27 brass" */
	readonly line: string;
}

/**
 * What friends want, a line each:
 *
 *     line = friend ":" release ":" entry
 *
 * A release whose name holds a colon is named by its key.
 */
export function formatFriendLine({ friend, release, line }: FriendLine): string {
	return `${friend}: ${release}: ${line}`;
}

/** Reads such lines with their places in the text, from 1; empty ones are passed over. All problems at once. */
export function parseFriendLines(
	text: string
): Outcome<readonly (FriendLine & { readonly at: number })[]> {
	const problems: Problem[] = [];
	const lines = text.split(/\r?\n/).flatMap((said, i) => {
		if (said.trim() === '') return [];
		const [, friend = '', release = '', line = ''] = /^([^:]*):([^:]*):(.*)$/.exec(said) ?? [];
		const read = { friend: friend.trim(), release: release.trim(), line: line.trim(), at: i + 1 };
		if (read.friend !== '' && read.release !== '' && read.line !== '') return [read];
		problems.push({
			line: i + 1,
			message: `"${said.trim()}" does not say who wants what`,
			remedy: 'Write a friend, a release and the cards: Mara: Harbour Lights 1994: 5 12-14'
		});
		return [];
	});
	return problems.length > 0 ? bad(problems) : good(lines);
}
