import { eq } from 'drizzle-orm';
import { Type } from 'typebox';
import type { Reader, Transaction } from '../database/open.ts';
import { preferences } from '../database/tables/index.ts';
import { readPreference, type Preference } from './preferences.ts';

const Moment = Type.String({ format: 'date-time' });
const SampleClockSchema = Type.Union([
	Type.Null(),
	Type.Object({ now: Moment, loadedAt: Moment }, { additionalProperties: false })
]);

/** The sample lives in a year of its own: what time it was there when it was loaded. */
const SAMPLE_CLOCK: Preference<typeof SampleClockSchema> = {
	key: 'sample clock',
	schema: SampleClockSchema,
	usual: null
};

/** Notes it with the sample. */
export async function keepSampleClock(
	tx: Transaction,
	now: string,
	loadedAt: string
): Promise<void> {
	const { key } = SAMPLE_CLOCK;
	await tx.delete(preferences).where(eq(preferences.key, key));
	await tx.insert(preferences).values({ key, value: { now, loadedAt } });
}

/**
 * What time it is for something that began at a time: for what came with the sample the sample's, which
 * goes on from when it was loaded; else now. All ISO 8601.
 */
export async function clockFor(db: Reader, now: string): Promise<(since: string) => string> {
	const sample = await readPreference(db, SAMPLE_CLOCK);
	if (!sample) return () => now;
	const passed = Math.max(0, Date.parse(now) - Date.parse(sample.loadedAt));
	const sampleTime = new Date(Date.parse(sample.now) + passed).toISOString();
	return (since) => (since <= sample.now ? sampleTime : now);
}
