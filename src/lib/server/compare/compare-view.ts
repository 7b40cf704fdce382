import { pairSections } from '../../core/checklist/compare/compare-releases.ts';
import { compareSheet, type ComparedSide } from '../../core/checklist/compare/compare-sheet.ts';
import { wholeSections } from '../../core/checklist/edition.ts';
import type { Paper } from '../../core/print/paper.ts';
import { drawTable } from '../../formats/pdf/draw-table.ts';
import { drawPdf } from '../../formats/pdf/open-pdf.ts';
import type { Reader } from '../database/open.ts';
import { printFonts } from '../print/fonts.ts';
import { loadRelease } from '../releases/load-release.ts';
import { readCounterparts } from './counterparts.ts';

/** Releases, or sections, that are laid beside each other at the most. */
export const MOST_SIDES = 6;

/** "harbour-lights-1994", or one of its sections: "harbour-lights-1994/fresnel". Those that are not there are left out. */
async function readSides(db: Reader, names: readonly string[]): Promise<readonly ComparedSide[]> {
	const sides = await Promise.all(
		names.slice(0, MOST_SIDES).map(async (name): Promise<ComparedSide | null> => {
			const [key = '', section] = name.split('/');
			const release = (await loadRelease(db, key))?.release;
			if (!release) return null;
			const isThere = release.sections.some((known) => known.key === section);
			return section !== undefined && isThere ? { release, section } : { release };
		})
	);
	return sides.filter((side) => side !== null);
}

async function readSheet(db: Reader, names: readonly string[]) {
	const sides = await readSides(db, names);
	const counterparts = await readCounterparts(
		db,
		sides.map(({ release }) => release.key)
	);
	return { sides, parts: compareSheet(sides, counterparts) };
}

/** What the page of releases beside each other shows; of two sides, their cards as well. */
export async function compareView(db: Reader, names: readonly string[]) {
	const { sides, parts } = await readSheet(db, names);
	const sections = sides.map(
		({ release }) => new Map(wholeSections(release).map((section) => [section.key, section]))
	);
	return {
		sides: sides.map(({ release, section = '' }) => ({
			key: release.key,
			name: release.name,
			section,
			sections: release.sections.map(({ key, name }) => ({ key, name }))
		})),
		parts: parts.map((part) => {
			const [above, below] = part.members.map((member, i) =>
				member ? (sections[i]?.get(member.key) ?? null) : null
			);
			const line = (card: { number: string | null; title: string } | null) =>
				card && { number: card.number, title: card.title };
			return {
				...part,
				pairs:
					sides.length === 2
						? pairSections(above ?? null, below ?? null).pairs.map(({ left, right, by }) => ({
								left: line(left),
								right: line(right),
								by
							}))
						: []
			};
		})
	};
}

/** The same as a sheet to carry: a column a side, differences marked. Null where there are no two sides. */
export async function printComparison(
	db: Reader,
	names: readonly string[],
	paper: Paper,
	now: string
): Promise<Uint8Array<ArrayBuffer> | null> {
	const { sides, parts } = await readSheet(db, names);
	if (sides.length < 2) return null;
	const titles = sides.map(({ release, section }) => {
		const name = release.sections.find(({ key }) => key === section)?.name;
		return name === undefined ? release.name : `${release.name}, ${name}`;
	});
	const rows = parts.flatMap(({ members, lines }) => [
		['Section', ...members.map((member) => member?.name ?? 'nothing like it')],
		...lines.map(({ what, cells, differs }) => [differs ? `${what} ≠` : what, ...cells])
	]);
	return drawPdf(
		paper,
		await printFonts(),
		{ title: 'Side by side', madeAt: new Date(now) },
		(sheet) =>
			drawTable(sheet, {
				title: 'Side by side',
				note: `${titles.join(' and ')}, as of ${now.slice(0, 10)}. ≠ marks what differs.`,
				columns: [{ title: '', share: 3 }, ...titles.map((title) => ({ title, share: 5 }))],
				rows
			})
	);
}
