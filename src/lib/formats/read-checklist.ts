import type { Release } from '../core/checklist/release.ts';
import type { Outcome } from '../core/problem.ts';
import type { CsvDefaults } from './checklist-csv-columns.ts';
import { readChecklistCsv } from './checklist-csv.ts';
import { readChecklistJson } from './checklist-json.ts';
import { decodeText } from './decode-text.ts';

/** Reads a checklist in either form: what begins with a bracket is JSON, everything else CSV. */
export function readChecklist(bytes: Uint8Array, defaults: CsvDefaults = {}): Outcome<Release> {
	const text = decodeText(bytes);
	if (!text.ok) return text;
	return /^\s*[{[]/.test(text.value)
		? readChecklistJson(text.value)
		: readChecklistCsv(text.value, defaults);
}
