import { formatListCell } from '../core/checklist/list-cell.ts';
import { cardsOf, type Release } from '../core/checklist/release.ts';
import { withCollectibles } from '../core/checklist/with-collectibles.ts';
import { formatMinor } from '../core/money/minor-units.ts';
import { parseVersionKey } from '../core/checklist/versions/version-key.ts';
import type { CopyRecord } from '../core/copies/copy-record.ts';
import { formatQuality } from '../core/copies/quality-label.ts';
import { formatCsv } from './csv-cells.ts';
import { PRINTING_UNSEEN } from '../core/holdings/holding-row.ts';
import { HOLDING_COLUMNS, type HoldingColumn } from './holdings-columns.ts';

/** All copies of some releases as a table, the header first: what `readHoldings` reads back. */
export function holdingsTable(
	parts: readonly { readonly release: Release; readonly copies: readonly CopyRecord[] }[]
): readonly (readonly string[])[] {
	const rows = parts.flatMap(({ release, copies }) => {
		const cards = new Map(
			cardsOf(withCollectibles(release)).map((found) => [found.card.key, found])
		);
		return copies.map((copy) => {
			const name = parseVersionKey(copy.version);
			const found = cards.get(name?.card ?? '');
			const shown = [name?.variant, ...(copy.alsoVariants ?? [])].flatMap(
				(variant) => release.variants.find(({ key }) => key === variant)?.name ?? []
			);
			const cells: Record<HoldingColumn, string> = {
				year: release.year,
				maker: release.maker,
				set: release.name,
				section: found?.section.name ?? '',
				number: found?.card.number ?? '',
				subject: found?.card.title ?? '',
				parallel: release.parallels.find(({ key }) => key === name?.parallel)?.name ?? '',
				attributes: formatListCell([
					...shown,
					...(copy.isPrintingUnseen ? [PRINTING_UNSEEN] : []),
					...(copy.attributes ?? [])
				]),
				serial: copy.serial ?? '',
				quantity: String(copy.quantity),
				condition: copy.condition ?? '',
				grade: copy.grade === undefined && !copy.isAuthentic ? '' : formatQuality(copy),
				'graded by': copy.house ?? '',
				certificate: copy.certificate ?? '',
				status: copy.status,
				cost: money(copy.costMinor, copy.currency),
				value: money(copy.valueMinor, copy.currency),
				currency: copy.currency ?? '',
				'value from': copy.valueSource ?? '',
				'valued on': copy.valueOn ?? '',
				'got on': copy.acquiredOn ?? '',
				'came from': copy.source ?? '',
				'kept in': copy.place ?? '',
				holder: copy.holder ?? '',
				note: copy.note ?? ''
			};
			return HOLDING_COLUMNS.map((column) => cells[column]);
		});
	});
	return [[...HOLDING_COLUMNS], ...rows];
}

/** The same as CSV (RFC 4180); a further part of a file goes without the header. */
export function formatHoldingsCsv(
	parts: Parameters<typeof holdingsTable>[0],
	hasHeader = true
): string {
	const rows = holdingsTable(parts).slice(hasHeader ? 0 : 1);
	return rows.length === 0 ? '' : formatCsv(rows);
}

function money(minor: number | undefined, currency = 'EUR'): string {
	return minor === undefined ? '' : formatMinor(minor, currency);
}
