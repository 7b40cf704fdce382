import { and, eq } from 'drizzle-orm';
import type { SaidPrice } from '../../../core/buying/prices/read-price-line.ts';
import type { ReleaseId } from '../../../core/row-id.ts';
import type { PriceKind } from '../../../core/worth/prices/price-point.ts';
import { placeOf } from '../../copies/copy-rows.ts';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { pricePoints } from '../../database/tables/index.ts';

export type NewPoint = typeof pricePoints.$inferInsert;

/** What holds for all prices of a line. */
interface SaidWith {
	readonly currency: string;
	/** ISO 8601 date */
	readonly saidOn: string;
	readonly kind: PriceKind;
	readonly source: string;
	/** The house that graded them; null: not said. */
	readonly house: string | null;
}

/** Prices that a line says as rows of the price book; a house only where a copy is graded. */
export function pointRows(
	releaseId: ReleaseId,
	prices: readonly SaidPrice[],
	{ house, ...said }: SaidWith
): readonly NewPoint[] {
	return prices.map(({ version, price, condition, grade, isAuthentic = false, reason }) => ({
		...placeOf(releaseId, version),
		...{ condition: condition ?? null, grade: grade ?? null, isAuthentic, ...price, ...said },
		house: grade !== undefined || isAuthentic ? house : null,
		reason: reason ?? null
	}));
}

/**
 * Notes prices. Those of the same card, quality, house and kind that the same source said on the same day are replaced: they were
 * a slip.
 */
export async function replacePoints(
	record: Recorder,
	tx: Transaction,
	rows: readonly NewPoint[]
): Promise<void> {
	const [first] = rows;
	if (!first) return;
	const nameOf = (row: NewPoint) =>
		JSON.stringify([
			...[row.cardKey, row.parallelKey, row.variantKey, row.condition, row.grade],
			...[row.isAuthentic ?? false, row.qualifier ?? null, row.house ?? null, row.kind]
		]);
	const names = new Set(rows.map(nameOf));
	const same = await tx
		.select()
		.from(pricePoints)
		.where(
			and(
				eq(pricePoints.releaseId, first.releaseId),
				eq(pricePoints.saidOn, first.saidOn),
				eq(pricePoints.source, first.source ?? '')
			)
		);
	await record.remove(
		pricePoints,
		same.filter((row) => names.has(nameOf(row))).map(({ id }) => id)
	);
	await record.insert(pricePoints, rows);
}
