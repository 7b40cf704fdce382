/** The longest key that is made of a name. */
const LONGEST = 60;

/**
 * A name as names are compared: small letters of every script, digits and hyphens; accents of Latin
 * letters, apostrophes and whatever else is in between count for nothing. A name without any letter or
 * digit stays as it is.
 *
 * @example plainName("Keeper's Ink") === 'keepers-ink'; plainName('Маяк 1') === 'маяк-1'
 */
export function plainName(name: string): string {
	const plain = name
		.normalize('NFKD')
		.replace(/['’]/g, '')
		.replace(/(\p{Script=Latin})[\u0300-\u036f]+/gu, '$1')
		.normalize('NFC')
		.toLowerCase()
		.replace(/[^\p{L}\p{M}\p{N}.]+/gu, '-')
		.replace(/^[-.]+|[-.]+$/g, '');
	return plain || name.trim().toLowerCase();
}

/**
 * A key made of a name: like `plainName`, at most 60 characters. A name without any letter or digit
 * gives "x".
 *
 * @example [slug('First Beam'), slug('½'), slug('!')] // ['first-beam', '1-2', 'x']
 */
export function slug(name: string): string {
	const key = Array.from(plainName(name)).slice(0, LONGEST).join('');
	return /^[\p{L}\p{N}]/u.test(key) ? key.replace(/[-.]+$/, '') : 'x';
}

/**
 * Keys as they were made before they kept letters of every script. The cards of editions are a rule and
 * no rows: their keys are made anew each time, and must stay as they are, for copies hang on them.
 */
export function asciiSlug(name: string): string {
	const plain = name
		.normalize('NFKD')
		.replace(/[\u0300-\u036f'’]/g, '')
		.toLowerCase()
		.replace(/[^a-z0-9.]+/g, '-')
		.slice(0, LONGEST)
		.replace(/^[-.]+|[-.]+$/g, '');
	return plain || 'x';
}

/**
 * The key itself, or with the first free "-2", "-3" … behind it; notes it as taken.
 *
 * @example freeKey('ink', new Set(['ink', 'ink-2'])) // 'ink-3'
 */
export function freeKey(wanted: string, taken: Set<string>): string {
	return keyMaker(taken)(wanted);
}

/** The same for key after key: a thousand cards of one title take no longer than a thousand others. */
export function keyMaker(taken: Set<string>): (wanted: string) => string {
	const next = new Map<string, number>();
	return (wanted) => {
		let key = wanted;
		let n = next.get(wanted) ?? 2;
		for (; taken.has(key); n++) key = `${wanted}-${n}`;
		next.set(wanted, n);
		taken.add(key);
		return key;
	};
}
