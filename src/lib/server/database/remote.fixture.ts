import Database from 'libsql';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { randomUUID } from 'node:crypto';

/*
 * A small stand-in for a remote libSQL server: Hrana over HTTP, version 2, with JSON (the protocol as libSQL publishes
 * it: docs/HRANA_2_SPEC.md, as far as its client asks for it), on top of the local engine. One connection a stream.
 */

/** A value as the protocol carries it. */
type Value =
	| { readonly type: 'null' }
	| { readonly type: 'integer'; readonly value: string }
	| { readonly type: 'float'; readonly value: number }
	| { readonly type: 'text'; readonly value: string }
	| { readonly type: 'blob'; readonly base64: string };
interface Stmt {
	readonly sql?: string;
	readonly sql_id?: number;
	readonly args?: readonly Value[];
	readonly named_args?: readonly { readonly name: string; readonly value: Value }[];
}
type Condition =
	| { readonly type: 'ok'; readonly step: number }
	| { readonly type: 'error'; readonly step: number }
	| { readonly type: 'not'; readonly cond: Condition }
	| { readonly type: 'and'; readonly conds: readonly Condition[] }
	| { readonly type: 'or'; readonly conds: readonly Condition[] };
type Asked =
	| { readonly type: 'execute'; readonly stmt: Stmt }
	| {
			readonly type: 'batch';
			readonly batch: {
				readonly steps: readonly { readonly stmt: Stmt; readonly condition?: Condition }[];
			};
	  }
	| { readonly type: 'sequence'; readonly sql?: string; readonly sql_id?: number }
	| { readonly type: 'store_sql'; readonly sql_id: number; readonly sql: string }
	| { readonly type: 'close_sql'; readonly sql_id: number }
	| { readonly type: 'close' };

interface Stream {
	readonly database: Database.Database;
	readonly texts: Map<number, string>;
}

export interface RemoteStandIn {
	readonly url: string;
	/** Requests so far. */
	readonly requests: () => number;
	/** Breaks the connection at one of the next requests, before it is answered: the n-th from now, 1 the next. */
	readonly breakAt: (n: number) => void;
	readonly close: () => Promise<void>;
}

/** @param delayMs how long each answer takes on its way */
export async function startRemote(file: string, delayMs = 0): Promise<RemoteStandIn> {
	const streams = new Map<string, Stream>();
	let count = 0;
	let breaksAt = Infinity;
	const open = (): Stream => ({
		database: new Database(file, { timeout: 50 }),
		texts: new Map()
	});

	async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
		count++;
		const parts: Buffer[] = [];
		for await (const part of request) parts.push(part as Buffer);
		const { baton, requests } = JSON.parse(Buffer.concat(parts).toString()) as {
			readonly baton?: string;
			readonly requests: readonly Asked[];
		};
		const stream = (baton === undefined ? undefined : streams.get(baton)) ?? open();
		if (baton !== undefined) streams.delete(baton);
		if (count >= breaksAt) {
			breaksAt = Infinity;
			// What was begun on it is rolled back, as a server does with a stream that nobody asks for.
			stream.database.close();
			request.socket.destroy();
			return;
		}
		const results: object[] = [];
		let isClosed = false;
		for (const asked of requests) {
			if (asked.type === 'close') isClosed = true;
			results.push(respond(stream, asked));
		}
		const next = isClosed ? null : randomUUID();
		if (next === null) stream.database.close();
		else streams.set(next, stream);
		if (delayMs > 0) await new Promise((resume) => setTimeout(resume, delayMs));
		response.setHeader('content-type', 'application/json');
		response.end(JSON.stringify({ baton: next, base_url: null, results }));
	}

	const server = createServer((request, response) => {
		void answer(request, response).catch((error: unknown) => {
			response.statusCode = 500;
			response.end(String(error));
		});
	});
	server.keepAliveTimeout = 60_000;
	await new Promise<void>((resume) => server.listen(0, '127.0.0.1', resume));
	const { port } = server.address() as AddressInfo;
	return {
		url: `http://127.0.0.1:${port}`,
		requests: () => count,
		breakAt: (n) => {
			breaksAt = count + n;
		},
		async close() {
			for (const { database } of streams.values()) database.close();
			server.closeAllConnections();
			await new Promise((resume) => server.close(resume));
		}
	};
}

