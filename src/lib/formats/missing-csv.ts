import type { Release } from '../core/checklist/release.ts';
import type { MissingGroup } from '../core/goal/missing-list.ts';
import { formatCsv } from './csv-cells.ts';

const COLUMNS = ['release', 'section', 'parallel', 'number', 'title', 'variant', 'quantity'];

/** What is missing as CSV (RFC 4180), one row a card. */
export function formatMissingCsv(
	parts: readonly { readonly release: Release; readonly groups: readonly MissingGroup[] }[]
): string {
	const data = parts.flatMap(({ release, groups }) =>
		groups.flatMap(({ section, parallelKey, cards }) =>
			cards.map(({ card, variant, quantity }) => [
				release.name,
				section.name,
				release.parallels.find(({ key }) => key === parallelKey)?.name ?? parallelKey ?? '',
				card.number ?? '',
				card.title,
				variant ?? '',
				String(quantity)
			])
		)
	);
	return formatCsv([COLUMNS, ...data]);
}
