import { parseRoman } from '../checklist/numbers/roman.ts';
import type { Problem } from '../problem.ts';
import { GRADES } from './condition.ts';
import type { CopyRecord } from './copy-record.ts';

/** A serial number as printed: which copy of how many. */
export interface Serial {
	readonly number: number;
	readonly of: number;
}

/**
 * Reads "14/65", or "XIV/LXV" as some are stamped; null where the text is no serial number. Zeros in
 * front count for nothing.
 *
 * @example [parseSerial('014/65'), parseSerial('xiv / LXV')] // [{ number: 14, of: 65 }, { number: 14, of: 65 }]
 */
export function parseSerial(text: string): Serial | null {
	const [, number = '', of = ''] = /^\s*0*(\w{1,15})\s*\/\s*0*(\w{1,15})\s*$/.exec(text) ?? [];
	const serial = { number: serialNumber(number), of: serialNumber(of) };
	return serial.number >= 1 && serial.of >= 1 ? serial : null;
}

function serialNumber(text: string): number {
	return /^\d{1,7}$/.test(text) ? Number(text) : (parseRoman(text.toUpperCase()) ?? 0);
}

export function formatSerial({ number, of }: Serial): string {
	return `${number}/${of}`;
}

/**
 * What cannot be of a copy: a serial number beyond its run, a grade that is none, a value without a
 * currency. `printRun` is that of its version, null where it is not known.
 */
export function checkCopy(
	copy: Pick<
		CopyRecord,
		| 'serial'
		| 'grade'
		| 'isAuthentic'
		| 'qualifier'
		| 'quantity'
		| 'costMinor'
		| 'valueMinor'
		| 'currency'
		| 'certificate'
	>,
	printRun: number | null
): readonly Problem[] {
	const problems: Problem[] = [];
	const { serial, grade, quantity } = copy;
	if (serial !== undefined) {
		const read = parseSerial(serial);
		if (!read) {
			problems.push({
				field: 'serial',
				message: `"${serial}" is no serial number`,
				remedy: 'Write it as printed, for example 14/65.'
			});
		} else {
			if (read.number > read.of) {
				problems.push({
					field: 'serial',
					message: `there is no copy ${read.number} of ${read.of}`,
					remedy: 'Look at the card again.'
				});
			}
			if (printRun !== null && read.of !== printRun) {
				problems.push({
					field: 'serial',
					message: `this version has a print run of ${printRun}, not ${read.of}`,
					remedy: 'Check the parallel, or mend the print run in the checklist.'
				});
			}
		}
		if (quantity > 1) {
			problems.push({
				field: 'serial',
				message: 'a pile of several cards has no serial number',
				remedy: 'Split one off first.'
			});
		}
	}
	if (copy.certificate !== undefined && quantity > 1) {
		problems.push({
			field: 'certificate',
			message: 'a pile of several cards has no certificate',
			remedy: 'Split one off first.'
		});
	}
	if (grade !== undefined && !GRADES.includes(grade)) {
		problems.push({
			field: 'grade',
			message: `${grade} is no grade`,
			remedy: 'Grades go from 1 to 10 in halves.'
		});
	}
	if (copy.qualifier !== undefined && grade === undefined && !copy.isAuthentic) {
		problems.push({
			field: 'qualifier',
			message: 'only a graded card has a qualifier',
			remedy: 'Give its grade, or say it in the note.'
		});
	}
	if (copy.qualifier !== undefined && /[()]/.test(copy.qualifier)) {
		problems.push({
			field: 'qualifier',
			message: 'a qualifier has no brackets',
			remedy: 'Write the words alone: off centre.'
		});
	}
	if ((copy.costMinor ?? copy.valueMinor) !== undefined && copy.currency === undefined) {
		problems.push({
			field: 'currency',
			message: 'an amount needs its currency',
			remedy: 'Write it as three letters, for example EUR.'
		});
	}
	return problems;
}

/** Serial numbers that stand on two copies of one version: one of them is misread, or not real. */
export function repeatedSerials(
	copies: readonly Pick<CopyRecord, 'version' | 'serial'>[]
): readonly { readonly version: string; readonly serial: string; readonly copies: number }[] {
	const counts = new Map<string, { version: string; serial: string; copies: number }>();
	for (const { version, serial } of copies) {
		const read = serial === undefined ? null : parseSerial(serial);
		if (!read) continue;
		const text = formatSerial(read);
		const known = counts.get(`${version} ${text}`) ?? { version, serial: text, copies: 0 };
		known.copies += 1;
		counts.set(`${version} ${text}`, known);
	}
	return [...counts.values()].filter((use) => use.copies > 1);
}
