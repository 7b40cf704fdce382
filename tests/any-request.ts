import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { nearly, nearlyBytes } from '../src/lib/schemas/mutate.fixture.ts';

/** A route of the program, as its file says: what may be asked there, and of what its bodies are made. */
export interface Route {
	/** "/goals/[goal=id]" */
	readonly path: string;
	/** "POST", or "?/remove" of a page. */
	readonly asks: readonly string[];
	readonly queries: readonly string[];
	readonly bodies: readonly JsonSchema[];
}

/** A request as it is sent. */
export interface AnyRequest {
	readonly ask: string;
	readonly address: string;
	readonly body: AnyBody;
}
export type AnyBody =
	| { readonly as: 'json'; readonly value: unknown }
	| { readonly as: 'form'; readonly fields: readonly (readonly [string, string])[] }
	| { readonly as: 'bytes'; readonly type: string; readonly bytes: Uint8Array }
	| { readonly as: 'nothing' };

interface JsonSchema {
	readonly type?: string;
	readonly anyOf?: readonly JsonSchema[];
	readonly enum?: readonly unknown[];
	readonly const?: unknown;
	readonly properties?: Readonly<Record<string, JsonSchema>>;
	readonly required?: readonly string[];
	readonly items?: JsonSchema;
	readonly minItems?: number;
	readonly minimum?: number;
	readonly maximum?: number;
	readonly patternProperties?: Readonly<Record<string, JsonSchema>>;
}

/** What things are called in the demo, and what is typed there. */
const WORDS = [
	...['harbour-lights-1994', 'signal-year-2019', 'harbour-lights-1994/base-1', 'base', 'base-27'],
	...['harbour-lights-1994/base-5~brass', 'brass', 'fresnel', 'Harbour Lights 1994', 'Mara Quill'],
	...['1-4', '5 brass', '41x2 nm', 'all but 7', '1.50', '2', '1996-10-05', 'EUR', 'near mint'],
	...['front', 'hobby', 'yes', 'a4', '550', 'general', 'commons 0.10', 'binder-1', 'box-2', '9']
];
const word = fc.oneof(
	{ weight: 6, arbitrary: fc.constantFrom(...WORDS) },
	{ weight: 1, arbitrary: fc.string({ maxLength: 8, unit: 'grapheme' }) },
	{ weight: 1, arbitrary: fc.constantFrom('', '\u0000', '..', "'", '%', '"', '9'.repeat(30), '-1') }
);

/** All routes, read from their files: one that is added is asked as well. */
export async function readRoutes(root: string): Promise<readonly Route[]> {
	const files = readdirSync(root, { recursive: true, encoding: 'utf8' })
		.filter((path) => /\+(page\.server|server)\.ts$/.test(path))
		.sort();
	return Promise.all(
		files.map(async (file): Promise<Route> => {
			const text = readFileSync(join(root, file), 'utf8');
			const methods = [...text.matchAll(/export const (GET|POST|PUT|PATCH|DELETE)\b/g)].map(
				([, method = '']) => method
			);
			const [, actions = ''] = text.split(/export const actions\b/);
			const named = [...actions.matchAll(/^\t(\w+)(?:: async|: \()/gm)].map(([, name = '']) =>
				name === 'default' ? '?/default' : `?/${name}`
			);
			return {
				path: `/${dirname(file)}`.replace(/^\/\.$/, '/'),
				asks: [...methods, ...(file.endsWith('+page.server.ts') ? ['GET', ...named] : [])],
				queries: [...text.matchAll(/searchParams\.get(?:All)?\('(\w+)'\)/g)].map(
					([, name = '']) => name
				),
				bodies: await schemasOf(text)
			};
		})
	);
}

async function schemasOf(text: string): Promise<readonly JsonSchema[]> {
	const found: JsonSchema[] = [];
	for (const [, names = '', path = ''] of text.matchAll(
		/import \{([^}]*)\} from '\$lib\/schemas\/([\w/-]+)'/g
	)) {
		const module = (await import(`../src/lib/schemas/${path}.ts`)) as Record<string, JsonSchema>;
		for (const name of names.split(',').map((each) => each.trim())) {
			const schema = module[name];
			if (name.endsWith('Schema') && schema) found.push(schema);
		}
	}
	return found;
}

/** A request to a route: right, nearly right, or anything. */
export function anyRequest({ path, asks, queries, bodies }: Route): fc.Arbitrary<AnyRequest> {
	const parts = path.split('/').filter(Boolean);
	const segments = fc.tuple(...parts.map(segment)).map((filled) => `/${filled.join('/')}`);
	const query = fc
		.array(fc.tuple(fc.constantFrom('x', ...queries), word), { maxLength: queries.length ? 4 : 0 })
		.map((pairs) => new URLSearchParams(pairs.map(([name, value]) => [name, value])).toString());
	return fc
		.record({ ask: fc.constantFrom(...asks), path: segments, query })
		.chain(({ ask, path: filled, query: asked }) =>
			(ask === 'GET' ? fc.constant({ as: 'nothing' } as const) : anyBody(ask, bodies)).map(
				(body) => ({
					ask,
					body,
					address: ask.startsWith('?/')
						? `${filled}${ask === '?/default' ? '' : ask}`
						: `${filled}${asked && `?${asked}`}`
				})
			)
		);
}

