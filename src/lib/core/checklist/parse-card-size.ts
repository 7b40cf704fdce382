import type { CardFormat } from './card-format.ts';

/** An inch is 25.4 mm exactly (international yard and pound agreement, 1959). */
const MM_PER_INCH = 25.4;
const SIZE =
	/^(\?|[\d./\s]+?)\s*(in|inch|inches|"|″|mm)?\s*[×x*]\s*(\?|[\d./\s]+?)\s*(in|inch|inches|"|″|mm)?$/i;

/**
 * Reads the size of a card, width first, in millimetres or inches (to a hundredth of a millimetre);
 * "?" is a side that is not known. Null where the text is no size of a card (up to a metre).
 *
 * @example [parseCardSize('2 1/2 x 3 1/2 in'), parseCardSize('36 × 67 mm')] // [{ widthMm: 63.5, heightMm: 88.9 }, { widthMm: 36, heightMm: 67 }]
 * @example parseCardSize('? × 67') // { heightMm: 67 }
 */
export function parseCardSize(text: string): Pick<CardFormat, 'widthMm' | 'heightMm'> | null {
	const [, width, widthUnit, height, heightUnit] = SIZE.exec(text.trim()) ?? [];
	if (width === undefined || height === undefined) return null;
	const isInch = !/^mm$/i.test(heightUnit ?? widthUnit ?? 'mm');
	if (widthUnit !== undefined && heightUnit !== undefined) {
		if (/^mm$/i.test(widthUnit) !== /^mm$/i.test(heightUnit)) return null;
	}
	const [widthMm, heightMm] = [width, height].map((side) => millimetres(side, isInch));
	if (widthMm === null || heightMm === null) return null;
	return {
		...(widthMm === undefined ? {} : { widthMm }),
		...(heightMm === undefined ? {} : { heightMm })
	};
}

/** A side in millimetres; undefined where it is "?", null where it is no measure. */
function millimetres(side: string, isInch: boolean): number | null | undefined {
	if (side === '?') return undefined;
	const [, whole = '0', over, under] =
		/^(\d+(?:\.\d+)?|\.\d+)?\s*(?:(?:^|\s)(\d+)\/(\d+))?$/.exec(side) ?? [];
	const measure = Number(whole) + (over === undefined ? 0 : Number(over) / Number(under));
	const length = Math.round(measure * (isInch ? MM_PER_INCH : 1) * 100) / 100;
	return /\d/.test(side) && length > 0 && length <= 1000 ? length : null;
}
