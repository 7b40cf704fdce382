import { codesOf, UNREACHED } from './start-problem.ts';

/** Why a change could not be kept, in words for whoever made it; its transaction was rolled back. */
export interface Unwritten {
	/** HTTP: 507 where room is lacking, 503 where it may go later. */
	readonly status: 503 | 507;
	readonly message: string;
}

const MEANINGS: readonly (Unwritten & { readonly code: RegExp })[] = [
	{
		code: UNREACHED,
		status: 503,
		message:
			'The database server was not reached in time, so it is not known whether this change was kept. Look at the journal when it is back, and do it again if it is not there.'
	},
	{
		code: /^(ENOSPC|EFBIG|EDQUOT|SQLITE_FULL|SQLITE_IOERR\w*)$/,
		status: 507,
		message:
			'The disk takes nothing more, so this change was not kept; all before it was. Make room, then do it again.'
	},
	{
		code: /^SQLITE_READONLY\w*$/,
		status: 503,
		message:
			'The collection cannot be written to, so this change was not kept. Give the server the right to write its file, then do it again.'
	},
	{
		code: /^SQLITE_(BUSY|LOCKED)\w*$/,
		status: 503,
		message:
			'Another program holds the collection, so this change was not kept. Close that program, then do it again.'
	},
	{
		code: /^(SQLITE_(CORRUPT\w*|NOTADB|CANTOPEN\w*))$/,
		status: 503,
		message:
			'The file of the collection cannot be read any more, so this change was not kept. Stop the server, and put the latest backup in its place.'
	}
];

/** What a failed write means; null where it is a fault of the program. */
export function whyUnwritten(error: unknown): Unwritten | null {
	for (const code of codesOf(error)) {
		const meaning = MEANINGS.find((each) => each.code.test(code));
		if (meaning) return { status: meaning.status, message: meaning.message };
	}
	return null;
}
