import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { ACCEPTED, formatLicences, readLicences } from './licences.js';

const shipped = readLicences();

test('what ships is listed as it is, on terms that let it be passed on', () => {
	expect(shipped.length).toBeGreaterThan(100);
	for (const name of ['svelte', 'chart.js', 'sharp', '@libsql/client', 'literata']) {
		expect(shipped.map((each) => each.name).join(' '), name).toContain(name);
	}
	const known = [...ACCEPTED, 'Bitstream-Vera'];
	const others = shipped.filter(
		({ licence }) =>
			!licence.split(/ (?:AND|OR) /).every((part) => known.includes(part.replace(/[()]/g, '')))
	);
	expect(others).toEqual([]);
	// Run `npm run licences` where this fails.
	expect(readFileSync('docs/licences.md', 'utf8')).toBe(formatLicences(shipped));
});