function respond(stream: Stream, asked: Asked): object {
	try {
		return { type: 'ok', response: responseTo(stream, asked) };
	} catch (error) {
		return { type: 'error', error: asError(error) };
	}
}

function responseTo(stream: Stream, asked: Asked): object {
	switch (asked.type) {
		case 'execute':
			return { type: 'execute', result: execute(stream, asked.stmt) };
		case 'batch': {
			const ok: (object | null)[] = [];
			const failed: (object | null)[] = [];
			for (const { stmt, condition } of asked.batch.steps) {
				const isAsked = condition === undefined || holds(condition, ok, failed);
				const result = isAsked ? tryTo(() => execute(stream, stmt)) : null;
				ok.push(result instanceof Error ? null : result);
				failed.push(result instanceof Error ? asError(result) : null);
			}
			return { type: 'batch', result: { step_results: ok, step_errors: failed } };
		}
		case 'sequence':
			stream.database.exec(textOf(stream, asked));
			return { type: 'sequence' };
		case 'store_sql':
			stream.texts.set(asked.sql_id, asked.sql);
			return { type: 'store_sql' };
		case 'close_sql':
			stream.texts.delete(asked.sql_id);
			return { type: 'close_sql' };
		case 'close':
			return { type: 'close' };
	}
}

function tryTo<Value>(work: () => Value): Value | Error {
	try {
		return work();
	} catch (error) {
		return error as Error;
	}
}

function holds(
	condition: Condition,
	ok: readonly (object | null)[],
	failed: readonly (object | null)[]
): boolean {
	if (condition.type === 'ok') return ok[condition.step] != null;
	if (condition.type === 'error') return failed[condition.step] != null;
	if (condition.type === 'not') return !holds(condition.cond, ok, failed);
	if (condition.type === 'and') return condition.conds.every((each) => holds(each, ok, failed));
	return condition.conds.some((each) => holds(each, ok, failed));
}

function textOf({ texts }: Stream, { sql, sql_id: id }: Pick<Stmt, 'sql' | 'sql_id'>): string {
	const text = sql ?? (id === undefined ? undefined : texts.get(id));
	if (text === undefined) throw new RangeError(`no SQL is stored under ${String(id)}`);
	return text;
}

function execute(stream: Stream, stmt: Stmt): object {
	const named = Object.fromEntries(
		(stmt.named_args ?? []).map(({ name, value }) => [name.replace(/^[@$:]/, ''), decode(value)])
	);
	const args = stmt.named_args?.length ? named : (stmt.args ?? []).map(decode);
	const statement = stream.database.prepare(textOf(stream, stmt));
	statement.safeIntegers(true);
	if (!givesRows(statement)) {
		const { changes, lastInsertRowid } = statement.run(args);
		const last = { affected_row_count: changes, last_insert_rowid: String(lastInsertRowid) };
		return { cols: [], rows: [], ...last };
	}
	const columns = statement.columns();
	return {
		cols: columns.map(({ name, type }) => ({ name, decltype: type })),
		rows: (statement.all(args) as readonly (readonly unknown[])[]).map((row) => row.map(encode)),
		...{ affected_row_count: 0, last_insert_rowid: null }
	};
}

/** Asks for rows as lists; a statement that gives none refuses. */
function givesRows(statement: Database.Statement): boolean {
	try {
		statement.raw(true);
		return true;
	} catch {
		return false;
	}
}

function decode(value: Value) {
	if (value.type === 'integer') return BigInt(value.value);
	if (value.type === 'blob') return Buffer.from(value.base64, 'base64');
	return value.type === 'null' ? null : value.value;
}

function encode(value: unknown): Value {
	if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
	if (typeof value === 'number') return { type: 'float', value };
	if (typeof value === 'string') return { type: 'text', value };
	if (value instanceof Uint8Array) {
		return { type: 'blob', base64: Buffer.from(value).toString('base64') };
	}
	return { type: 'null' };
}

function asError(error: unknown): { readonly message: string; readonly code: string | null } {
	const { message, code } = error as { readonly message: string; readonly code?: string };
	return { message, code: code ?? null };
}
