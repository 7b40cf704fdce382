import { readOutline } from '../../core/checklist/outline/read-outline.ts';
import type { Release } from '../../core/checklist/release.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { Basement } from '../../schemas/basement.ts';
import { listBinders } from '../binders/read-binder.ts';
import { placeBinder, saveShelf } from '../storage/room/edit-shelves.ts';
import { readShelves } from '../storage/room/read-storage.ts';
import { makeSlip } from '../storage/slips/change-slips.ts';
import { standAsPlanned } from '../storage/plan/stand-as-planned.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { logLine } from '../copies/log.ts';
import type { Collection } from '../database/open.ts';
import { importRelease } from '../checklists/import-release.ts';
import type { DemoStep } from './demo-step.ts';
import { must } from './must.ts';

/** What fills the demo's basement, each at its time: sets in boxes, and a few cards that came later. */
export function basementSteps(basement: Basement): readonly DemoStep[] {
	const { begun, stoodAt, laterAt } = basement;
	const log = (line: string, condition: 'near mint' | 'excellent') => ({
		line,
		numbering: 'base',
		parallel: null,
		condition
	});
	return [
		...basement.shelves.map((shelf): DemoStep => ({
			when: begun,
			take: async (then) => must(await saveShelf(then, shelf))
		})),
		...basement.sets.map((set, i): DemoStep => ({
			when: begun,
			take: async (then) => {
				const release = must(releaseOf(basement, set, i));
				must(await importRelease(then, release));
				must(await logLine(then, release.key, log(set.log, 'excellent')));
			}
		})),
		...basement.copies.map(({ version, fields }): DemoStep => ({
			when: begun,
			take: async (then) => must(await addCopy(then, version, fields))
		})),
		{ when: stoodAt, take: (then) => standAsPlanned(then) },
		...basement.later.map(({ release, line }): DemoStep => ({
			when: laterAt,
			take: async (then) => must(await logLine(then, release, log(line, 'near mint')))
		})),
		{ when: basement.binders.at, take: (then) => placeBinders(then, basement.binders) },
		{
			when: laterAt,
			take: async (then) =>
				must(await makeSlip(then, 'put away', 'From the fair at Marram Point', { of: 'homeless' }))
		}
	];
}

async function placeBinders(then: Collection, { unit, level }: Basement['binders']): Promise<void> {
	const shelves = await readShelves(then.db);
	const shelf = shelves.find((known) => known.unit === unit && known.level === level);
	for (const { id } of await listBinders(then.db)) {
		must(await placeBinder(then, id, shelf?.id ?? null));
	}
}

/** A set out of its outline, with titles made of the words in turn, and its stock where that is thin. */
function releaseOf(
	{ words }: Basement,
	{ outline, stockPt }: Basement['sets'][number],
	at: number
): Outcome<Release> {
	const { release, problems } = readOutline(outline);
	if (problems.length > 0) return bad(problems);
	const { first, second } = words;
	const titleOf = (i: number) => {
		const n = i + 97 * at;
		const adjective = first[(n + Math.floor(n / second.length)) % first.length] ?? '';
		return `${adjective} ${second[n % second.length] ?? ''}`;
	};
	return good({
		...release,
		sections: release.sections.map((section) => ({
			...section,
			...(stockPt === undefined ? {} : { format: { stockPt } }),
			cards: section.cards.map((card, i) => ({ ...card, title: titleOf(i) }))
		}))
	});
}
