import { createClient } from '@libsql/client';
import { cpSync, rmSync } from 'node:fs';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { standAsPlanned } from '../src/lib/server/storage/plan/stand-as-planned.ts';
export async function run() {
	rmSync('/tmp/scale1', { recursive: true, force: true });
	cpSync('/tmp/scale0', '/tmp/scale1', { recursive: true });
	const collection = await openCollection(readSettings({ JADE_DATA: '/tmp/scale1' }));
	const by = new Map<string, number>();
	const client = (collection.db as any).$client;
	const wrap = (o: any) => {
		for (const m of ['execute', 'batch', 'commit']) {
			const inner = o[m]?.bind(o);
			if (inner)
				o[m] = async (...a: any[]) => {
					const s = performance.now();
					const r = await inner(...a);
					const k =
						m +
						' ' +
						String(a[0]?.sql ?? a[0])
							.slice(0, 90)
							.replace(/\s+/g, ' ');
					by.set(k, (by.get(k) ?? 0) + performance.now() - s);
					return r;
				};
		}
		return o;
	};
	wrap(client);
	const tr = client.transaction.bind(client);
	client.transaction = async (...a: any[]) => wrap(await tr(...a));
	const s = performance.now();
	let first = 0;
	await standAsPlanned(collection, undefined, ({ done, total }) => {
		if (done === 3000) first = performance.now();
	});
	console.log('all', performance.now() - s, 'from planned', performance.now() - first);
	for (const [k, v] of [...by].sort((a, b) => b[1] - a[1]).slice(0, 14))
		console.log(Math.round(v), k);
	console.log(
		Math.round(process.memoryUsage().rss / 1e6),
		await collection.db.all('select length(changes) l from journal' as any)
	);
	await collection.close();
}
