import { unzipSync } from 'fflate';
import readXlsxFile from 'read-excel-file/universal';
import writeXlsxFile from 'write-excel-file/universal';
import { bad, good, type Outcome } from '../core/problem.ts';
import type { PrintedPhoto } from './printed-photo.ts';
import type { Table } from './table.ts';

/** How high a photo is drawn in a workbook, in points. */
const PHOTO_PT = 90;

/** A sheet of a workbook. */
export interface Sheet {
	readonly name: string;
	readonly table: Table;
}

/** What a workbook may unpack to, in bytes: a small file can be made to hold any amount. */
const LARGEST_UNPACKED = 200 * 1024 * 1024;

/** And how many times its own size: workbooks of text pack to a tenth, rarely to a fiftieth. Smaller ones may. */
const MOST_TIMES_UNPACKED = 100;
const SMALL_UNPACKED = 10 * 1024 * 1024;

/** Whether a file is a ZIP archive, as an XLSX workbook is one. */
export function isZip(bytes: Uint8Array): boolean {
	return bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;
}

/** Reads the sheets of an XLSX workbook (ISO/IEC 29500) that hold anything; lines are its rows. */
export async function readXlsx(bytes: Uint8Array): Promise<Outcome<readonly Sheet[]>> {
	const remedy = 'Save it again as XLSX, or as CSV (UTF-8).';
	try {
		const unpacked = unpackedSize(bytes);
		if (unpacked > LARGEST_UNPACKED) {
			return bad([{ message: 'the workbook unpacks to more than 200 MB', remedy }]);
		}
		if (unpacked > SMALL_UNPACKED && unpacked > MOST_TIMES_UNPACKED * bytes.byteLength) {
			return bad([{ message: 'the workbook unpacks to over a hundred times its size', remedy }]);
		}
		const wide = tooWide(bytes);
		if (wide)
			return bad([
				{ message: wide, remedy: 'Delete the empty rows and columns, and save it again.' }
			]);
		const sheets = await readXlsxFile(new Uint8Array(bytes).buffer);
		const full = sheets.flatMap(({ sheet, data }) => {
			const rows = data
				.map((cells, i) => ({ line: i + 1, cells: cells.map(cellText) }))
				.filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
			const [header, ...body] = rows;
			return header
				? [{ name: sheet, table: { header: header.cells, headerLine: header.line, rows: body } }]
				: [];
		});
		return full.length > 0 ? good(full) : bad([{ message: 'the workbook holds nothing', remedy }]);
	} catch {
		return bad([{ message: 'this is no workbook that can be read', remedy }]);
	}
}

/** Writes a table as an XLSX workbook of one sheet, every cell as text, the header in bold. */
export async function writeXlsx(
	name: string,
	rows: readonly (readonly string[])[],
	photos: readonly PrintedPhoto[] = []
): Promise<Uint8Array<ArrayBuffer>> {
	const [header = [], ...body] = rows;
	const pictured = new Set(photos.map(({ row }) => row));
	const data = [
		header.map((value) => ({ value, fontWeight: 'bold' as const })),
		...body.map((cells, row) => {
			const height = pictured.has(row) ? { height: PHOTO_PT + 6 } : {};
			return cells.map((value) =>
				value === '' && !pictured.has(row) ? null : { value, type: String, ...height }
			);
		})
	];
	const images = photos.map(({ jpeg, widthPx, heightPx, caption, row }) => ({
		content: new Blob([new Uint8Array(jpeg)]),
		contentType: 'image/jpeg',
		...{ width: widthPx, height: heightPx, description: caption },
		// Points are 72 to an inch: so high that it fits its row.
		dpi: (heightPx * 72) / PHOTO_PT,
		anchor: { row: row + 2, column: header.length + 1 }
	}));
	// A sheet's name has at most 31 characters and none of these.
	const sheet = name.replace(/[\\/*?:[\]]/g, ' ').slice(0, 31);
	const blob = await writeXlsxFile(data, {
		sheet,
		...(images.length > 0 ? { images } : {})
	}).toBlob();
	return new Uint8Array(await blob.arrayBuffer());
}

function unpackedSize(bytes: Uint8Array): number {
	let size = 0;
	unzipSync(bytes, {
		filter({ originalSize }) {
			size += originalSize;
			return false;
		}
	});
	return size;
}

/** The most rows, columns, and cells between the first and the last one, that a sheet may span. */
const MOST = { rows: 250_000, columns: 500, cells: 5_000_000 } as const;

/**
 * Whether a sheet reaches so far that its cells would fill any memory, though it holds but a few: what
 * is wrong, or null. Looks at the places of rows and cells before any is read.
 */
function tooWide(bytes: Uint8Array): string | null {
	const sheets = unzipSync(bytes, { filter: ({ name }) => /worksheets\/[^/]+\.xml$/.test(name) });
	for (const sheet of Object.values(sheets)) {
		const text = new TextDecoder().decode(sheet);
		let rows = 0;
		let columns = 0;
		for (const [, letters = '', digits = ''] of text.matchAll(/\br="([A-Z]{0,4})(\d{1,9})"/g)) {
			rows = Math.max(rows, Number(digits));
			const column = Array.from(letters).reduce(
				(sum, letter) => 26 * sum + letter.charCodeAt(0) - 64,
				0
			);
			columns = Math.max(columns, column);
		}
		if (rows > MOST.rows) return `a sheet reaches to row ${rows}; at most ${MOST.rows} are read`;
		if (columns > MOST.columns) {
			return `a sheet reaches to column ${columns}; at most ${MOST.columns} are read`;
		}
		if (rows * columns > MOST.cells) {
			return `a sheet spans ${rows} rows of ${columns} columns; at most ${MOST.cells} cells are read`;
		}
	}
	return null;
}

function cellText(value: unknown): string {
	if (typeof value === 'object' && value !== null && 'toISOString' in value) {
		return (value as { toISOString: () => string }).toISOString().slice(0, 10);
	}
	return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
		? String(value)
		: '';
}
