import { Validator } from '@seriousme/openapi-schema-validator';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { checkAgainst } from '../../schemas/validator.ts';
import { openApi } from './openapi.ts';
import { compute, COMPUTATIONS } from './registry.ts';

const checklist = JSON.parse(
	readFileSync('demo/harbour-lights-1994.checklist.json', 'utf8')
) as unknown;
const layout = { pageKind: '3x3', order: 'number', blockStart: 'new-page' };

/** A body for every computation, and what its answer must hold. */
const EXAMPLES: Readonly<Record<string, { body: unknown; holds: unknown }>> = {
	'expand-checklist': { body: { checklist }, holds: { release: 'harbour-lights-1994' } },
	'fill-slots': {
		body: {
			slots: [{ key: 's', versions: ['a'] }],
			copies: [{ key: 'c', version: 'a', quantity: 2 }]
		},
		holds: { placements: [{ slot: 's', copy: 'c' }], spares: [{ copy: 'c', quantity: 1 }] }
	},
	'read-shorthand': {
		body: { checklist, line: '1-3 Q7', owned: { 'harbour-lights-1994/base-1': 2 } },
		holds: { problems: [{ start: 4, end: 6 }] }
	},
	'check-checklist': { body: { checklist }, holds: { findings: [] } },
	'compare-releases': {
		body: { left: checklist, right: checklist },
		holds: { sections: [{ left: 'base', right: 'base' }] }
	},
	production: {
		body: { checklist, goal: { preset: 'strict-master' } },
		// /120 on 208 and /75 on 12 and /45 on 8 cards, /10 on 240: worked by hand from design.md §4.
		holds: {
			whole: { versions: 1008, mostRuns: 10, copiesMade: 208 * 120 + 12 * 75 + 8 * 45 + 240 * 10 }
		}
	},
	'read-outline': {
		body: { outline: 'release R, M, 1994\nbase Base: 1-9\nodd line' },
		holds: { cards: 9, versions: 9, problems: [{ line: 3 }] }
	},
	'pair-groups': {
		body: {
			groups: [
				{ key: 'a', size: 4 },
				{ key: 'b', size: 5 }
			],
			capacity: 9
		},
		// ● Four versions and five fill one page. Common practice, no source.
		holds: { leastPages: 1, isExact: true }
	},
	'match-holdings': {
		body: {
			checklists: [checklist],
			rows: [
				{ set: 'Harbor Lights', year: '1994', number: '27', parallel: 'Brass' },
				{ set: 'Harbor Lights', year: '1994', number: '999' }
			]
		},
		holds: {
			matched: [{ line: 1, version: 'harbour-lights-1994/base-27~brass' }],
			unmatched: [{ line: 2 }]
		}
	},
	'scope-goal': {
		body: {
			checklists: [checklist],
			goal: { preset: 'complete', finishes: 'all', leastRun: 11, sets: 2 }
		},
		// First Beam /10 on all 240 cards is left out, in both sets.
		holds: { skipped: 480 }
	},
	'plan-binder': {
		body: { slots: [{ key: 's', number: '1', title: 'A', block: 'b' }], layout },
		holds: { leaves: 1, emptyPockets: 8 }
	}
};

describe('the compute registry', () => {
	test.each(COMPUTATIONS)('$name answers as its output schema says', ({ name, output }) => {
		const example = EXAMPLES[name];
		const answer = compute(name, example?.body);
		expect(answer.kind).toBe('done');
		const value = answer.kind === 'done' ? answer.value : null;
		const held = example?.holds as { sections?: unknown[] };
		expect(value).toMatchObject(
			held.sections
				? {
						sections: expect.arrayContaining([
							expect.objectContaining(held.sections[0] as object) as unknown
						]) as unknown
					}
				: held
		);
		expect(checkAgainst(output, JSON.parse(JSON.stringify(value)))).toEqual([]);
	});

	// 208 base cards in base, Brass, Verdigris, First Beam; 8 and 12 subset cards in all four, 12 dogs
	// without Verdigris; inserts of 15, 10, 12 once, 9 stickers, 3 foils; 4 pictures and 7 errors that
	// were put right, in base only. Worked by hand from design.md §4.
	test('expand-checklist gives the 1008 versions of Harbour Lights 1994', () => {
		const answer = compute('expand-checklist', { checklist });
		const versions =
			answer.kind === 'done' ? (answer.value as { versions: unknown[] }).versions : [];
		expect(versions).toHaveLength(4 * (208 + 8 + 12) + 3 * 12 + 15 + 10 + 12 + 9 + 3 + 4 + 7);
	});

	test.each<[string, unknown, string[]]>([
		['expand-checklist', null, ['']],
		['expand-checklist', {}, ['']],
		[
			'expand-checklist',
			{ checklist: { ...(checklist as object), sections: [] } },
			['/checklist/sections']
		],
		[
			'fill-slots',
			{ slots: [{ key: 's', versions: [] }], copies: [{ key: 'c', version: 'a', quantity: 0 }] },
			['/slots/0/versions', '/copies/0/quantity']
		],
		[
			'fill-slots',
			{
				slots: [],
				copies: [
					{ key: 'c', version: 'a' },
					{ key: 'c', version: 'a' }
				]
			},
			['/copies/1/key']
		],
		['read-shorthand', { checklist, line: '1', numbering: 'nix' }, ['/numbering']],
		['plan-binder', { slots: [], layout: { ...layout, order: 'mood' } }, ['/layout/order']]
	])('%s names what is wrong with %#', (name, body, pointers) => {
		const answer = compute(name, body);
		expect(answer.kind).toBe('invalid');
		expect(answer.kind === 'invalid' && answer.problems.map(({ pointer }) => pointer)).toEqual(
			pointers
		);
	});

	test('an unknown name is told apart', () => {
		expect(compute('nix', {})).toEqual({ kind: 'unknown' });
	});

	// Published: OpenAPI 3.1, checked with the schema of the specification in the registry's validator.
	test('the description is valid OpenAPI 3.1 and has every computation', async () => {
		const description = JSON.parse(JSON.stringify(openApi())) as { paths: object };
		const { valid, errors } = await new Validator().validate(description);
		expect(errors ?? []).toEqual([]);
		expect(valid).toBe(true);
		expect(Object.keys(description.paths)).toEqual(
			COMPUTATIONS.map(({ name }) => `/api/compute/${name}`)
		);
	});
});
