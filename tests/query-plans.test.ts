import { createClient } from '@libsql/client';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { expect, test } from './program.ts';
import { VIEWS } from './views.ts';

/** What grows with a collection; the other tables hold some dozens of rows, or one for each release, goal or card looked at by hand. */
const LARGE =
	/^(copies|cards|card_subjects|variants|box_cards|binder_pockets|journal|price_points|copy_sums|dividers|edition_cards|goal_next|offers|offer_rows|order_lines|pile_cards|media|photos|slip_lines|unmatched_rows|listing_cards|population_reports)$/;

/** Statements that go over all of a table, and why they may. */
const ACCEPTED: readonly (readonly [statement: RegExp, why: string])[] = [
	[/select distinct "release_id" from "edition_cards"$/, 'once, at start, over an index'],
	[
		/count\(\*\), coalesce\(sum\("divider_sums"."cards"\)/,
		'every box is drawn with how full it is; some thousand dividers'
	],
	[/max\(cast\("pocket" as integer\)\)/, 'every binder is drawn with its pages, over an index'],
	[
		/^select release_id as id from \(select release_id, id from "copies" order by id desc limit/,
		'the last copies'
	],
	[/^select "seller_id", count/, 'every seller is listed with how much he offers, over an index'],
	[/^select count\(\*\) from "unmatched_rows"$/, 'a count, over the table alone']
];

const folder = mkdtempSync(join(tmpdir(), 'jade-sql-'));
const log = join(folder, 'statements');
test.use({ settings: { JADE_SQL_LOG: log } });

test('no statement of a view or of frequent work goes over a whole table that grows', async ({
	ownDemo: { url, data },
	request
}) => {
	for (const view of VIEWS) {
		expect((await request.get(url + view)).status(), view).toBeLessThan(400);
	}
	const release = 'harbour-lights-1994';
	const version = `${release}/base-41`;
	const asked: [method: string, path: string, data?: object][] = [
		['GET', 'search?q=keeper'],
		['GET', 'search?q=quiet%20har'],
		['PUT', `releases/${release}/owned`, { changes: [{ version, quantity: 2, was: 1 }] }],
		['POST', `releases/${release}/log`, { line: '1-20 31x2', numbering: null, parallel: null }],
		['GET', 'pile?line=12'],
		['POST', 'copies', { version, fields: { condition: 'mint', quantity: 1 } }],
		['PUT', 'copies/1', { fields: { condition: 'good', quantity: 1 } }],
		['POST', 'journal/undo'],
		['POST', 'journal/redo'],
		['GET', 'journal/next']
	];
	for (const [method, path, body] of asked) {
		const answer = await request.fetch(`${url}/api/${path}`, {
			method,
			...(body ? { data: body } : {})
		});
		expect(answer.status(), `${method} ${path}: ${await answer.text()}`).toBeLessThan(300);
	}
	const statements = readFileSync(log, 'utf8')
		.trim()
		.split('\n')
		.map((line) => JSON.parse(line) as string);
	expect(statements.length).toBeGreaterThan(200);
	const client = createClient({ url: pathToFileURL(data('jade.db')).href });
	const partial = await client.execute(
		"SELECT name FROM sqlite_master WHERE type = 'index' AND sql LIKE '% WHERE %'"
	);
	const few = new Set(partial.rows.map(({ name }) => name));
	const scans: string[] = [];
	for (const sql of statements) {
		// SQLite looks at nothing where the condition is a constant.
		if (!/^\s*(select|with|update|delete|insert)/i.test(sql) || /where false/.test(sql)) continue;
		const args = Array<null>((sql.match(/\?/g) ?? []).length).fill(null);
		const { rows } = await client.execute({ sql: `EXPLAIN QUERY PLAN ${sql}`, args });
		const plan = rows.map((row) => String(row.detail));
		// In the order in which they lie, and no further than the limit.
		const isBounded = /limit/i.test(sql) && !plan.some((step) => step.includes('TEMP B-TREE'));
		for (const step of plan) {
			const [, table = ''] = /^SCAN (\w+)(?! VIRTUAL)/.exec(step) ?? [];
			const isPart = plan.some(
				(each) => each === `CO-ROUTINE ${table}` || each === `MATERIALIZE ${table}`
			);
			const [, index = ''] = /INDEX (\w+)/.exec(step) ?? [];
			// An index of some rows is as long as those.
			if (few.has(index) || !LARGE.test(table) || isPart || isBounded || /VIRTUAL TABLE/.test(step))
				continue;
			if (!ACCEPTED.some(([statement]) => statement.test(sql))) scans.push(`${step}: ${sql}`);
		}
	}
	client.close();
	rmSync(folder, { recursive: true, force: true });
	expect(scans).toEqual([]);
});
