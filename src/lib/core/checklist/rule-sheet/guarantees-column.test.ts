import { describe, expect, test } from 'vitest';
import { formatGuarantee, readGuarantee } from './guarantees-column.ts';

const names = {
	sections: [
		{ key: 'fresnel', name: 'Fresnel' },
		{ key: 'ebb', name: 'Ebb or Flow' },
		{ key: 'ebb-2', name: 'Ebb' },
		{ key: 'parallel-lives', name: 'Parallel Lives' },
		{ key: 'brass', name: 'Brass' }
	],
	parallels: [
		{ key: 'brass', name: 'Brass' },
		{ key: 'neap', name: 'Neap or Spring' }
	]
};

describe('what every box holds for certain', () => {
	test.each([
		['2 Fresnel', { count: 2, sections: ['fresnel'] }],
		['1 fresnel or Ebb or Flow', { count: 1, sections: ['fresnel', 'ebb'] }],
		['1 Ebb or Fresnel', { count: 1, sections: ['ebb-2', 'fresnel'] }],
		['12 × Parallel Lives', { count: 12, sections: ['parallel-lives'] }],
		['1 Brass or parallel Brass', { count: 1, sections: ['brass'], parallels: ['brass'] }],
		[
			'3 parallel Neap or Spring or parallel Brass or Ebb',
			{ count: 3, sections: ['ebb-2'], parallels: ['neap', 'brass'] }
		]
	])('%s', (text, guarantee) => {
		expect(readGuarantee(text, names)).toMatchObject({ ok: true, value: guarantee });
		expect(readGuarantee(formatGuarantee(guarantee, names), names)).toMatchObject({
			...{ ok: true, value: guarantee }
		});
	});

	test.each([
		['Fresnel', /says not how many/],
		['0 Fresnel', /says not how many/],
		['2 Lamp', /there is no "Lamp"/],
		['2 Fresnel or parallel Teal', /there is no "Teal"/]
	])('%s is told', (text, message) => {
		const read = readGuarantee(text, names);
		expect(read.ok ? [] : read.problems.map((problem) => problem.message)).toEqual([
			expect.stringMatching(message)
		]);
	});
});
