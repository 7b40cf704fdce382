import type { BinderPage } from '../../core/binder/binder-page.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import type { PocketFace } from '../../core/binder/pocket-face.ts';
import { foldRuns } from '../../core/checklist/fold-runs.ts';
import type { Paper } from '../../core/print/paper.ts';
import { formatMinor } from '../../core/money/minor-units.ts';
import { drawInserts } from '../../formats/pdf/binder-inserts.ts';
import { drawTable } from '../../formats/pdf/draw-table.ts';
import { drawPdf, type Sheet } from '../../formats/pdf/open-pdf.ts';
import { drawFronts } from '../../formats/pdf/front-labels.ts';
import { drawSpines } from '../../formats/pdf/spine-labels.ts';
import type { Reader } from '../database/open.ts';
import { printFonts } from '../print/fonts.ts';
import { binderSupplies } from './binder-supplies.ts';
import { moveSlip } from './move-slip.ts';
import { pocketFaces } from './pocket-faces.ts';
import type { StoredBinder } from './read-binder.ts';

export const BINDER_SHEETS = ['index', 'inserts', 'spine', 'front', 'supplies', 'moves'] as const;
export type BinderSheet = (typeof BINDER_SHEETS)[number];

export interface PrintOptions {
	readonly paper: Paper;
	/** Width of the spine label. */
	readonly spineMm: number;
	/** ISO 8601 */
	readonly now: string;
}

/** A printed sheet of a binder as a PDF. */
export async function printBinder(
	db: Reader,
	state: StoredBinder,
	which: BinderSheet,
	{ paper, spineMm, now }: PrintOptions
): Promise<Uint8Array<ArrayBuffer>> {
	const { content, cards, binder, setting } = state;
	const faces = new Map(
		(await pocketFaces(db, content.releases, content.slots, cards)).map((face) => [face.slot, face])
	);
	const supplies = which === 'supplies' ? await binderSupplies(db, state) : null;
	const draw: Readonly<Record<BinderSheet, (sheet: Sheet) => void>> = {
		index: (sheet) => drawTable(sheet, pageIndex(state, faces, now)),
		inserts: (sheet) =>
			drawInserts(sheet, {
				pages: state.plan.pages,
				faces,
				kinds: [...PAGE_KINDS, ...setting.pageKinds],
				nameOf: (page) => `${binder.name}, ${pageName(page, state)}`
			}),
		spine: (sheet) => drawSpines(sheet, spines(state, faces), spineMm),
		front: (sheet) => drawFronts(sheet, spines(state, faces)),
		supplies: (sheet) => drawTable(sheet, shoppingList(binder.name, supplies?.list ?? null, now)),
		moves: (sheet) => drawTable(sheet, slipTable(state, now))
	};
	return drawPdf(
		paper,
		await printFonts(),
		{ title: `${binder.name}, ${which}`, madeAt: new Date(now) },
		draw[which]
	);
}

function pageName({ volume, pageInVolume }: BinderPage, { plan }: StoredBinder): string {
	return `${plan.volumes.length > 1 ? `volume ${volume}, ` : ''}page ${pageInVolume}`;
}

function pageIndex(state: StoredBinder, faces: ReadonlyMap<string, PocketFace>, now: string) {
	const shown = state.plan.pages.filter(({ use }) => use === 'cards');
	return {
		title: `${state.binder.name}: page index`,
		note: `${state.content.goals.map(({ name }) => name).join(', ')}, as of ${now.slice(0, 10)}`,
		columns: [
			{ title: 'Page', share: 2 },
			{ title: 'Section', share: 4 },
			{ title: 'Cards', share: 5 },
			{ title: 'Missing', share: 4 }
		],
		rows: shown.map((page) => {
			const onPage = page.pockets.flatMap((slot) => faces.get(slot ?? '') ?? []);
			const missing = onPage.filter(({ state: of }) => of === 'missing');
			return [pageName(page, state), page.blocks.join(', '), listed(onPage), listed(missing)];
		})
	};
}

/** "1–9" and titles where there is no number. */
function listed(faces: readonly PocketFace[]): string {
	const titles = faces.filter(({ number }) => number === null).map(({ title }) => title);
	return [foldRuns(faces.flatMap(({ number }) => number ?? [])), ...titles]
		.filter(Boolean)
		.join(', ');
}

function spines(state: StoredBinder, faces: ReadonlyMap<string, PocketFace>) {
	const { plan, binder } = state;
	const volumes = plan.volumes.length > 0 ? plan.volumes : [{ volume: 1 }];
	return volumes.map(({ volume }) => {
		const pages = plan.pages.filter((page) => page.volume === volume);
		const shown = pages.flatMap(({ pockets }) =>
			pockets.flatMap((slot) => faces.get(slot ?? '') ?? [])
		);
		const have = shown.filter(({ state: of }) => of !== 'missing').length;
		return {
			title: binder.name,
			volume: volumes.length > 1 ? `Volume ${volume} of ${volumes.length}` : '',
			contents: [...new Set(pages.flatMap(({ blocks }) => blocks))].slice(0, 6).join(', '),
			count: `${have} of ${shown.length}`
		};
	});
}

function shoppingList(
	name: string,
	list: Awaited<ReturnType<typeof binderSupplies>>['list'] | null,
	now: string
) {
	const totals = (list?.totals ?? []).map(
		({ currency, costMinor }) => `${formatMinor(costMinor, currency)} ${currency}`
	);
	const lacks = list && list.unpriced.length > 0 ? `, without ${list.unpriced.join(', ')}` : '';
	return {
		title: `${name}: sleeves and pages to buy`,
		note: `As of ${now.slice(0, 10)}. ${totals.length > 0 ? `In all ${totals.join(' + ')}${lacks}.` : ''}`,
		hasBoxes: true,
		columns: [
			{ title: 'What', share: 5 },
			{ title: 'How many', share: 2, align: 'right' as const },
			{ title: 'Packs', share: 2, align: 'right' as const },
			{ title: 'Cost', share: 2, align: 'right' as const }
		],
		rows: (list?.lines ?? []).map((line) => [
			line.name,
			String(line.count),
			line.packs === undefined ? '' : String(line.packs),
			line.costMinor === undefined || !line.currency
				? ''
				: `${formatMinor(line.costMinor, line.currency)} ${line.currency}`
		])
	};
}

function slipTable(state: StoredBinder, now: string) {
	const slip = moveSlip(state);
	return {
		title: `${state.binder.name}: move slip`,
		note:
			slip.lines.length === 0
				? 'Every card lies where it should.'
				: `${slip.lines.length} steps, as of ${now.slice(0, 10)}. Stop after any of them.`,
		hasBoxes: true,
		columns: [
			{ title: '', share: 1 },
			{ title: 'Do', share: 2 },
			{ title: 'Card', share: 5 },
			{ title: 'From', share: 4 },
			{ title: 'To', share: 4 }
		],
		rows: slip.lines.map(({ does, card, from, to }, i) => [
			String(i + 1),
			does,
			card,
			from ?? '',
			to ?? (does === 'hold' ? 'hand' : 'tray')
		])
	};
}
