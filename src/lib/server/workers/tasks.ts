import type { LabelGrid } from '../../core/print/label-grid.ts';
import { printBinder, type BinderSheet, type PrintOptions } from '../binders/print-sheets.ts';
import { readBinder } from '../binders/read-binder.ts';
import { openingView } from '../packs/openings/openings-view.ts';
import { sealedView, type SealedAsk } from '../packs/sealed/sealed-view.ts';
import { lastCardsView, type LastCardsAsk } from '../packs/last-cards-view.ts';
import { simulateGoal, type SimulationAsk, type SimulationTold } from '../packs/simulate-goal.ts';
import { ladderView, type LadderAsk } from '../worth/ladder-view.ts';
import { populationsView, type PopulationsAsk } from '../worth/populations/populations-view.ts';
import { priceBookView } from '../worth/prices/price-book-view.ts';
import { subjectPricesView, type SubjectPricesAsk } from '../worth/subject-prices-view.ts';
import { insuranceList, type InsuranceAsk } from '../worth/value/insurance-list.ts';
import { valueView, type ValueAsk } from '../worth/value/value-view.ts';
import { basename } from 'node:path';
import type { BackupName } from '../database/backups/backup-name.ts';
import { previewBackup } from '../backups/preview-backup.ts';
import { writeBackup } from '../database/backups/write-backup.ts';
import { sampleScan } from '../bench/sample-scan.ts';
import { buildView, type BuildAsk } from '../selling/building/build-view.ts';
import { exportListings } from '../selling/listings/export-listings.ts';
import { packingSlip, type PackingSlipAsk } from '../selling/listings/packing-slip.ts';
import { lotsView, type LotsAsk } from '../selling/lots/lots-view.ts';
import { parcelsView, type SentBoxes } from '../selling/parcels/parcels-view.ts';
import { readGradedTable } from '../../formats/read-graded-table.ts';
import { packsView, type PacksAsk } from '../packs/packs-view.ts';
import { conditionView, type ConditionAsk } from '../buying/condition/condition-view.ts';
import { finishView } from '../buying/finish/finish-view.ts';
import { fairLot, fairView } from '../buying/plan/fair-view.ts';
import { planView, type PlanTold } from '../buying/plan/plan-view.ts';
import type { PlanChoice } from '../buying/plan/read-problem.ts';
import { tradesView, type TradeChoice } from '../buying/trades/trades-view.ts';
import { offersView } from '../buying/offers/offers-view.ts';
import { readWants } from '../buying/wants/read-wants.ts';
import { compute } from '../compute/registry.ts';
import { withReader } from '../database/open.ts';
import { readSettings } from '../database/settings.ts';
import { printComparison } from '../compare/compare-view.ts';
import { exportHoldingsCsv, exportHoldingsXlsx } from '../holdings/export-holdings.ts';
import { holderView } from '../storage/holders/holder-view.ts';
import { labelTexts, type LabelChoice } from '../storage/labels/label-texts.ts';
import { previewLabels } from '../storage/labels/preview-labels.ts';
import { planStorage } from '../storage/plan/plan-storage.ts';
import { storageOptions, type StorageChoice } from '../storage/plan/read-storage-options.ts';
import { storageView } from '../storage/plan/storage-view.ts';
import { printLabels } from '../storage/labels/print-labels.ts';
import type { Progress } from '../progress.ts';
import { exportKnowledge, type KnowledgeAsk } from '../knowledge/export-knowledge.ts';
import { lookAtKnowledge, openKnowledge } from '../knowledge/look-at-knowledge.ts';
import { readMine } from '../knowledge/read-mine.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import { readCardList, readChecklist, type TableChoice } from '../../formats/read-checklist.ts';
import { readOffers, type OffersChoice } from '../../formats/read-offers.ts';
import { readHoldings, type HoldingsChoice } from '../../formats/read-holdings.ts';
import type { Paper } from '../../core/print/paper.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import { loadRelease } from '../releases/load-release.ts';
import { printChecklist } from '../releases/print-checklist.ts';
import { groupPhotos } from '../telling/group-photos.ts';
import { printSecondPass } from '../telling/print-second-pass.ts';
import { printTells } from '../telling/print-tells.ts';
import type { BinderId, ListingId, OpeningId, SellerId } from '../../core/row-id.ts';

/** What a computation answered: its value as JSON, or why there is none. */
export type Computed =
	| { readonly kind: 'done'; readonly json: string }
	| { readonly kind: 'unreadable'; readonly reason: string }
	| { readonly kind: 'invalid'; readonly problems: readonly Problem[] };

/**
 * What workers do. Arguments and answers are copied from process to process, so they are plain data.
 * Bodies are read and answers written here as well: both take as long as many a computation.
 */
