import { cpSync, rmSync } from 'node:fs';
import { Session } from 'node:inspector/promises';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { standAsPlanned } from '../src/lib/server/storage/plan/stand-as-planned.ts';
import { planStorage } from '../src/lib/server/storage/plan/plan-storage.ts';
import { looseCardsInTurn } from '../src/lib/server/storage/runs/loose-cards.ts';
import { readKeeping } from '../src/lib/server/places/keeping.ts';
import { homelessCopies } from '../src/lib/server/places/homeless.ts';
import { releases } from '../src/lib/server/database/tables/index.ts';
export async function run() {
	rmSync('/tmp/scale1', { recursive: true, force: true });
	cpSync('/tmp/scale0', '/tmp/scale1', { recursive: true });
	const collection = await openCollection(readSettings({ JADE_DATA: '/tmp/scale1' }));
	const timed = async (name: string, f: () => Promise<unknown>) => {
		const s = performance.now();
		await f();
		console.log(
			name,
			((performance.now() - s) / 1000).toFixed(2),
			's',
			Math.round(process.memoryUsage().rss / 1e6),
			'MB'
		);
	};
	const profiled = async (name: string, f: () => Promise<unknown>) => {
		const session = new Session();
		session.connect();
		await session.post('Profiler.enable');
		await session.post('Profiler.setSamplingInterval', { interval: 2000 });
		await session.post('Profiler.start');
		await timed(name, f);
		const { profile } = await session.post('Profiler.stop');
		const self = new Map<string, number>();
		const byId = new Map(profile.nodes.map((n) => [n.id, n]));
		for (const id of profile.samples ?? []) {
			const n = byId.get(id)!;
			const k = `${n.callFrame.functionName} ${n.callFrame.url.split('/').slice(-2).join('/')}:${n.callFrame.lineNumber}`;
			self.set(k, (self.get(k) ?? 0) + 2);
		}
		for (const [k, v] of [...self].sort((a, b) => b[1] - a[1]).slice(0, 22))
			console.log('   ', v, k);
		session.disconnect();
	};
	const ids = (await collection.db.select({ id: releases.id }).from(releases)).map(({ id }) => id);
	const keeping = await readKeeping(collection.db);
	await timed('homeless, all', () => homelessCopies(collection.db, keeping));
	await timed('loose in turn', () => looseCardsInTurn(collection.db, keeping, ids));
	await profiled('plan', () => planStorage(collection.db));
	await profiled('stand', () => standAsPlanned(collection));
	await collection.close();
}
