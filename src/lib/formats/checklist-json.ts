import {
	createScanner,
	findNodeAtLocation,
	getNodePath,
	parseTree,
	printParseErrorCode,
	type Node,
	type ParseError
} from 'jsonc-parser';
import type { ReleaseDraft } from '../core/checklist/draft/draft.ts';
import { draftOfRelease } from '../core/checklist/draft/draft-of-release.ts';
import type { Release } from '../core/checklist/release.ts';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import { bad, type Outcome, type Problem } from '../core/problem.ts';
import { asDraft, ChecklistSchema, type ChecklistFile } from '../schemas/checklist.ts';
import { checkAgainst } from '../schemas/validator.ts';
import { linesOf } from './lines.ts';
import { markupNotes } from './markup-notes.ts';

/** What is said of a text in which there is nothing: a value is expected. */
const EMPTY: Omit<ParseError, 'error'> & Partial<ParseError> = { offset: 0, length: 0 };

/**
 * Reads a checklist file (docs/formats.md). Syntax, shape and sense are checked in this order;
 * all problems of one stage come at once, each with its line and field.
 */
export function readChecklistJson(text: string): Outcome<Release> {
	const lines = linesOf(text);
	const deep = tooDeepAt(text);
	if (deep !== null) {
		const remedy = 'A checklist nests sections, cards and lists, no deeper.';
		return bad([{ ...lines.at(deep), message: 'the brackets are nested too deep', remedy }]);
	}
	const errors: ParseError[] = [];
	const root = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
	if (!root || errors.length > 0) {
		return bad(
			(errors.length > 0 ? errors.slice(0, 20) : [EMPTY]).map((error) => ({
				...lines.at(error.offset),
				message: `this is no JSON: ${spell(error.error === undefined ? 'ValueExpected' : printParseErrorCode(error.error))}`,
				remedy: 'Check the brackets, commas and quotation marks here.'
			}))
		);
	}
	const document: unknown = valueOf(root);
	const locate = (problem: Problem): Problem => ({
		...lines.at(offsetOf(root, problem.pointer ?? '')),
		...problem
	});
	const shape = [...repeatedNames(root), ...checkAgainst(ChecklistSchema, document)];
	if (shape.length > 0) return bad(shape.map(locate));
	const file = document as ChecklistFile;
	const outcome = resolveRelease(asDraft(file));
	const notes = markupNotes(file).map(locate);
	return outcome.ok
		? { ...outcome, notes }
		: { ok: false, problems: outcome.problems.map(locate), notes };
}

type ChecklistDocument = ReleaseDraft & Pick<ChecklistFile, '$schema' | 'format' | 'formatVersion'>;

/** Writes a release as a checklist file, with every key, so that reading it gives the same release. */
export function formatChecklistJson(release: Release): string {
	return `${JSON.stringify(checklistDocument(release), null, '\t')}\n`;
}

/** The document that such a file holds. */
export function checklistDocument(release: Release): ChecklistDocument {
	return {
		$schema: 'urn:jade-binder:schema:checklist:2',
		format: 'jade-checklist',
		formatVersion: 2,
		...draftOfRelease(release)
	};
}

const DEEPEST = 40;

/** Where brackets nest deeper than any checklist does (a parser would run out of stack there), or null. */
function tooDeepAt(text: string): number | null {
	const scanner = createScanner(text, true);
	let depth = 0;
	scanner.scan();
	for (let at = scanner.getTokenOffset(); at < text.length; at = scanner.getTokenOffset()) {
		if (text[at] === '{' || text[at] === '[') depth++;
		if (text[at] === '}' || text[at] === ']') depth--;
		if (depth > DEEPEST) return at;
		scanner.scan();
	}
	return null;
}

/** Names are data, also "__proto__": objects are made without a prototype setter in the way. */
function valueOf(node: Node): unknown {
	if (node.type === 'array') return (node.children ?? []).map(valueOf);
	if (node.type !== 'object') return node.value;
	return Object.fromEntries(
		(node.children ?? []).map(({ children: [name, value] = [] }) => [
			String(name?.value),
			value ? valueOf(value) : null
		])
	);
}

function repeatedNames(root: Node): Problem[] {
	const problems: Problem[] = [];
	const visit = (node: Node): void => {
		const names = new Set<string>();
		for (const child of node.children ?? []) {
			const name = node.type === 'object' ? String(child.children?.[0]?.value) : null;
			if (name !== null && names.has(name)) {
				problems.push({
					pointer: `/${getNodePath(child).join('/')}`,
					field: name.slice(0, 60),
					message: `"${name.slice(0, 60)}" stands twice in one object`,
					remedy: 'Keep one of them.'
				});
			}
			if (name !== null) names.add(name);
			visit(child);
		}
	};
	visit(root);
	return problems;
}

function offsetOf(root: Node, pointer: string): number {
	const path = pointer
		.split('/')
		.slice(1)
		.map((word) => word.replaceAll('~1', '/').replaceAll('~0', '~'))
		.map((word) => (/^\d+$/.test(word) ? Number(word) : word));
	for (let depth = path.length; depth > 0; depth--) {
		const node = findNodeAtLocation(root, path.slice(0, depth));
		if (node) return node.offset;
	}
	return root.offset;
}

/** "CommaExpected" → "comma expected" */
function spell(code: string): string {
	return code.replace(/(?<=[a-z])([A-Z])/g, ' $1').toLowerCase();
}