function segment(part: string): fc.Arbitrary<string> {
	const parameter = /^(.*?)\[(\w+)(?:=(\w+))?\](.*)$/.exec(part);
	if (!parameter) return fc.constant(part);
	const [, before = '', name = '', matcher = '', after = ''] = parameter;
	const usual: Readonly<Record<string, readonly string[]>> = {
		release: ['harbour-lights-1994', 'signal-year-2019', 'moths-of-the-lamp', 'the-drowned-bell'],
		card: ['base-27', 'base-1', 'fresnel-f3'],
		name: ['read-shorthand', 'scope-goal', 'fill-slots', 'stack-height'],
		checklistform: ['csv', 'json', 'xlsx'],
		holdingsform: ['csv', 'xlsx'],
		listform: ['pdf', 'csv', 'xlsx'],
		listingsform: ['csv', 'zip'],
		journalstep: ['undo', 'redo'],
		sheet: ['index', 'spine', 'pages', 'placeholders'],
		year: ['1994', '1926'],
		subject: ['Quiet Harbour Light'],
		id: ['1', '2', '3', '7', '43']
	};
	const values = usual[matcher] ?? usual[name] ?? ['x'];
	return fc
		.oneof(
			{ weight: 5, arbitrary: fc.constantFrom(...values) },
			{ weight: 1, arbitrary: fc.constantFrom('0', '999', 'nix', '%00', '..%2f..', '-1', '1e9') }
		)
		.map((value) => `${before}${value.includes('%') ? value : encodeURIComponent(value)}${after}`);
}

function anyBody(ask: string, bodies: readonly JsonSchema[]): fc.Arbitrary<AnyBody> {
	const document: fc.Arbitrary<unknown> =
		bodies.length > 0
			? fc.oneof(...bodies.map((schema) => fitting(schema)))
			: fc.oneof(fc.constant({}), fc.dictionary(fc.constantFrom('id', 'name', 'text'), word));
	const almost = fc.oneof(
		document,
		document.chain((value) => nearly(value, 2))
	);
	if (ask.startsWith('?/')) {
		return almost.map((value) => ({ as: 'form', fields: fieldsOf(value) }));
	}
	const file = fc
		.constantFrom(...FILES)
		.chain(([type, text]) =>
			fc
				.oneof(
					fc.constant(new TextEncoder().encode(text)),
					nearlyBytes(new TextEncoder().encode(text)),
					fc.uint8Array({ maxLength: 60 })
				)
				.map((bytes) => ({ as: 'bytes' as const, type, bytes }))
		);
	return fc.oneof(
		{ weight: 4, arbitrary: almost.map((value) => ({ as: 'json' as const, value })) },
		{ weight: bodies.length > 0 ? 1 : 4, arbitrary: file }
	);
}

const FILES = [
	['text/csv', 'section,kind,number,title\nBase,base,1,A\nBase,base,2,B'],
	['text/csv', 'set,number,quantity\nHarbour Lights 1994,3,2'],
	['application/json', '{"format":"jade-checklist","formatVersion":2,"release":{"name":"A"}}'],
	['application/octet-stream', 'PK\u0003\u0004nothing'],
	['text/plain', ''],
	['image/png', '\u0089PNG\r\n\u001a\n'],
	['multipart/form-data; boundary=x', '--x\r\ncontent-disposition: form-data; name="a"\r\n\r\n1']
] as const;

/** The fields of a form that would say this. */
function fieldsOf(value: unknown): (readonly [string, string])[] {
	if (typeof value !== 'object' || value === null) return [['x', String(value)]];
	return Object.entries(value).flatMap(([name, held]) =>
		(Array.isArray(held) ? held.slice(0, 50) : [held]).map(
			(each) => [name, each === true ? 'yes' : each === null ? '' : String(each)] as const
		)
	);
}

/** A document that fits a schema, or nearly: patterns and formats are met by chance only. */
function fitting(schema: JsonSchema, depth = 0): fc.Arbitrary<unknown> {
	if (schema.const !== undefined) return fc.constant(schema.const);
	if (schema.enum) return fc.constantFrom(...schema.enum);
	if (schema.anyOf) return fc.oneof(...schema.anyOf.map((each) => fitting(each, depth)));
	switch (schema.type) {
		case 'object': {
			const { properties = {}, required = [], patternProperties } = schema;
			const [entry] = Object.values(patternProperties ?? {});
			if (entry) return fc.dictionary(word, fitting(entry, depth + 1), { maxKeys: 3 });
			const fields = Object.fromEntries(
				Object.entries(properties).map(([name, field]) => [name, fitting(field, depth + 1)])
			);
			return fc.record(fields, { requiredKeys: required.filter((name) => name in fields) });
		}
		case 'array': {
			const { items = {}, minItems = 0 } = schema;
			const maxLength = Math.max(minItems, depth > 3 ? 1 : 3);
			return fc.array(fitting(items, depth + 1), { minLength: minItems, maxLength });
		}
		case 'integer':
		case 'number': {
			const { minimum = 0, maximum = 1000 } = schema;
			const most = Math.max(minimum, Math.min(maximum, minimum + 60));
			return fc.oneof(
				{ weight: 5, arbitrary: fc.integer({ min: Math.ceil(minimum), max: Math.floor(most) }) },
				{ weight: 1, arbitrary: fc.constantFrom(minimum, maximum) }
			);
		}
		case 'boolean':
			return fc.boolean();
		case 'null':
			return fc.constant(null);
		default:
			return word;
	}
}
