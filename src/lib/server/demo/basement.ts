import { readOutline } from '../../core/checklist/outline/read-outline.ts';
import type { Release } from '../../core/checklist/release.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { Basement } from '../../schemas/basement.ts';
import { listBinders } from '../binders/read-binder.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { CopyId } from '../../core/row-id.ts';
import { ownHolder } from '../../core/storage/kinds/holder-kind.ts';
import { sendOut } from '../copies/outings.ts';
import { readCopies } from '../copies/read-copies.ts';
import { addKind } from '../kinds/own-kinds.ts';
import { findRelease } from '../releases/load-release.ts';
import { setStock } from '../storage/supplies/stock.ts';
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
		...basement.holders.map((draft): DemoStep => ({
			when: laterAt,
			take: async (then) => {
				const { key: _, ...kind } = ownHolder({ ...draft, key: '' });
				must(await addKind(then, { sort: 'holder', kind }));
			}
		})),
		{
			when: laterAt,
			take: async (then) => must(await setStock(then, new Map(Object.entries(basement.stock))))
		},
		...basement.out.map(({ version, ...said }): DemoStep => ({
			when: laterAt,
			take: async (then) => {
				const copyId = await dearestCopy(then, version);
				must(await sendOut(then, [{ copyId, quantity: 1 }], said));
			}
		})),
		{
			when: laterAt,
			take: async (then) =>
				must(await makeSlip(then, 'put away', 'From the fair at Marram Point', { of: 'homeless' }))
		}
	];
}

/** The copy of a version that is valued. */
async function dearestCopy({ db }: Collection, version: string): Promise<CopyId> {
	const id = await findRelease(db, parseVersionKey(version)?.release ?? '');
	const copies = id === null ? [] : await readCopies(db, id);
	const copy = copies.find((each) => each.version === version && each.valueMinor !== undefined);
	if (!copy) throw new RangeError(`basement: no valued copy of ${version}`);
	return copy.id;
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
