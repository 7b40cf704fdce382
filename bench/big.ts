import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { makeGoal } from '../src/lib/server/goals/make-goal.ts';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { standAsPlanned } from '../src/lib/server/storage/plan/stand-as-planned.ts';
import { fillCollection } from './fill-collection.ts';
import { sql } from 'drizzle-orm';
export async function run() {
  const collection = await openCollection(readSettings({ JADE_DATA: '/tmp/big' }));
  await fillCollection(collection, 3000, 56);
  await collection.db.run(sql`update copies set value_minor = 150, currency='EUR' where id % 40 = 0`);
  const PRE=['base','complete','with-inserts','strict-master'];
  for (let i=1;i<=30;i++) await makeGoal(collection,{release:`r-${i*90}`,name:`Goal ${i}`,rules:{preset:PRE[i%4]} as never});
  const t=Date.now(); await standAsPlanned(collection); console.log('stand', Date.now()-t);
  await collection.db.run(sql`insert into copies (release_id, card_key, quantity, logged_at) select 1 + value % 3000, 'base-' || (1 + value % 56), 1, '2026-01-01T00:00:00Z' from json_each(${JSON.stringify(Array.from({ length: 1000 }, (_, i) => i * 3))})`);
  collection.close();
}
