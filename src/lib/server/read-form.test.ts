import fc from 'fast-check';
import { Type, type TObject } from 'typebox';
import { describe, expect, test } from 'vitest';
import * as binders from '../schemas/forms/binders.ts';
import * as boxes from '../schemas/forms/boxes.ts';
import * as files from '../schemas/forms/files.ts';
import * as log from '../schemas/forms/log.ts';
import * as page from '../schemas/forms/page.ts';
import * as releases from '../schemas/forms/releases.ts';
import * as tellApart from '../schemas/forms/tell-apart.ts';
import { idOf, list, orNull } from '../schemas/vocabulary.ts';
import { readForm, readFormFile } from './read-form.ts';

function formOf(values: Readonly<Record<string, string | readonly string[]>>): FormData {
	const form = new FormData();
	for (const [name, value] of Object.entries(values)) {
		for (const each of [value].flat()) form.append(name, each);
	}
	return form;
}
const x = (field: Parameters<typeof Type.Object>[0]['x'], text: string) =>
	readForm(formOf({ x: text }), Type.Object({ x: field }));

const number = Type.Number();
test.each([
	['12', number, 12],
	[' 12.5 ', number, 12.5],
	['12,5', number, 12.5],
	['-3', number, -3],
	['', orNull(number), null],
	['0', orNull(Type.Integer()), 0],
	['7', idOf('boxes', ''), 7],
	['2', Type.Enum([1, 2]), 2],
	['b', Type.Enum(['a', 'b']), 'b'],
	['yes', Type.Boolean(), true],
	['no', Type.Boolean(), false],
	['  a b ', Type.String(), 'a b'],
	['', Type.String(), ''],
	['12', Type.String(), '12'],
	['\n a \n', Type.String({ contentMediaType: 'text/plain' }), '\n a \n']
])('"%s" is read as %j → %j', (text, schema, value) => {
	expect(x(schema, text)).toMatchObject({ ok: true, value: { x: value } });
});

test.each([
	['', number],
	['1e3', number],
	['a dozen', number],
	['1.5', Type.Integer()],
	['7a', idOf('boxes', '')],
	['0', idOf('boxes', '')],
	['-1', idOf('boxes', '')],
	['9'.repeat(400), idOf('boxes', '')],
	['3', Type.Enum([1, 2])],
	['c', Type.Enum(['a', 'b'])],
	['maybe', Type.Boolean()]
])('"%s" is refused, with the name of its field', (text, schema) => {
	expect(x(schema, text)).toMatchObject({ ok: false, problems: [{ field: 'x' }] });
});

test('lists take every field of their name, in order; what is missing is missing; the rest is passed over', () => {
	const schema = Type.Object({ a: list(number, 3), b: Type.Optional(list(number, 3)) });
	expect(readForm(formOf({ a: ['2', '1', '2'], z: 'z' }), schema)).toMatchObject({
		value: { a: [2, 1, 2] }
	});
	expect(readForm(formOf({}), schema)).toEqual({ ok: true, value: { a: [] }, notes: [] });
	expect(readForm(formOf({ a: ['1', 'x', '3', '4'] }), schema)).toMatchObject({
		problems: [{ pointer: '/a' }, { pointer: '/a/1' }]
	});
	expect(readForm(formOf({}), Type.Object({ a: number, b: number }))).toMatchObject({
		problems: [{ field: 'a' }, { field: 'b' }]
	});
});

test('a file goes before a pasted text', async () => {
	const form = formOf({});
	expect((await readFormFile(form, 'é')).bytes).toEqual(new Uint8Array([0xc3, 0xa9]));
	form.set('file', new File(['a'], 'list.csv'));
	expect(await readFormFile(form, 'é')).toEqual({
		source: 'list.csv',
		bytes: new Uint8Array([0x61])
	});
});

describe('every form of the pages', () => {
	const all = Object.entries<unknown>({
		...{ ...binders, ...boxes, ...files, ...log },
		...{ ...page, ...releases, ...tellApart }
	}).filter((entry): entry is [string, TObject] => Type.IsObject(entry[1]));
	test('there are some', () => {
		expect(all.length).toBeGreaterThan(30);
	});
	test.each(all)('%s answers whatever is sent with values or with named problems', (_, schema) => {
		const names = Object.keys(schema.properties);
		const text = fc.oneof(
			fc.constantFrom('', ' ', '1', '0', '1e9', '1,5', 'yes', '__proto__', 'constructor', '{}'),
			fc.string({ unit: 'binary', maxLength: 600 })
		);
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.constantFrom(...names), text), { maxLength: 8 }),
				(fields) => {
					const form = new FormData();
					for (const [name, value] of fields) form.append(name, value);
					const read = readForm(form, schema);
					if (read.ok) expect(names).toEqual(expect.arrayContaining(Object.keys(read.value)));
					else expect(read.problems.every(({ field, message }) => field && message)).toBe(true);
				}
			),
			{ numRuns: 40 }
		);
	});
});
