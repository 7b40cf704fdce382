import fc from 'fast-check';

/** What programs fall over. */
const NASTY: readonly unknown[] = [
	...[null, true, false, 0, -1, -0, 1, 2, 1.5, 1e15, 2 ** 53 - 1, 1e308, 5e-324, 100_000],
	...['', ' ', '0', '-1', 'NaN', '1e999', '1-9999999', '\u0000', '\ud800', '\ufeff', "'; --"],
	...['__proto__', 'constructor', '../../x', '%2e%2e', '=1+1', 'x'.repeat(9000), '💡'.repeat(99)],
	...['1996-02-30', '0000-00-00', 'a\r\nb', '"', '[', '{"a":', '1, 2, 3', '٣', 'é', 'e\u0301'],
	...[[], {}, [[]], [null], { a: 1 }, { length: 3 }, Array(50).fill(1)]
];

/** One place of a document and what is done there; the place is drawn as fractions, so that it fits any document. */
interface Mutation {
	readonly path: readonly number[];
	readonly does: 'replace' | 'remove' | 'double' | 'nudge' | 'rename';
	readonly value: unknown;
}

const mutation: fc.Arbitrary<Mutation> = fc.record({
	path: fc.array(fc.double({ min: 0, max: 0.9999, noNaN: true }), { maxLength: 7 }),
	does: fc.constantFrom('replace', 'replace', 'replace', 'remove', 'double', 'nudge', 'rename'),
	value: fc.oneof(
		fc.constantFrom(...NASTY),
		fc.integer({ min: -3, max: 40 }),
		fc.string({ maxLength: 12, unit: 'grapheme' })
	)
});

/** Documents that are nearly the example: some of its places hold something else, are missing, or stand twice. */
export const nearly = (example: unknown, most = 3): fc.Arbitrary<unknown> =>
	fc
		.array(mutation, { minLength: 1, maxLength: most })
		.map((mutations) => mutations.reduce(mutate, structuredClone(example)));

/** The same of the bytes of a file: parts changed, cut off, doubled. */
export const nearlyBytes = (example: Uint8Array): fc.Arbitrary<Uint8Array> =>
	fc
		.array(
			fc.record({
				at: fc.double({ min: 0, max: 1, noNaN: true }),
				does: fc.constantFrom('overwrite', 'cut', 'insert', 'drop'),
				bytes: fc.uint8Array({ maxLength: 8 })
			}),
			{ minLength: 1, maxLength: 4 }
		)
		.map((changes) =>
			changes.reduce((bytes, { at, does, bytes: put }) => {
				const place = Math.floor(at * bytes.length);
				const [before, after] = [bytes.subarray(0, place), bytes.subarray(place)];
				const rest = {
					overwrite: after.subarray(put.length),
					cut: new Uint8Array(),
					insert: after,
					drop: after.subarray(40)
				}[does];
				const middle = does === 'cut' || does === 'drop' ? new Uint8Array() : put;
				return Uint8Array.from([...before, ...middle, ...rest]);
			}, example)
		);

function mutate(document: unknown, { path, ...change }: Mutation): unknown {
	const [step, ...deeper] = path;
	if (step === undefined || typeof document !== 'object' || document === null) {
		return change.does === 'nudge' && typeof document === 'number'
			? document + 1
			: change.does === 'nudge' && typeof document === 'string'
				? `${document}x`
				: change.value;
	}
	const items: readonly unknown[] | null = Array.isArray(document) ? document : null;
	const keys = Object.keys(document);
	const key = keys[Math.floor(step * keys.length)];
	if (key === undefined) return change.value;
	const held = (document as Readonly<Record<string, unknown>>)[key];
	if (deeper.length > 0 && typeof held === 'object' && held !== null) {
		const changed = mutate(held, { path: deeper, ...change });
		return items
			? items.map((entry, i) => (String(i) === key ? changed : entry))
			: { ...document, [key]: changed };
	}
	const index = Number(key);
	switch (change.does) {
		case 'remove':
			return items
				? items.filter((_, i) => i !== index)
				: Object.fromEntries(Object.entries(document).filter(([name]) => name !== key));
		case 'double':
			return items ? [...items, structuredClone(held)] : { ...document, [`${key}2`]: held };
		case 'rename':
			return items ? [...items].reverse() : { ...document, [String(change.value)]: held };
		default: {
			const changed = mutate(held, { path: [], ...change });
			return items
				? items.map((entry, i) => (i === index ? changed : entry))
				: { ...document, [key]: changed };
		}
	}
}
