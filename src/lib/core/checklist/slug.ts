/**
 * A key made of a name: small letters, digits and hyphens, at most 60 characters.
 * "Keeper's Ink" → "keepers-ink". A name without any letter or digit gives "x".
 */
export function slug(name: string): string {
	const plain = name
		.normalize('NFKD')
		.replace(/[\u0300-\u036f'’]/g, '')
		.toLowerCase()
		.replace(/[^a-z0-9.]+/g, '-')
		.slice(0, 60)
		.replace(/^[-.]+|[-.]+$/g, '');
	return plain || 'x';
}

/** The key itself, or with the first free "-2", "-3" … behind it; notes it as taken. */
export function freeKey(wanted: string, taken: Set<string>): string {
	let key = wanted;
	for (let n = 2; taken.has(key); n++) key = `${wanted}-${n}`;
	taken.add(key);
	return key;
}