export const TASKS = {
	/** Nothing, so that the pool looks after what waits. */
	wake: () => null,
	async compute({
		name,
		bytes
	}: {
		readonly name: string;
		readonly bytes: Uint8Array;
	}): Promise<Computed> {
		const body = parseJson(bytes);
		if (!body.ok) return { kind: 'unreadable', reason: body.reason };
		const answer = await compute(name, body.value);
		if (answer.kind === 'unknown') throw new RangeError(`compute: there is no "${name}"`);
		return answer.kind === 'done'
			? { kind: 'done', json: JSON.stringify(answer.value) }
			: { kind: 'invalid', problems: answer.problems };
	},
	readChecklist: ({
		bytes,
		choice
	}: {
		readonly bytes: Uint8Array;
		readonly choice: TableChoice;
	}) => readChecklist(bytes, choice),
	readCardList: ({ bytes, choice }: { readonly bytes: Uint8Array; readonly choice: TableChoice }) =>
		readCardList(bytes, choice),
	readHoldings: ({
		bytes,
		choice
	}: {
		readonly bytes: Uint8Array;
		readonly choice: HoldingsChoice;
	}) => readHoldings(bytes, choice),
	readOffers: ({ bytes, choice }: { readonly bytes: Uint8Array; readonly choice: OffersChoice }) =>
		readOffers(bytes, choice),
	exportHoldingsCsv: ({ from }: { readonly from: number }) =>
		withReader(readSettings(process.env), (db) => exportHoldingsCsv(db, from)),
	exportHoldingsXlsx: () => withReader(readSettings(process.env), (db) => exportHoldingsXlsx(db)),
	finishView: () => withReader(readSettings(process.env), (db) => finishView(db)),
	/** A plan with all that stands beside it, as JSON. */
	planBuying: ({ choice }: { readonly choice: PlanChoice }, tell: (told: PlanTold) => void) =>
		withReader(readSettings(process.env), async (db) =>
			JSON.stringify(await planView(db, choice, tell))
		),
	/** What to carry to a fair, as JSON. */
	fairView: (_: undefined, tell: (told: Progress) => void) =>
		withReader(readSettings(process.env), async (db) => JSON.stringify(await fairView(db, tell))),
	/** What some wants are worth together, as JSON. */
	fairLot: ({ keys }: { readonly keys: readonly string[] }) =>
		withReader(readSettings(process.env), async (db) => JSON.stringify(await fairLot(db, keys))),
	conditionView: (ask: ConditionAsk) =>
		withReader(readSettings(process.env), (db) => conditionView(db, ask)),
	readGradedTable: ({ bytes }: { readonly bytes: Uint8Array }) => readGradedTable(bytes),
	/** A drawn scan; null where there is none of that key. */
	sampleScan: ({ key }: { readonly key: string }) => sampleScan(key),
	lotsView: (ask: LotsAsk) => withReader(readSettings(process.env), (db) => lotsView(db, ask)),
	buildView: (ask: BuildAsk) => withReader(readSettings(process.env), (db) => buildView(db, ask)),
	parcelsView: ({ sent }: { readonly sent: readonly SentBoxes[] }) =>
		withReader(readSettings(process.env), (db) => parcelsView(db, sent)),
	/** Listings as a table, or that with their photos. */
	exportListings: ({
		form,
		ids
	}: {
		readonly form: 'csv' | 'zip';
		readonly ids: readonly ListingId[];
	}) => withReader(readSettings(process.env), (db) => exportListings(db, form, ids)),
	/** What is known of a release, as a file; null where there is no such release. */
	exportKnowledge: (ask: KnowledgeAsk) =>
		withReader(readSettings(process.env), (db) => exportKnowledge(db, ask)),
	/** A file of knowledge beside what is known here. */
	lookAtKnowledge: ({ bytes }: { readonly bytes: Uint8Array }) =>
		withReader(readSettings(process.env), async (db) => {
			const opened = await openKnowledge(db, bytes, (stored) => readMine(db, stored));
			return opened.ok ? good(await lookAtKnowledge(db, opened.value)) : bad(opened.problems);
		}),
	/** The name of the file. */
	async writeBackup({ folder, name }: { readonly folder: string; readonly name: BackupName }) {
		return basename(await writeBackup(readSettings(process.env).databaseUrl, folder, name));
	},
	previewBackup: ({ path }: { readonly path: string }) =>
		previewBackup(path, readSettings(process.env).root),
	packingSlip: (ask: PackingSlipAsk) =>
		withReader(readSettings(process.env), (db) => packingSlip(db, ask)),
	ladderView: (ask: LadderAsk) =>
		withReader(readSettings(process.env), (db) => ladderView(db, ask)),
	priceBookView: ({
		release,
		today
	}: {
		readonly release: string | null;
		readonly today: string;
	}) => withReader(readSettings(process.env), (db) => priceBookView(db, release, today)),
	populationsView: (ask: PopulationsAsk) =>
		withReader(readSettings(process.env), (db) => populationsView(db, ask)),
	subjectPricesView: (ask: SubjectPricesAsk) =>
		withReader(readSettings(process.env), (db) => subjectPricesView(db, ask)),
	valueView: (ask: ValueAsk) => withReader(readSettings(process.env), (db) => valueView(db, ask)),
	insuranceList: (ask: InsuranceAsk) =>
		withReader(readSettings(process.env), (db) => insuranceList(db, ask)),
	packsView: (ask: PacksAsk) => withReader(readSettings(process.env), (db) => packsView(db, ask)),
	simulateGoal: (ask: SimulationAsk, tell: (told: SimulationTold) => void) =>
		withReader(readSettings(process.env), (db) => simulateGoal(db, ask, tell)),
	lastCardsView: (ask: LastCardsAsk) =>
		withReader(readSettings(process.env), (db) => lastCardsView(db, ask)),
	sealedView: (ask: SealedAsk) =>
		withReader(readSettings(process.env), (db) => sealedView(db, ask)),
	openingView: ({ id }: { readonly id: OpeningId }) =>
		withReader(readSettings(process.env), (db) => openingView(db, id)),
	tradesView: (choice: TradeChoice) =>
		withReader(readSettings(process.env), (db) => tradesView(db, choice)),
	offersView: ({
		seller,
		release
	}: {
		readonly seller: SellerId | null;
		readonly release: string | null;
	}) => withReader(readSettings(process.env), (db) => offersView(db, seller, release)),
	readWants: () => withReader(readSettings(process.env), (db) => readWants(db)),
	holderView: ({ most }: { readonly most: number }) =>
		withReader(readSettings(process.env), (db) => holderView(db, most)),
	previewLabels: ({ choice, most }: { readonly choice: LabelChoice; readonly most: number }) =>
		withReader(readSettings(process.env), (db) => previewLabels(db, choice, most)),
	printLabels: ({
		choice,
		grid,
		start,
		now
	}: {
		readonly choice: LabelChoice;
		readonly grid: LabelGrid;
		readonly start: number;
		readonly now: string;
	}) =>
		withReader(readSettings(process.env), async (db) =>
			printLabels(await labelTexts(db, choice), grid, start, now)
		),
	/** A plan with what its view shows, as JSON. */
	planStorage: ({ choice }: { readonly choice: StorageChoice }, tell: (told: Progress) => void) =>
		withReader(readSettings(process.env), async (db) =>
			JSON.stringify(await storageView(db, await planStorage(db, storageOptions(choice), { tell })))
		),
	/** Null where there is no such release. */
	printChecklist: ({
		release: key,
		paper,
		now
	}: {
		readonly release: string;
		readonly paper: Paper;
		readonly now: string;
	}) =>
		withReader(readSettings(process.env), async (db) => {
			const stored = await loadRelease(db, key);
			if (!stored) return null;
			const owned = countOwned(await readCopies(db, stored.id));
			const bytes = await printChecklist(stored.release, owned, paper, now);
			return { name: `${key}-checklist.pdf`, bytes };
		}),
	/** Null where there are no two sides. */
	printComparison: ({
		names,
		paper,
		now
	}: {
		readonly names: readonly string[];
		readonly paper: Paper;
		readonly now: string;
	}) => withReader(readSettings(process.env), (db) => printComparison(db, names, paper, now)),
	/** Null where fewer than two of them are here. */
	printTells: ({ keys, now }: { readonly keys: readonly string[]; readonly now: string }) =>
		withReader(readSettings(process.env), (db) => printTells(db, keys, now)),
	printSecondPass: ({
		now,
		...which
	}: {
		readonly release: string | null;
		readonly all: boolean;
		readonly now: string;
	}) => withReader(readSettings(process.env), (db) => printSecondPass(db, which, now)),
	/** Null where there is no such release. */
	groupPhotos: ({ release, card }: { readonly release: string; readonly card: string | null }) =>
		withReader(readSettings(process.env), (db) => groupPhotos(db, release, card)),
	/** Null where there is no such binder. */
	printBinder: ({
		binder,
		sheet,
		...options
	}: { readonly binder: BinderId; readonly sheet: BinderSheet } & PrintOptions) =>
		withReader(readSettings(process.env), async (db) => {
			const state = await readBinder(db, binder);
			if (!state) return null;
			const bytes = await printBinder(db, state, sheet, options);
			return { name: `${state.binder.name}-${sheet}.pdf`, bytes };
		})
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
