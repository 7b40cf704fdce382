import type { Problem } from '$lib/core/problem';

interface PartAnswer {
	readonly part: string;
	readonly told?: string;
	readonly problems?: readonly Problem[];
}

/** What a page's form said of one part of the page: what was done, or what went wrong; what folds stays open for it. */
export function answerOf(form: PartAnswer | null | undefined, part: string) {
	const said = form?.part === part ? form : null;
	return { told: said?.told ?? '', problems: said?.problems, isAnswered: said !== null };
}
export type FormAnswer = ReturnType<typeof answerOf>;
