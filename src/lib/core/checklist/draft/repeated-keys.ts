import type { Problem } from '../../problem.ts';

/** Keys that stand twice in a list of a release: the second of each is the problem. */
export function repeatedKeys(list: string, things: readonly { readonly key: string }[]): Problem[] {
	const seen = new Set<string>();
	return things.flatMap(({ key }, i): Problem[] => {
		if (!seen.has(key)) {
			seen.add(key);
			return [];
		}
		const remedy = 'Give each its own key, or leave it out.';
		return [
			{
				pointer: `/${list}/${i}/key`,
				field: 'key',
				message: `the key "${key}" stands twice`,
				remedy
			}
		];
	});
}
