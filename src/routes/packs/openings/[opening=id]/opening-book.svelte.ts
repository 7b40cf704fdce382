import { indexCards } from '$lib/core/shorthand/card-index';
import { complete } from '$lib/core/shorthand/complete';
import { readShorthand } from '$lib/core/shorthand/read-shorthand';
import { vocabularyOf } from '$lib/core/shorthand/vocabulary';
import { numberingsOf } from '$lib/core/checklist/numbering';
import type { OpeningView } from '$lib/server/packs/openings/openings-view';
import { createReport } from '$lib/ui/change-report.svelte';
import { countOf } from '$lib/ui/numerals';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';
import type { Problem } from '$lib/core/problem';

interface Opened {
	readonly cards: number;
	readonly fresh: number;
	readonly notes?: readonly Problem[];
}

/** What is typed of a pack, read as it is typed, and sent. */
export function createOpeningBook(view: () => OpeningView) {
	const report = createReport();
	let line = $state('');
	let isLogged = $state(false);
	const ground = $derived(view().ground);
	const index = $derived(indexCards(ground.release));
	const vocabulary = $derived(vocabularyOf(ground.release));
	const synonyms = $derived(new Map(ground.synonyms));
	const reading = $derived(
		readShorthand(line, {
			...{ release: ground.release, index, vocabulary, synonyms },
			numberingKey: numberingsOf(ground.release)[0]?.key ?? null,
			parallelKey: null,
			owned: new Map(ground.owned)
		})
	);
	return {
		get line() {
			return line;
		},
		set line(text: string) {
			line = text;
		},
		/** The cards are in the collection already. */
		get isLogged() {
			return isLogged;
		},
		set isLogged(said: boolean) {
			isLogged = said;
		},
		get reading() {
			return reading;
		},
		completions: (caret: number) => complete(line, caret, { vocabulary, index, synonyms }),
		get problems() {
			return report.problems;
		},
		get told() {
			return report.told;
		},
		/** Records so many packs with the line; what is refused stands in it again. */
		async log(packs: number) {
			const taken = line;
			line = '';
			const answer = send<Opened>('POST', `/api/openings/${view().id}/piles`, {
				...{ packs, line: taken, isLogged }
			});
			const outcome = await report.of(answer, {
				said: ({ cards, fresh, notes = [] }) =>
					[
						`${countOf(cards, 'card')}, ${fresh} new.`,
						...notes.map(({ message }) => `${message}.`)
					].join(' ')
			});
			await refreshCopies();
			if (!outcome.ok) line = [taken, line].filter(Boolean).join(', ');
		}
	};
}
