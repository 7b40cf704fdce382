import { basename } from 'node:path';
import type { LabelGrid } from '../../core/print/label-grid.ts';
import type { Paper } from '../../core/print/paper.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import type { BinderId, ListingId, OpeningId, SellerId } from '../../core/row-id.ts';
import type { TableChoice } from '../../formats/read-checklist.ts';
import type { HoldingsChoice } from '../../formats/read-holdings.ts';
import type { OffersChoice } from '../../formats/read-offers.ts';
import type { BinderSheet, PrintOptions } from '../binders/print-sheets.ts';
import type { PlanTold } from '../buying/plan/plan-view.ts';
import type { PlanChoice } from '../buying/plan/read-problem.ts';
import type { BackupName } from '../database/backups/backup-name.ts';
import type { Reader } from '../database/open.ts';
import { readSettings } from '../database/settings.ts';
import type { SimulationAsk, SimulationTold } from '../packs/simulate-goal.ts';
import type { Progress } from '../progress.ts';
import type { SentBoxes } from '../selling/parcels/parcels-view.ts';
import type { LabelChoice } from '../storage/labels/label-texts.ts';
import type { StorageChoice } from '../storage/plan/read-storage-options.ts';

/** What a computation answered: its value as JSON, or why there is none. */
export type Computed =
	| { readonly kind: 'done'; readonly json: string }
	| { readonly kind: 'unreadable'; readonly reason: string }
	| { readonly kind: 'invalid'; readonly problems: readonly Problem[] };

/** Reads the collection with a client of its own. */
async function read<Value>(reading: (db: Reader) => Promise<Value>): Promise<Value> {
	const { withReader } = await import('../database/open.ts');
	return withReader(readSettings(process.env), reading);
}

/** What is read of the collection by one question. */
const view =
	<Ask, Value>(load: () => Promise<(db: Reader, ask: Ask) => Promise<Value>>) =>
	(ask: Ask): Promise<Value> =>
		read(async (db) => (await load())(db, ask));

/**
 * What workers do, each loaded when it is asked for: a worker starts at once, and most do few kinds of tasks. Arguments and
 * answers are copied from process to process, so they are plain data. Bodies are read and answers written here as well: both
 * take as long as many a computation.
 */
