import { expect } from 'vitest';
import type { Release } from '../release.ts';
import { readOutline } from './read-outline.ts';

export const HEAD = 'release Almanac, Kittiwake Press, 1948\n';

/** The release that lines make, or `onto` with them; none of them may be wrong. */
export function made(lines: string, onto?: Release): Release {
	const { release, problems } = readOutline(onto ? lines : HEAD + lines, onto);
	expect(problems).toEqual([]);
	return release;
}

/** "Name: 1 2 3", with what cards bear besides. */
export const told = ({ sections }: Release) =>
	sections.map(
		({ name, cards }) =>
			`${name}: ${cards.map(({ number, title, marks }) => [number ?? title, ...marks.map((mark) => `(${mark})`)].join('')).join(' ')}`
	);
