import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { draftOfRelease } from '../core/checklist/draft/draft-of-release.ts';
import { keepKeys } from '../core/checklist/draft/keep-keys.ts';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import type { Release } from '../core/checklist/release.ts';
import type { Knowledge } from '../core/knowledge/knowledge.ts';
import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import { asDraft } from '../schemas/checklist.ts';
import { KnowledgeSchema, MOST_PICTURES, type KnowledgeFile } from '../schemas/knowledge.ts';
import { checkAgainst } from '../schemas/validator.ts';
import { checklistDocument } from './checklist-json.ts';

const DOCUMENT = 'knowledge.json';
/** What such a file may unpack to: far more than a release with five hundred pictures. */
const MOST_BYTES = 300_000_000;
const MOST_DOCUMENT_BYTES = 60_000_000;
const MOST_FILES = 2 + MOST_PICTURES;

/** Knowledge of a release as it came in, with who has learnt it. */
export interface ReadKnowledge {
	readonly from: string;
	/** ISO 8601 day */
	readonly on: string;
	readonly release: Release;
	readonly knowledge: Knowledge;
	/** The pictures, by their hash. */
	readonly files: ReadonlyMap<string, Uint8Array>;
}

/** Writes a file of knowledge: a zip of one document and its pictures (docs/formats.md). */
export function writeKnowledge({
	from,
	on,
	release,
	knowledge,
	files
}: ReadKnowledge): Uint8Array<ArrayBuffer> {
	const { pictures, prices, lookAlikes } = knowledge;
	const document = {
		$schema: 'urn:jade-binder:schema:knowledge:1',
		format: 'jade-knowledge',
		formatVersion: 1,
		...{ from, on },
		checklist: checklistDocument(release),
		...{ pictures, prices, lookAlikes }
	};
	const zipped: Record<string, Uint8Array> = {
		[DOCUMENT]: strToU8(`${JSON.stringify(document, null, '\t')}\n`)
	};
	for (const [hash, bytes] of files) zipped[`pictures/${hash}.webp`] = bytes;
	// Pictures are packed already.
	return new Uint8Array(zipSync(zipped, { level: 6, mtime: `${on}T12:00:00` }));
}

/**
 * Reads a file of knowledge. What it unpacks to is bounded before anything is unpacked; all problems of its document
 * come at once.
 *
 * @param asHere the same release as it is known here, whose keys are kept; left out: there is none
 */
export function readKnowledge(
	bytes: Uint8Array,
	asHere?: (release: Release) => Release | null
): Outcome<ReadKnowledge> {
	const opened = unpack(bytes);
	if (!opened.ok) return opened;
	const read = readDocument(opened.value.document);
	if (!read.ok) return read;
	const { files } = opened.value;
	const missing = (read.value.pictures ?? []).filter(({ hash }) => !files.has(hash));
	if (missing.length > 0) {
		return bad(
			missing.slice(0, 20).map(({ hash, of }) => ({
				message: `the picture of ${of} is not in the file: pictures/${hash}.webp`,
				remedy: 'Have it written anew.'
			}))
		);
	}
	const { from, on, checklist, pictures = [], prices = [], lookAlikes = [] } = read.value;
	const outcome = resolveRelease(asDraft(checklist));
	if (!outcome.ok) return bad(outcome.problems);
	const here = asHere?.(outcome.value) ?? null;
	const before = outcome.value.key;
	const release = here ? { ...keepKeys(here, outcome.value), key: here.key } : outcome.value;
	/** Keys begin with that of their release. */
	const renamed = (key: string) =>
		key === before || key.startsWith(`${before}/`) ? release.key + key.slice(before.length) : key;
	return good({
		...{ from, on, release, files },
		knowledge: {
			checklist: draftOfRelease(release),
			pictures: pictures.map((each) => ({ ...each, of: renamed(each.of) })),
			prices: prices.map((each) => ({ ...each, version: renamed(each.version) })),
			lookAlikes: lookAlikes.map((each) => ({ ...each, keys: each.keys.map(renamed) }))
		}
	});
}

function unpack(bytes: Uint8Array): Outcome<{
	readonly document: string;
	readonly files: ReadonlyMap<string, Uint8Array>;
}> {
	const remedy = 'Choose a file of knowledge, as the page of a release writes it: a zip.';
	const sizes = new Map<string, number>();
	let whole = 0;
	try {
		unzipSync(bytes, {
			filter({ name, originalSize }) {
				sizes.set(name, originalSize);
				whole += originalSize;
				return false;
			}
		});
	} catch {
		return bad([{ message: 'this is no zip, or it is damaged', remedy }]);
	}
	const problems: Problem[] = [];
	if (!sizes.has(DOCUMENT)) problems.push({ message: `there is no ${DOCUMENT} in it`, remedy });
	if (
		sizes.size > MOST_FILES ||
		whole > MOST_BYTES ||
		(sizes.get(DOCUMENT) ?? 0) > MOST_DOCUMENT_BYTES
	)
		problems.push({
			message: `it holds more than ${MOST_PICTURES} pictures, or unpacks to more than 300 MB`,
			remedy: 'Have it written with fewer pictures.'
		});
	if (problems.length > 0) return bad(problems);
	try {
		const files = unzipSync(bytes, {
			filter: ({ name }) => name === DOCUMENT || /^pictures\/[0-9a-f]{64}\.webp$/.test(name)
		});
		const { [DOCUMENT]: document, ...pictures } = files;
		return good({
			document: document ? strFromU8(document) : '',
			files: new Map(
				Object.entries(pictures).map(([name, picture]) => [name.slice(9, -5), picture])
			)
		});
	} catch {
		return bad([{ message: 'the zip is damaged', remedy: 'Have it sent once more.' }]);
	}
}

function readDocument(text: string): Outcome<KnowledgeFile> {
	let document: unknown;
	try {
		document = JSON.parse(text);
	} catch {
		return bad([{ message: `${DOCUMENT} is no JSON`, remedy: 'Have it written anew.' }]);
	}
	const problems = checkAgainst(KnowledgeSchema, document);
	return problems.length > 0 ? bad(problems) : good(document as KnowledgeFile);
}
