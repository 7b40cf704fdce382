import type { Outcome, Problem } from '$lib/core/problem';

/**
 * What is said of changes. Problems stand until the next change begins: what the server answers to an
 * earlier change adds to them and never takes away what was said since.
 */
export function createReport() {
	let found = $state.raw<readonly { readonly part: string; readonly problem: Problem }[]>([]);
	let told = $state('');
	const problems = $derived(found.map(({ problem }) => problem));

	function begin() {
		found = [];
		told = '';
	}
	function add(part: string, more: readonly Problem[]) {
		found = [...found, ...more.map((problem) => ({ part, problem }))];
		told = '';
	}

	return {
		get problems() {
			return problems;
		},
		/** The problems of a part of the page. */
		problemsOf: (part: string) =>
			found.filter((each) => each.part === part).map(({ problem }) => problem),
		get told() {
			return told;
		},
		begin,
		/** What was asked for is not sent: it could not be read. */
		refuse(more: readonly Problem[], part = '') {
			begin();
			add(part, more);
		},
		say(text: string) {
			told = text;
		},
		/** A change begins; its answer is waited for and told. */
		async of<Value>(
			answer: Promise<Outcome<Value>>,
			{ said, part = '' }: { said?: (value: Value) => string; part?: string } = {}
		): Promise<Outcome<Value>> {
			begin();
			const outcome = await answer;
			if (!outcome.ok) add(part, outcome.problems);
			else if (said) told = said(outcome.value);
			return outcome;
		}
	};
}
