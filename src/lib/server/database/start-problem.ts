/** Why a collection cannot be opened, in words for whoever starts the server: what is wrong, and what to do. */
export class StartProblem extends Error {
	override readonly name = 'StartProblem';
	readonly remedy: string;

	constructor(message: string, remedy: string, cause?: unknown) {
		super(message, cause === undefined ? {} : { cause });
		this.remedy = remedy;
	}
}

/** What a database that is reached by a network says when it is not. */
export const UNREACHED = /^(ECONN\w+|ENOTFOUND|EAI_AGAIN|ETIMEDOUT|EHOSTUNREACH|UND_ERR_\w+)$/;

/** What a failure of the file system, or of SQLite, means for who starts the server; by its code. */
const MEANINGS: readonly {
	readonly code: RegExp;
	readonly says: (path: string) => string;
	readonly remedy: string;
}[] = [
	{
		code: /^(EACCES|EPERM|EROFS|SQLITE_READONLY\w*|SQLITE_PERM)$/,
		says: (path) => `${path} cannot be written to`,
		remedy:
			'Give this user the right to write there, or name another folder with JADE_DATA. Nothing was changed.'
	},
	{
		code: UNREACHED,
		says: () => 'the database server is not reached',
		remedy: 'Start it, or look at its address in DATABASE_URL, and start again.'
	},
	{
		code: /^(ENOTDIR|EEXIST)$/,
		says: (path) => `${path} cannot be made: a part of its path is a file`,
		remedy: 'Name a folder with JADE_DATA.'
	},
	{
		code: /^(ENOSPC|EFBIG|SQLITE_FULL)$/,
		says: (path) => `there is no room left on the disk of ${path}`,
		remedy: 'Make room, and start again. The collection is as it was.'
	},
	{
		code: /^SQLITE_(BUSY|LOCKED)\w*$/,
		says: (path) => `another program holds ${path}`,
		remedy: 'Close it, and start again. The collection is as it was.'
	},
	{
		code: /^SQLITE_NOTADB$/,
		says: (path) => `${path} is no collection`,
		remedy: 'Put it aside, and put a backup in its place, or name another folder with JADE_DATA.'
	},
	{
		code: /^SQLITE_(CORRUPT\w*)$/,
		says: (path) => `${path} is damaged`,
		remedy: 'Put it aside as it is, and put the latest of the folder backups in its place.'
	},
	{
		code: /^SQLITE_(IOERR\w*|CANTOPEN\w*)$/,
		says: (path) => `${path} cannot be read or written`,
		remedy: 'Look at the disk and at the rights of the folder; nothing was changed.'
	}
];

/** The codes of an error and of what caused it, the outermost first. */
export function codesOf(error: unknown): readonly string[] {
	const codes: string[] = [];
	for (let cause = error; cause instanceof Error; cause = cause.cause) {
		const { code, extendedCode } = cause as { code?: unknown; extendedCode?: unknown };
		for (const each of [code, extendedCode]) if (typeof each === 'string') codes.push(each);
		const named = /\b(SQLITE_[A-Z_]+)\b/.exec(cause.message)?.[1];
		if (named) codes.push(named);
	}
	return codes;
}

/** The same in words for whoever starts the server; null where it is a fault of the program. */
export function asStartProblem(error: unknown, path: string): StartProblem | null {
	if (error instanceof StartProblem) return error;
	for (const code of codesOf(error)) {
		const meaning = MEANINGS.find((each) => each.code.test(code));
		if (meaning) return new StartProblem(meaning.says(path), meaning.remedy, error);
	}
	return null;
}
