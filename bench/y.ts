import { Session } from 'node:inspector/promises';
import { cpSync, rmSync, existsSync } from 'node:fs';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { standAsPlanned } from '../src/lib/server/storage/plan/stand-as-planned.ts';
import { makeSlip } from '../src/lib/server/storage/slips/change-slips.ts';
import { logLine } from '../src/lib/server/copies/log.ts';
export async function run() {
	if (!existsSync('/tmp/scale3/jade.db')) {
		cpSync('/tmp/scale0', '/tmp/scale3', { recursive: true });
		const collection = await openCollection(readSettings({ JADE_DATA: '/tmp/scale3' }));
		await standAsPlanned(collection);
		await collection.close();
	}
	const collection = await openCollection(readSettings({ JADE_DATA: '/tmp/scale3' }));
	await logLine(collection, 'r-500', { line: '1-5', numbering: null, parallel: null });
	const client = (collection.db as any).$client;
	const by = new Map<string, number>();
	const wrap = (o: any) => { for (const m of ['execute', 'batch', 'commit']) { const inner = o[m]?.bind(o); if (inner) o[m] = async (...a: any[]) => { const s = performance.now(); const r = await inner(...a); const k = m + ' ' + String(a[0]?.sql ?? a[0]).slice(0, 400).replace(/\s+/g, ' '); by.set(k, (by.get(k) ?? 0) + performance.now() - s); return r; }; } return o; };
	wrap(client);
	const tr = client.transaction.bind(client);
	client.transaction = async (...a: any[]) => wrap(await tr(...a));
	const s = performance.now();
	const done = await makeSlip(collection, 'put away', '', { of: 'homeless' });
	console.log(JSON.stringify(done).slice(0, 200), performance.now() - s);
	for (const [k, v] of [...by].sort((a, b) => b[1] - a[1]).slice(0, 6)) console.log(Math.round(v), k);
	await collection.close();
}
