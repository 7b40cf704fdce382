/**
 * The stable name of one collectible thing. Grammar:
 *
 *     key  = release "/" card [ "~" parallel ] [ "!" variant ]
 *     word = 1*( letter / digit / "-" / "." )    ; each of the four; letters of any script, small ones
 */
export interface VersionName {
	readonly release: string;
	readonly card: string;
	readonly parallel: string | null;
	readonly variant: string | null;
}

const GRAMMAR =
	/^([\p{Ll}\p{Lo}\p{Lm}\p{M}\p{N}.-]+)\/([\p{Ll}\p{Lo}\p{Lm}\p{M}\p{N}.-]+)(?:~([\p{Ll}\p{Lo}\p{Lm}\p{M}\p{N}.-]+))?(?:!([\p{Ll}\p{Lo}\p{Lm}\p{M}\p{N}.-]+))?$/u;

/**
 * Reads a version key; null where the text is none.
 *
 * @example parseVersionKey('lights-1994/base-27~brass!town') // { release: 'lights-1994', card: 'base-27', parallel: 'brass', variant: 'town' }
 */
export function parseVersionKey(key: string): VersionName | null {
	const match = GRAMMAR.exec(key);
	if (!match?.[1] || !match[2]) return null;
	return {
		release: match[1],
		card: match[2],
		parallel: match[3] ?? null,
		variant: match[4] ?? null
	};
}

/**
 * Writes a version key; a name without a variant is the regular version.
 *
 * @example formatVersionKey({ release: 'r', card: 'base-1', parallel: null }) // 'r/base-1'
 */
export function formatVersionKey(
	name: Omit<VersionName, 'variant'> & { readonly variant?: string | null }
): string {
	const parallel = name.parallel === null ? '' : `~${name.parallel}`;
	const variant = name.variant ? `!${name.variant}` : '';
	return `${name.release}/${name.card}${parallel}${variant}`;
}
