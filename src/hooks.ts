import type { Transport } from '@sveltejs/kit';

/**
 * How pages carry what people name: an object with the name by which objects inherit is refused by what
 * carries pages, so it goes as pairs. A family of tags may be called so, like anything else.
 */
export const transport: Transport = {
	Pairs: {
		encode: (value: unknown) =>
			typeof value === 'object' &&
			value !== null &&
			Object.hasOwn(value, '__proto__') &&
			Object.entries(value),
		decode: (pairs: [string, unknown][]) => Object.fromEntries(pairs)
	}
};
