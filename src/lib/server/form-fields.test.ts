import { expect, test } from 'vitest';
import { formFields } from './form-fields.ts';

function fields(values: Readonly<Record<string, string>>) {
	const form = new FormData();
	for (const [name, value] of Object.entries(values)) form.set(name, value);
	return formFields(form);
}

test.each([
	['12', 12],
	[' 12.5 ', 12.5],
	['12,5', 12.5],
	['', ''],
	['-3', '-3'],
	['1e3', '1e3'],
	['a dozen', 'a dozen']
])(
	'"%s" is read as the number %j; what is none stays text for a schema to judge',
	(text, value) => {
		expect(fields({ x: text }).number('x')).toBe(value);
	}
);

test('an empty field is null where it may be, a row that is none is 0, a missing field is empty', () => {
	const { orNull, id, word } = fields({ empty: ' ', row: '7', wrong: '7a' });
	expect([orNull('empty'), orNull('row'), orNull('nix')]).toEqual([null, 7, null]);
	expect([id('row'), id('wrong'), id('nix')]).toEqual([7, 0, 0]);
	expect(word('nix')).toBe('');
});
