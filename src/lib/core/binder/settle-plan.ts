import { at } from '../at.ts';
import type { BinderLayout } from './binder-layout.ts';
import type { BinderPage, PocketMark } from './binder-page.ts';
import { pocketName } from './pocket-name.ts';
import { settleRuns, type FreeRun } from './settle-runs.ts';

/**
 * Lets the blanks of each block stand where most cards stay: pages as planned, their pockets filled
 * anew in the same order. Only pockets that are reserved may stand anywhere: a plan that keeps or
 * closes gaps, lies by hand, by subject or in rows stays as it is, and so does a block with a picture.
 *
 * @param lies names of the pockets (`pocketName`) in which the cards of slots lie, by slot
 */
export function settlePlan(
	pages: readonly BinderPage[],
	layout: Pick<BinderLayout, 'missing' | 'order' | 'parallels'>,
	lies: ReadonlyMap<string, string>
): readonly BinderPage[] {
	const mayStandAnywhere =
		layout.missing === 'some' &&
		layout.order !== 'by-hand' &&
		layout.order !== 'subject' &&
		layout.parallels === 'blocks';
	if (lies.size === 0 || !mayStandAnywhere) return pages;
	const settled = pages.map((page) => ({
		...page,
		pockets: [...page.pockets],
		marks: [...page.marks]
	}));
	const runs = runsOf(settled).map(freeRun);
	const free = runs.filter((run) => run !== null);
	const inRuns = new Set(free.flatMap(({ items }) => items));
	const fixed = settled.flatMap((page) =>
		page.pockets.flatMap((item, pocket) =>
			item === null || inRuns.has(item) ? [] : [{ item, pocket: pocketName({ ...page, pocket }) }]
		)
	);
	const now = [...lies].map(([item, pocket]) => ({ item, pocket }));
	const slotIn = new Map(settleRuns(free, now, fixed).map(({ item, pocket }) => [pocket, item]));
	for (const run of free) layRun(run, slotIn);
	return settled.map((page) => ({
		...page,
		marks: [...page.marks].sort((a, b) => a.pocket - b.pocket)
	}));
}

type OpenPage = BinderPage & { pockets: (string | null)[]; marks: PocketMark[] };
interface Place {
	readonly page: OpenPage;
	readonly pocket: number;
}

/** The pockets of each block, without its title's. */
function runsOf(pages: readonly OpenPage[]): readonly (readonly Place[])[] {
	const runs: { name: string; places: Place[] }[] = [];
	for (const page of pages) {
		page.blocks.forEach((name, i) => {
			const last = runs.at(-1);
			const run = last?.name === name ? last : { name, places: [] };
			if (run !== last) runs.push(run);
			const end = page.opens[i + 1] ?? page.pockets.length;
			for (let pocket = at(page.opens, i); pocket < end; pocket++) {
				const isTitle = page.marks.some((mark) => mark.pocket === pocket && mark.use === 'title');
				if (!isTitle) run.places.push({ page, pocket });
			}
		});
	}
	return runs.map(({ places }) => places);
}

/** A block whose blanks may stand anywhere; null where there is nothing to lay, or a blank among the cards. */
function freeRun(
	places: readonly Place[]
): (FreeRun & { readonly places: readonly Place[] }) | null {
	const slots = places.map(({ page, pocket }) => page.pockets[pocket] ?? null);
	const items = slots.filter((slot) => slot !== null);
	if (items.length === 0 || slots.slice(0, items.length).includes(null)) return null;
	return {
		items,
		pockets: places.map(({ page, pocket }) => pocketName({ ...page, pocket })),
		places
	};
}

function layRun(
	{ places, pockets }: FreeRun & { readonly places: readonly Place[] },
	slotIn: ReadonlyMap<string, string>
): void {
	const uses = places.flatMap(({ page, pocket }) =>
		page.marks.filter((mark) => mark.pocket === pocket).map(({ use }) => use)
	);
	places.forEach(({ page, pocket }, i) => {
		const slot = slotIn.get(at(pockets, i)) ?? null;
		page.pockets[pocket] = slot;
		page.marks = page.marks.filter((mark) => mark.pocket !== pocket);
		const use = slot === null ? uses.shift() : undefined;
		if (use) page.marks.push({ pocket, use });
	});
}
