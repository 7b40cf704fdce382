/**
 * The stable name of one collectible thing. Grammar:
 *
 *     key  = release "/" card [ "~" parallel ]
 *     word = 1*( a–z / 0–9 / "-" / "." )        ; each of the three
 */
export interface VersionName {
	readonly release: string;
	readonly card: string;
	readonly parallel: string | null;
}

const GRAMMAR = /^([a-z0-9.-]+)\/([a-z0-9.-]+)(?:~([a-z0-9.-]+))?$/;

/** Reads a version key; null where the text is none. */
export function parseVersionKey(key: string): VersionName | null {
	const match = GRAMMAR.exec(key);
	if (!match?.[1] || !match[2]) return null;
	return { release: match[1], card: match[2], parallel: match[3] ?? null };
}

export function formatVersionKey(name: VersionName): string {
	return `${name.release}/${name.card}${name.parallel === null ? '' : `~${name.parallel}`}`;
}
