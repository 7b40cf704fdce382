import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { labelTexts } from '../src/lib/server/storage/labels/label-texts.ts';
import { readTierMoves } from '../src/lib/server/storage/holders/read-tier-moves.ts';
import { HOLDER_RULES } from '../src/lib/server/places/holder-tiers.ts';
import { readBoxes } from '../src/lib/server/storage/room/read-storage.ts';
import { readBox } from '../src/lib/server/storage/room/read-box.ts';
import { listReleases } from '../src/lib/server/releases/list-releases.ts';
import { plannedStorage } from '../src/lib/server/storage/plan/plan-storage.ts';
export async function run(what: string) {
  const c = await openCollection(readSettings({ JADE_DATA: '/tmp/big' }));
  const {db}=c;
  const t = async (n: string, f: () => Promise<unknown>, k=3) => { for (let i=0;i<k;i++){ const s=performance.now(); await f(); console.log(n, Math.round(performance.now()-s)); } };
  if (what.includes('label1')) await t('labels 1 box', () => labelTexts(db, { sort:'boxes', boxIds:[43], address:'http://h', date:'2026-01-01' }));
  if (what.includes('label5')) await t('labels 5', () => labelTexts(db, { sort:'boxes', boxIds:[43,44,45,46,47], address:'http://h', date:'2026-01-01' }));
  if (what.includes('labelall')) await t('labels', () => labelTexts(db, { sort:'boxes', boxIds:[], address:'http://h', date:'2026-01-01' }),1);
  if (what.includes('tabs')) await t('tabs', () => labelTexts(db, { sort:'dividers', boxIds:[], address:'http://h', date:'2026-01-01' }),1);
  if (what.includes('holders')) await t('holders', () => readTierMoves(db, HOLDER_RULES.usual));
  if (what.includes('boxes')) await t('boxes', () => readBoxes(db));
  if (what.includes('abox')) await t('box 43', () => readBox(db,43));
  if (what.includes('releases')) await t('releases', () => listReleases(db));
  if (what.includes('plan')) await t('plan', () => plannedStorage(db),2);
  c.close();
}
