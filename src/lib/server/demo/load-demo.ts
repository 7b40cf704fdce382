import { setImmediate } from 'node:timers/promises';
import type { Static, TSchema } from 'typebox';
import { formatProblem } from '../../core/problem.ts';
import { readChecklistJson } from '../../formats/checklist-json.ts';
import { BuyingDemoSchema } from '../../schemas/buying-demo.ts';
import { PacksDemoSchema } from '../../schemas/packs-demo.ts';
import { SellingDemoSchema } from '../../schemas/selling-demo.ts';
import { WorthDemoSchema } from '../../schemas/worth-demo.ts';
import { BasementSchema } from '../../schemas/basement.ts';
import { CollectorSchema, type Collector } from '../../schemas/collector.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { makeBinder } from '../binders/change-binder.ts';
import { lieAsPlanned, swapLying } from '../binders/move-cards.ts';
import { setPrices } from '../binders/supply-prices.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { logLine } from '../copies/log.ts';
import { setSynonym } from '../copies/synonyms.ts';
import { savePile } from '../copies/trays.ts';
import type { Collection, Transaction } from '../database/open.ts';
import type { RowChange } from '../database/tables/journalled.ts';
import type { Upkeep } from '../database/upkeep.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { importRelease } from '../checklists/import-release.ts';
import { countReleases } from '../releases/list-releases.ts';
import { keepSampleClock } from '../preferences/sample-clock.ts';
import { buyingSteps } from './buying.ts';
import { packsSteps } from './packs.ts';
import { sellingSteps } from './selling.ts';
import { worthSteps } from './worth.ts';
import { basementSteps } from './basement.ts';
import type { DemoStep } from './demo-step.ts';
import { keepLookAlikes } from '../telling/look-alikes.ts';
import { must } from './must.ts';
import { type GoalId, rowId } from '../../core/row-id.ts';

const checklists = import.meta.glob<string>('/demo/*.checklist.json', {
	query: '?raw',
	import: 'default'
});
const documents = import.meta.glob<string>(
	[
		'/demo/collector.json',
		'/demo/basement.json',
		'/demo/buying.json',
		'/demo/packs.json',
		'/demo/worth.json',
		'/demo/selling.json'
	],
	{
		query: '?raw',
		import: 'default'
	}
);

/**
 * Puts the demo world into an empty collection, as a person would: checklists imported, lines
 * logged, goals and binders made, each at the time the demo's collector names. False where the
 * collection is not empty.
 */
export async function loadDemo(
	collection: Collection,
	tell: (done: number, of: number) => void = () => undefined
): Promise<boolean> {
	if ((await countReleases(collection.db)) > 0) return false;
	// In one transaction: a start that is killed in the middle leaves nothing half loaded.
	await collection.write((tx) => loadInto(inTransaction(collection, tx), tell));
	return true;
}

/** A collection whose changes all belong to one transaction; what is derived from them waits for `settle`. */
function inTransaction(collection: Collection, tx: Transaction) {
	let changes: RowChange[] = [];
	const upkeep: Upkeep = {
		...collection.upkeep,
		refresh: (_tx, more) => {
			changes.push(...more);
			return Promise.resolve();
		}
	};
	const inside: Collection = {
		...collection,
		upkeep,
		// A transaction reads and writes as the database does; nothing here opens another one.
		db: tx as unknown as Collection['db'],
		write: (change) => change(tx)
	};
	return {
		inside,
		settle: async (now: string) => {
			await collection.upkeep.refresh(tx, changes, now);
			changes = [];
		}
	};
}

async function loadInto(
	{ inside: collection, settle }: ReturnType<typeof inTransaction>,
	tell: (done: number, of: number) => void
): Promise<void> {
	const collector = await readDocument('/demo/collector.json', CollectorSchema);
	const basement = await readDocument('/demo/basement.json', BasementSchema);
	const buying = await readDocument('/demo/buying.json', BuyingDemoSchema);
	const packs = await readDocument('/demo/packs.json', PacksDemoSchema);
	const worth = await readDocument('/demo/worth.json', WorthDemoSchema);
	const selling = await readDocument('/demo/selling.json', SellingDemoSchema);
	const at = (when: string): Collection => ({ ...collection, now: () => when });
	for (const read of Object.values(checklists)) {
		must(await importRelease(at(collector.begun), must(readChecklistJson(await read()))));
	}
	const steps: DemoStep[] = [
		...collector.goals.map(({ binder: _, ...goal }) => ({
			when: collector.begun,
			take: async (then: Collection) => must(await makeGoal(then, goal))
		})),
		...collector.lookAlikes.map((set) => ({
			when: collector.begun,
			take: async (then: Collection) => must(await keepLookAlikes(then, set))
		})),
		...collector.synonyms.map(({ word, means }) => ({
			when: collector.begun,
			take: async (then: Collection) => must(await setSynonym(then, word, means))
		})),
		...collector.entries.map(({ release, at: when = collector.now, ...entry }) => ({
			when,
			take: async (then: Collection) => must(await logLine(then, release, entry))
		})),
		...collector.trays.map(({ since, ...pile }) => ({
			when: since,
			take: async (then: Collection) => must(await savePile(then, pile))
		})),
		...collector.copies.map(({ version, fields }) => ({
			when: collector.now,
			take: async (then: Collection) => must(await addCopy(then, version, fields))
		}))
	];
	steps.push(
		{
			when: collector.begun,
			take: (then) =>
				setPrices(
					then,
					collector.prices.map(({ key, ...price }) => [key, price])
				)
		},
		...collector.goals.flatMap(({ binder }, i) =>
			binder
				? [
						{
							when: binder.laid ?? collector.now,
							take: (then: Collection) => lay(then, rowId(i + 1), binder)
						}
					]
				: []
		)
	);
	const inOrder = [
		...steps,
		...basementSteps(basement),
		...buyingSteps(buying),
		...packsSteps(packs),
		...worthSteps(worth),
		...sellingSteps(selling)
	].sort((a, b) => a.when.localeCompare(b.when));
	await settle(collector.begun);
	for (const [done, { when, take }] of inOrder.entries()) {
		tell(done, inOrder.length);
		await take(at(when));
		// Progress is noted day by day.
		const next = inOrder[done + 1];
		if (next?.when.slice(0, 10) !== when.slice(0, 10)) await settle(when);
		// Others are answered in between.
		await setImmediate();
	}
	await collection.write((tx) => keepSampleClock(tx, collector.now, collection.now()));
}

/** Makes a binder for a goal, and puts its cards in where the demo says so. */
async function lay(
	collection: Collection,
	goalId: GoalId,
	{ name, layout, laid, misfiled = [] }: NonNullable<Collector['goals'][number]['binder']>
): Promise<void> {
	const id = await makeBinder(collection, { goalId, name, layout });
	if (id === null) throw new RangeError(`loadDemo: goal ${goalId} is not there`);
	if (laid !== undefined) await lieAsPlanned(collection, id);
	for (const [first = '', other = ''] of misfiled)
		must(await swapLying(collection, id, first, other));
}

/** A document of the demo, checked against its schema. */
async function readDocument<Schema extends TSchema>(
	path: string,
	schema: Schema
): Promise<Static<Schema>> {
	const read = documents[path];
	if (!read) throw new RangeError(`loadDemo: ${path} is not there`);
	const document: unknown = JSON.parse(await read());
	const problems = checkAgainst(schema, document);
	if (problems.length > 0) throw new RangeError(problems.map(formatProblem).join('\n'));
	return document as Static<Schema>;
}
