import { formatProblem, type Outcome } from '../../core/problem.ts';
import { readChecklistJson } from '../../formats/checklist-json.ts';
import { CollectorSchema, type Collector } from '../../schemas/collector.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { makeBinder } from '../binders/binders.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { logLine } from '../copies/log.ts';
import { setSynonym } from '../copies/synonyms.ts';
import { addPile } from '../copies/trays.ts';
import type { Collection } from '../database/open.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { importRelease } from '../releases/import-release.ts';
import { countReleases } from '../releases/list-releases.ts';

const checklists = import.meta.glob<string>('/demo/*.checklist.json', {
	query: '?raw',
	import: 'default'
});
const collectors = import.meta.glob<string>('/demo/collector.json', {
	query: '?raw',
	import: 'default'
});

/**
 * Puts the demo world into an empty collection, as a person would: checklists imported, lines
 * logged, goals and binders made, all at the time the demo's collector names. False where the
 * collection is not empty.
 */
export async function loadDemo(collection: Collection): Promise<boolean> {
	if ((await countReleases(collection.db)) > 0) return false;
	const collector = await readCollector();
	const at = (when: string): Collection => ({ ...collection, now: () => when });
	const then = at(collector.now);
	for (const read of Object.values(checklists)) {
		must(await importRelease(then, must(readChecklistJson(await read()))));
	}
	const binders: (() => Promise<unknown>)[] = [];
	for (const { binder, ...goal } of collector.goals) {
		const { id } = must(await makeGoal(at(collector.begun), goal));
		if (binder) binders.push(() => makeBinder(then, { goalId: id, ...binder }));
	}
	for (const { release, at: when, ...entry } of collector.entries) {
		must(await logLine(at(when ?? collector.now), release, entry));
	}
	for (const { version, fields } of collector.copies) must(await addCopy(then, version, fields));
	for (const { tray, name, cards, since } of collector.trays) {
		must(await addPile(at(since), tray, name, cards));
	}
	for (const { word, means } of collector.synonyms) must(await setSynonym(then, word, means));
	for (const make of binders) await make();
	return true;
}

async function readCollector(): Promise<Collector> {
	const read = collectors['/demo/collector.json'];
	if (!read) throw new RangeError('loadDemo: demo/collector.json is not there');
	const document: unknown = JSON.parse(await read());
	const problems = checkAgainst(CollectorSchema, document);
	if (problems.length > 0) throw new RangeError(problems.map(formatProblem).join('\n'));
	return document as Collector;
}

/** The demo's own files are right, or the program is broken. */
function must<Value>(outcome: Outcome<Value>): Value {
	if (outcome.ok) return outcome.value;
	throw new RangeError(`loadDemo: ${outcome.problems.map(formatProblem).join('\n')}`);
}
