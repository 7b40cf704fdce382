import type { Static, TObject, TSchema } from 'typebox';
import { bad, good, type Outcome } from '../core/problem.ts';
import { checkAgainst } from '../schemas/validator.ts';

/** What of a schema says how a text is read. */
interface FieldSchema {
	readonly type?: string;
	readonly anyOf?: readonly FieldSchema[];
	readonly items?: FieldSchema;
	readonly enum?: readonly unknown[];
	readonly contentMediaType?: string;
}

/**
 * Reads a form by the schema of what it shall hold, or gives all problems with it. Texts lose the blanks
 * around them, unless the schema calls them text/plain; numbers may bear a decimal comma; "yes" is true; an
 * empty field is null where that may be; a list takes every field of its name. What is misread stays the
 * text it is, so that the schema refuses it. Fields that the schema does not name are passed over.
 */
export function readForm<Schema extends TObject>(
	form: FormData,
	schema: Schema
): Outcome<Static<Schema>> {
	const fields = Object.entries(schema.properties as Readonly<Record<string, FieldSchema>>);
	const document = Object.fromEntries(
		fields.flatMap(([name, field]) => {
			const { items } = field;
			if (items && (form.has(name) || schema.required.some((asked) => asked === name))) {
				return [[name, form.getAll(name).map((value) => readField(value, items))]];
			}
			const value = form.get(name);
			return value === null ? [] : [[name, readField(value, field)]];
		})
	);
	const open: TSchema = schema;
	const problems = checkAgainst(open, document);
	return problems.length > 0 ? bad(problems) : good(document as Static<Schema>);
}

/** The same out of the body of a request. */
export async function readFormOf<Schema extends TObject>(
	request: Request,
	schema: Schema
): Promise<Outcome<Static<Schema>>> {
	return readForm(await request.formData(), schema);
}

/** The file that a form brings, or else the text that was pasted, as the bytes of a file. */
export async function readFormFile(
	form: FormData,
	text: string
): Promise<{ readonly source: string; readonly bytes: Uint8Array }> {
	const file = form.get('file');
	return file instanceof File && (file.size > 0 || file.name !== '')
		? { source: file.name, bytes: new Uint8Array(await file.arrayBuffer()) }
		: { source: 'the pasted text', bytes: new TextEncoder().encode(text) };
}

function readField(value: FormDataEntryValue, field: FieldSchema): unknown {
	if (typeof value !== 'string') return '';
	const kinds = field.anyOf ?? [field];
	if (kinds.some(({ contentMediaType }) => contentMediaType === 'text/plain')) return value;
	const is = (...types: readonly string[]) =>
		kinds.some(({ type = '', enum: words }) => types.includes(type || typeof words?.[0]));
	const text = value.trim();
	if (text === '' && is('null')) return null;
	if (is('number', 'integer') && /^-?\d+([.,]\d+)?$/.test(text)) {
		return Number(text.replace(',', '.'));
	}
	if (is('boolean') && (text === 'yes' || text === 'no')) return text === 'yes';
	return text;
}
