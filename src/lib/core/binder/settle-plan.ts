import type { BinderLayout } from './binder-layout.ts';
import type { BinderPage, PocketMark } from './binder-page.ts';
import { chooseTargets } from './choose-targets.ts';
import { pocketName } from './pocket-name.ts';

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
	for (const run of runsOf(settled)) settleRun(run, lies);
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
			for (let pocket = page.opens[i] ?? 0; pocket < end; pocket++) {
				const isTitle = page.marks.some((mark) => mark.pocket === pocket && mark.use === 'title');
				if (!isTitle) run.places.push({ page, pocket });
			}
		});
	}
	return runs.map(({ places }) => places);
}

function settleRun(places: readonly Place[], lies: ReadonlyMap<string, string>): void {
	const slots = places.map(({ page, pocket }) => page.pockets[pocket] ?? null);
	const laid = slots.filter((slot) => slot !== null);
	if (laid.length === 0 || slots.slice(0, laid.length).includes(null)) return;
	const indexes = new Map(
		places.map(({ page, pocket }, i) => [pocketName({ ...page, pocket }), i])
	);
	const targets = chooseTargets(
		laid.map((slot) => indexes.get(lies.get(slot) ?? '') ?? null),
		places.length
	);
	const taken = new Map(targets.map((target, rank) => [target, laid[rank] ?? null]));
	const uses = places.flatMap(({ page, pocket }) =>
		page.marks.filter((mark) => mark.pocket === pocket).map(({ use }) => use)
	);
	places.forEach(({ page, pocket }, i) => {
		page.pockets[pocket] = taken.get(i) ?? null;
		page.marks = page.marks.filter((mark) => mark.pocket !== pocket);
		const use = taken.has(i) ? undefined : uses.shift();
		if (use) page.marks.push({ pocket, use });
	});
}
