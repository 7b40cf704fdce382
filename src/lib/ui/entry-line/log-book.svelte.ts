import type { Release } from '$lib/core/checklist/release';
import type { Condition } from '$lib/core/copies/condition';
import type { Wanted } from '$lib/core/goal/wall';
import { indexCards } from '$lib/core/shorthand/card-index';
import { complete } from '$lib/core/shorthand/complete';
import { readShorthand } from '$lib/core/shorthand/read-shorthand';
import { vocabularyOf } from '$lib/core/shorthand/vocabulary';
import { createReport } from '../change-report.svelte';
import { createOwnedBook } from '../owned-book.svelte';
import { send } from '../send';

interface LogBookOptions {
	readonly release: () => Release;
	readonly owned: () => readonly (readonly [string, number])[];
	readonly numberingKey: () => string | null;
	readonly parallelKey: () => string | null;
	readonly condition: () => Condition | undefined;
	readonly synonyms: () => ReadonlyMap<string, string>;
}

/** What is being logged: the line as it is typed, what it would do, and what is owned by now. */
export function createLogBook(options: LogBookOptions) {
	const book = createOwnedBook({
		owned: options.owned,
		condition: options.condition
	});
	let line = $state('');
	const report = createReport();

	const index = $derived(indexCards(options.release()));
	const vocabulary = $derived(vocabularyOf(options.release()));
	const reading = $derived(
		readShorthand(line, {
			release: options.release(),
			index,
			vocabulary,
			synonyms: options.synonyms(),
			numberingKey: options.numberingKey(),
			parallelKey: options.parallelKey(),
			condition: options.condition(),
			owned: book.owned
		})
	);
	const pending = $derived(new Map(reading.changes.map(({ version, after }) => [version, after])));

	return {
		get line() {
			return line;
		},
		set line(text: string) {
			line = text;
		},
		get reading() {
			return reading;
		},
		completions: (caret: number) =>
			complete(line, caret, { vocabulary, index, synonyms: options.synonyms() }),
		get pending() {
			return pending;
		},
		get owned() {
			return book.owned;
		},
		get problems() {
			return [...report.problems, ...book.problems];
		},
		setOwned: (wanted: readonly Wanted[]) => book.setOwned(wanted),
		async applyLine() {
			// The line is free for what is typed next; what is refused stands in it again.
			const taken = line;
			const shown = reading.changes.map(({ version, after }) => ({ version, quantity: after }));
			line = '';
			const condition = options.condition();
			const answer = send('POST', `/api/releases/${options.release().key}/log`, {
				line: taken,
				numbering: options.numberingKey(),
				parallel: options.parallelKey(),
				...(condition ? { condition } : {})
			});
			const outcome = await book.showUntil(shown, report.of(answer));
			if (!outcome.ok) line = [taken, line].filter(Boolean).join(', ');
		}
	};
}