export const TASKS = {
	/** Nothing, so that the pool looks after what waits. */
	wake: () => null,
	async compute(asked: { readonly name: string; readonly bytes: Uint8Array }): Promise<Computed> {
		const body = parseJson(asked.bytes);
		if (!body.ok) return { kind: 'unreadable', reason: body.reason };
		const { compute } = await import('../compute/registry.ts');
		const answer = await compute(asked.name, body.value);
		if (answer.kind === 'unknown') throw new RangeError(`compute: there is no "${asked.name}"`);
		return answer.kind === 'done'
			? { kind: 'done', json: JSON.stringify(answer.value) }
			: { kind: 'invalid', problems: answer.problems };
	},
	async readChecklist(file: { readonly bytes: Uint8Array; readonly choice: TableChoice }) {
		const { readChecklist } = await import('../../formats/read-checklist.ts');
		return readChecklist(file.bytes, file.choice);
	},
	async readCardList(file: { readonly bytes: Uint8Array; readonly choice: TableChoice }) {
		const { readCardList } = await import('../../formats/read-checklist.ts');
		return readCardList(file.bytes, file.choice);
	},
	async readHoldings(file: { readonly bytes: Uint8Array; readonly choice: HoldingsChoice }) {
		const { readHoldings } = await import('../../formats/read-holdings.ts');
		return readHoldings(file.bytes, file.choice);
	},
	async readOffers(file: { readonly bytes: Uint8Array; readonly choice: OffersChoice }) {
		const { readOffers } = await import('../../formats/read-offers.ts');
		return readOffers(file.bytes, file.choice);
	},
	async readGradedTable(file: { readonly bytes: Uint8Array }) {
		const { readGradedTable } = await import('../../formats/read-graded-table.ts');
		return readGradedTable(file.bytes);
	},
	async exportHoldingsCsv({ from }: { readonly from: number }) {
		const { exportHoldingsCsv } = await import('../holdings/export-holdings.ts');
		return read((db) => exportHoldingsCsv(db, from));
	},
	exportHoldingsXlsx: view(
		async () => (await import('../holdings/export-holdings.ts')).exportHoldingsXlsx
	),
	finishView: view(async () => (await import('../buying/finish/finish-view.ts')).finishView),
	/** A plan with all that stands beside it, as JSON. */
	async planBuying({ choice }: { readonly choice: PlanChoice }, tell: (told: PlanTold) => void) {
		const { planView } = await import('../buying/plan/plan-view.ts');
		return read(async (db) => JSON.stringify(await planView(db, choice, tell)));
	},
	/** What to carry to a fair, as JSON. */
	async fairView(_: undefined, tell: (told: Progress) => void) {
		const { fairView } = await import('../buying/plan/fair-view.ts');
		return read(async (db) => JSON.stringify(await fairView(db, tell)));
	},
	/** What some wants are worth together, as JSON. */
	async fairLot({ keys }: { readonly keys: readonly string[] }) {
		const { fairLot } = await import('../buying/plan/fair-view.ts');
		return read(async (db) => JSON.stringify(await fairLot(db, keys)));
	},
	conditionView: view(
		async () => (await import('../buying/condition/condition-view.ts')).conditionView
	),
	/** A drawn scan; null where there is none of that key. */
	async sampleScan({ key }: { readonly key: string }) {
		const { sampleScan } = await import('../bench/sample-scan.ts');
		return sampleScan(key);
	},
	lotsView: view(async () => (await import('../selling/lots/lots-view.ts')).lotsView),
	buildView: view(async () => (await import('../selling/building/build-view.ts')).buildView),
	async parcelsView({ sent }: { readonly sent: readonly SentBoxes[] }) {
		const { parcelsView } = await import('../selling/parcels/parcels-view.ts');
		return read((db) => parcelsView(db, sent));
	},
	/** Listings as a table, or that with their photos. */
	async exportListings(asked: {
		readonly form: 'csv' | 'zip';
		readonly ids: readonly ListingId[];
	}) {
		const { exportListings } = await import('../selling/listings/export-listings.ts');
		return read((db) => exportListings(db, asked.form, asked.ids));
	},
	/** What is known of a release, as a file; null where there is no such release. */
	exportKnowledge: view(
		async () => (await import('../knowledge/export-knowledge.ts')).exportKnowledge
	),
	/** A file of knowledge beside what is known here. */
	async lookAtKnowledge({ bytes }: { readonly bytes: Uint8Array }) {
		const { lookAtKnowledge, openKnowledge } = await import('../knowledge/look-at-knowledge.ts');
		const { readMine } = await import('../knowledge/read-mine.ts');
		return read(async (db) => {
			const opened = await openKnowledge(db, bytes, (stored) => readMine(db, stored));
			return opened.ok ? good(await lookAtKnowledge(db, opened.value)) : bad(opened.problems);
		});
	},
	/** The name of the file. */
	async writeBackup({ folder, name }: { readonly folder: string; readonly name: BackupName }) {
		const { writeBackup } = await import('../database/backups/write-backup.ts');
		return basename(await writeBackup(readSettings(process.env).databaseUrl, folder, name));
	},
	async previewBackup({ path }: { readonly path: string }) {
		const { previewBackup } = await import('../backups/preview-backup.ts');
		return previewBackup(path, readSettings(process.env).root);
	},
	packingSlip: view(async () => (await import('../selling/listings/packing-slip.ts')).packingSlip),
	ladderView: view(async () => (await import('../worth/ladder-view.ts')).ladderView),
	async priceBookView(asked: { readonly release: string | null; readonly today: string }) {
		const { priceBookView } = await import('../worth/prices/price-book-view.ts');
		return read((db) => priceBookView(db, asked.release, asked.today));
	},
	populationsView: view(
		async () => (await import('../worth/populations/populations-view.ts')).populationsView
	),
	subjectPricesView: view(
		async () => (await import('../worth/subject-prices-view.ts')).subjectPricesView
	),
	valueView: view(async () => (await import('../worth/value/value-view.ts')).valueView),
	insuranceList: view(async () => (await import('../worth/value/insurance-list.ts')).insuranceList),
	packsView: view(async () => (await import('../packs/packs-view.ts')).packsView),
	async simulateGoal(ask: SimulationAsk, tell: (told: SimulationTold) => void) {
		const { simulateGoal } = await import('../packs/simulate-goal.ts');
		return read((db) => simulateGoal(db, ask, tell));
	},
	lastCardsView: view(async () => (await import('../packs/last-cards-view.ts')).lastCardsView),
	sealedView: view(async () => (await import('../packs/sealed/sealed-view.ts')).sealedView),
	async openingView({ id }: { readonly id: OpeningId }) {
		const { openingView } = await import('../packs/openings/openings-view.ts');
		return read((db) => openingView(db, id));
	},
	tradesView: view(async () => (await import('../buying/trades/trades-view.ts')).tradesView),
	async offersView(asked: { readonly seller: SellerId | null; readonly release: string | null }) {
		const { offersView } = await import('../buying/offers/offers-view.ts');
		return read((db) => offersView(db, asked.seller, asked.release));
	},
	readWants: view(async () => (await import('../buying/wants/read-wants.ts')).readWants),
	async holderView({ most }: { readonly most: number }) {
		const { holderView } = await import('../storage/holders/holder-view.ts');
		return read((db) => holderView(db, most));
	},
	async previewLabels(asked: { readonly choice: LabelChoice; readonly most: number }) {
		const { previewLabels } = await import('../storage/labels/preview-labels.ts');
		return read((db) => previewLabels(db, asked.choice, asked.most));
	},
	async printLabels(asked: {
		readonly choice: LabelChoice;
		readonly grid: LabelGrid;
		readonly start: number;
		readonly now: string;
	}) {
		const { labelTexts } = await import('../storage/labels/label-texts.ts');
		const { printLabels } = await import('../storage/labels/print-labels.ts');
		const texts = await read((db) => labelTexts(db, asked.choice));
		return printLabels(texts, asked.grid, asked.start, asked.now);
	},
	/** A plan with what its view shows, as JSON. */
	async planStorage(
		{ choice }: { readonly choice: StorageChoice },
		tell: (told: Progress) => void
	) {
		const { planStorage } = await import('../storage/plan/plan-storage.ts');
		const { storageOptions } = await import('../storage/plan/read-storage-options.ts');
		const { storageView } = await import('../storage/plan/storage-view.ts');
		return read(async (db) =>
			JSON.stringify(await storageView(db, await planStorage(db, storageOptions(choice), { tell })))
		);
	},
	/** Null where there is no such release. */
	async printChecklist(asked: {
		readonly release: string;
		readonly paper: Paper;
		readonly now: string;
	}) {
		const { loadRelease } = await import('../releases/load-release.ts');
		const { countOwned, readCopies } = await import('../copies/read-copies.ts');
		const { printChecklist } = await import('../releases/print-checklist.ts');
		return read(async (db) => {
			const stored = await loadRelease(db, asked.release);
			if (!stored) return null;
			const owned = countOwned(await readCopies(db, stored.id));
			const bytes = await printChecklist(stored.release, owned, asked.paper, asked.now);
			return { name: `${asked.release}-checklist.pdf`, bytes };
		});
	},
	/** Null where there are no two sides. */
	async printComparison(asked: {
		readonly names: readonly string[];
		readonly paper: Paper;
		readonly now: string;
	}) {
		const { printComparison } = await import('../compare/compare-view.ts');
		return read((db) => printComparison(db, asked.names, asked.paper, asked.now));
	},
	/** Null where fewer than two of them are here. */
	async printTells({ keys, now }: { readonly keys: readonly string[]; readonly now: string }) {
		const { printTells } = await import('../telling/print-tells.ts');
		return read((db) => printTells(db, keys, now));
	},
	async printSecondPass({
		now,
		...which
	}: {
		readonly release: string | null;
		readonly all: boolean;
		readonly now: string;
	}) {
		const { printSecondPass } = await import('../telling/print-second-pass.ts');
		return read((db) => printSecondPass(db, which, now));
	},
	/** Null where there is no such release. */
	async groupPhotos(asked: { readonly release: string; readonly card: string | null }) {
		const { groupPhotos } = await import('../telling/group-photos.ts');
		return read((db) => groupPhotos(db, asked.release, asked.card));
	},
	/** Null where there is no such binder. */
	async printBinder({
		binder,
		sheet,
		...options
	}: { readonly binder: BinderId; readonly sheet: BinderSheet } & PrintOptions) {
		const { readBinder } = await import('../binders/read-binder.ts');
		const { printBinder } = await import('../binders/print-sheets.ts');
		return read(async (db) => {
			const state = await readBinder(db, binder);
			if (!state) return null;
			const bytes = await printBinder(db, state, sheet, options);
			return { name: `${state.binder.name}-${sheet}.pdf`, bytes };
		});
	}
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;

function parseJson(
	bytes: Uint8Array
):
	{ readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly reason: string } {
	try {
		const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
		return { ok: true, value: JSON.parse(text) as unknown };
	} catch (error) {
		return { ok: false, reason: error instanceof Error ? error.message : '' };
	}
}
