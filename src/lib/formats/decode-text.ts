import { bad, good, type Outcome } from '../core/problem.ts';

/** The largest file that is read, in bytes. */
const LARGEST_FILE_BYTES = 50 * 1024 * 1024;

/**
 * Text of an uploaded file: UTF-8, or UTF-16 with a byte order mark. Anything else (another
 * encoding, a binary file, an empty one) is refused with the place and what to do.
 */
export function decodeText(bytes: Uint8Array): Outcome<string> {
	if (bytes.length === 0)
		return refuse('the file is empty', 'Choose a file with at least one card.');
	if (bytes.length > LARGEST_FILE_BYTES) {
		return refuse('the file is larger than 50 MB', 'Split it into smaller files.');
	}
	const utf16 =
		bytes[0] === 0xff && bytes[1] === 0xfe
			? 'utf-16le'
			: bytes[0] === 0xfe && bytes[1] === 0xff
				? 'utf-16be'
				: null;
	let text: string;
	try {
		text = new TextDecoder(utf16 ?? 'utf-8', { fatal: true }).decode(bytes);
	} catch {
		return looksBinary(bytes) ? binary() : wrongEncoding(bytes);
	}
	if (text.includes('\u0000')) return binary();
	if (text.trim() === '')
		return refuse(
			'the file holds nothing but blank space',
			'Choose a file with at least one card.'
		);
	return good(text);
}

function refuse(message: string, remedy: string): Outcome<never> {
	return bad([{ message, remedy }]);
}

function binary(): Outcome<never> {
	return refuse(
		'this is not a text file',
		'Choose a checklist as JSON or CSV; save a spreadsheet as CSV (UTF-8) first.'
	);
}

function looksBinary(bytes: Uint8Array): boolean {
	return bytes.subarray(0, 4096).some((byte) => byte < 9 || (byte > 13 && byte < 27));
}

/** Names the line of the first byte that is not UTF-8. */
function wrongEncoding(bytes: Uint8Array): Outcome<never> {
	const decoder = new TextDecoder('utf-8');
	let line = 1;
	let start = 0;
	for (let at = 0; at <= bytes.length; at++) {
		if (at < bytes.length && bytes[at] !== 0x0a) continue;
		if (decoder.decode(bytes.subarray(start, at)).includes('\ufffd')) break;
		start = at + 1;
		line++;
	}
	return bad([
		{
			line,
			message: 'the text is not in UTF-8',
			remedy: 'Save the file again with the encoding UTF-8.'
		}
	]);
}
