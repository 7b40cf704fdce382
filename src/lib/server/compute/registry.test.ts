import { Validator } from '@seriousme/openapi-schema-validator';
import { describe, expect, test } from 'vitest';
import { checkAgainst } from '../../schemas/validator.ts';
import { openApi } from './openapi.ts';
import { card, checklist, EXAMPLES, layout } from './registry-examples.fixture.ts';
import { compute, COMPUTATIONS } from './registry.ts';

const point = (currency: string, lowMinor: number, highMinor: number) => ({
	...{ version: 'a', grade: 8, currency, lowMinor, highMinor, kind: 'sale', on: '1996-10-06' }
});

describe('the compute registry', () => {
	test.each(COMPUTATIONS)('$name answers as its output schema says', async ({ name, output }) => {
		const example = EXAMPLES[name];
		const answer = await compute(name, example?.body);
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
	test('expand-checklist gives the 1008 versions of Harbour Lights 1994', async () => {
		const answer = await compute('expand-checklist', { checklist });
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
		['plan-binder', { slots: [], layout: { ...layout, order: 'mood' } }, ['/layout/order']],
		[
			'plan-binder',
			{ slots: [card, card], layout: { ...layout, pageKind: '9x9', binderKind: 'bag' } },
			['/slots/1/key', '/layout/pageKind', '/layout/binderKind']
		],
		['plan-boxes', { sets: [], sharedKind: 'shoe' }, ['/sharedKind']],
		[
			'plan-boxes',
			{ sets: [], classes: [{ name: 'a', sharedKind: 'shoe' }, { name: 'a' }] },
			['/classes/1/name', '/classes/0/sharedKind']
		],
		[
			'grade-ladder',
			{
				...{ cards: [], columns: ['8', 'grade 8', '8.3'], currency: 'EUR', on: '1996-10-06' },
				points: [point('USD', 1, 1), point('EUR', 2, 1)]
			},
			['/points/0/currency', '/points/1/highMinor', '/columns/2', '/columns/1/label']
		],
		[
			'population',
			{
				houses: [{ name: 'Gull', grades: [8] }],
				reports: [
					{ version: 'a', house: 'Tern', on: '1996-10-06', counts: [] },
					{
						...{ version: 'a', house: 'Gull', on: '1996-10-06' },
						counts: [
							{ grade: 9, count: 1 },
							{ grade: 8, count: 1 },
							{ grade: 8, count: 2 },
							{ count: 1 }
						]
					}
				]
			},
			['/reports/0/house', '/reports/1/counts/0', '/reports/1/counts/2', '/reports/1/counts/3']
		],
		['estimate-price', { copies: [], points: [], currency: 'EUR', on: '1996-02-31' }, ['/on']],
		['grade-or-not', { rawMinor: 1, feeMinor: 1, prices: [] }, ['/chances']],
		[
			'grade-or-not',
			{ rawMinor: 1, feeMinor: 1, prices: [], chances: [{ grade: 8.3, chance: 1 }] },
			['/chances/0/grade']
		],
		[
			'grade-or-not',
			{
				rawMinor: 1,
				feeMinor: 1,
				prices: [],
				chances: [
					{ grade: 8, chance: 0.7 },
					{ grade: 9, chance: 0.7 }
				]
			},
			['/chances']
		],
		['centring', {}, ['']],
		['centring', { file: 'AAAA' }, ['/file']],
		[
			'centring',
			{
				picture: { widthPx: 2, heightPx: 2, channels: 3, pixels: 'AAAA' },
				widthMm: 5,
				hasId1: true
			},
			['/widthMm']
		],
		[
			'condition-worksheet',
			{ sheets: [{ key: 'k', corners: ['blunt'] }] },
			['/sheets/0/corners/0']
		],
		['choose-holder', { card: { tier: 'nix' } }, ['/card/tier']],
		['move-tiers', { cards: [], names: [{ word: 'x', tier: 'nix' }] }, ['/names/0/tier']],
		['supplies', { slots: [], layout, whatIf: [{}, { pageKind: '9x9' }] }, ['/whatIf/1/pageKind']],
		[
			'plan-moves',
			{
				now: [
					{ item: 'a', pocket: '1' },
					{ item: 'a', pocket: '1' }
				],
				runs: [{ pockets: ['1'], items: ['a', 'b'] }]
			},
			['/runs/0/items', '/now/1/item', '/now/1/pocket']
		]
	])('%s names what is wrong with %#', async (name, body, pointers) => {
		const answer = await compute(name, body);
		expect(answer.kind).toBe('invalid');
		expect(answer.kind === 'invalid' && answer.problems.map(({ pointer }) => pointer)).toEqual(
			pointers
		);
	});

	test('every field of every body and answer says what it means, in the published description', () => {
		const silent: string[] = [];
		let fields = 0;
		const visit = (schema: unknown, path: string): void => {
			if (typeof schema !== 'object' || schema === null) return;
			const { properties = {} } = schema as { properties?: Record<string, unknown> };
			for (const [name, field] of Object.entries(properties)) {
				fields += 1;
				const { description = '' } = field as { description?: string };
				if (description.length < 6) silent.push(`${path}/${name}`);
			}
			for (const [name, part] of Object.entries(schema)) visit(part, `${path}/${name}`);
		};
		for (const [path, operations] of Object.entries(
			(JSON.parse(JSON.stringify(openApi())) as { paths: Record<string, unknown> }).paths
		)) {
			visit(operations, path);
		}
		expect(silent).toEqual([]);
		expect(fields).toBeGreaterThan(1000);
	});

	test('an unknown name is told apart', async () => {
		expect(await compute('nix', {})).toEqual({ kind: 'unknown' });
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
