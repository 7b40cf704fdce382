import { numberingsOf } from '../../core/checklist/numbering.ts';
import type { Release } from '../../core/checklist/release.ts';
import { versionMaker } from '../../core/checklist/versions/expand.ts';
import type { Paper } from '../../core/print/paper.ts';
import { drawTable } from '../../formats/pdf/draw-table.ts';
import { drawPdf } from '../../formats/pdf/open-pdf.ts';
import { printFonts } from '../print/fonts.ts';

/**
 * The whole checklist on paper, with what is there ticked: the printed original stays clean. A row is a
 * card; it is ticked where a copy of any of its versions is there, and says which finishes and variants.
 *
 * @param owned version key → copies; @param now ISO 8601
 */
export async function printChecklist(
	release: Release,
	owned: ReadonlyMap<string, number>,
	paper: Paper,
	now: string
): Promise<Uint8Array<ArrayBuffer>> {
	const { rows, have } = checklistRows(release, owned);
	return drawPdf(
		paper,
		await printFonts(),
		{ title: `${release.name}, checklist`, madeAt: new Date(now) },
		(sheet) =>
			drawTable(sheet, {
				title: `${release.name}: checklist`,
				note: `${release.maker}, ${release.year}. ${have.size} of ${rows.length} cards are there, as of ${now.slice(0, 10)}.`,
				hasBoxes: true,
				ticked: have,
				columns: [
					{ title: 'Number', share: 2 },
					{ title: 'Card', share: 6 },
					{ title: 'Section', share: 4 },
					{ title: 'There', share: 5 }
				],
				rows
			})
	);
}

/** A row a card, and the places of those that are there. */
export function checklistRows(release: Release, owned: ReadonlyMap<string, number>) {
	const versionsOf = versionMaker(release);
	const names = new Map(
		[...release.parallels, ...release.variants].map(({ key, name }) => [key, name])
	);
	const have = new Set<number>();
	const rows = numberingsOf(release).flatMap((numbering) =>
		numbering.cards.map(({ card, section }) => ({ card, section, numbering: numbering.key }))
	);
	return {
		rows: rows.map(({ card, section, numbering }, at) => {
			const held = versionsOf(numbering, section, card).flatMap(
				({ key, parallelKey, variantKey }) => {
					const count = owned.get(key) ?? 0;
					if (count === 0) return [];
					const words = [parallelKey, variantKey].flatMap((word) => names.get(word ?? '') ?? []);
					const name = words.join(', ') || 'base';
					return [count > 1 ? `${count} × ${name}` : name];
				}
			);
			if (held.length > 0) have.add(at);
			return [card.number ?? '', card.title, section.name, held.join('; ')];
		}),
		have
	};
}
