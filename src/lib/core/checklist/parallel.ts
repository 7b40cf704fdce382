/** For which sections a parallel was made, and how many of each card, where they are numbered. */
export interface RunRule {
	readonly sections: readonly string[];
	readonly printRun?: number;
}

/** Another finish of cards of a release. */
export interface Parallel {
	readonly key: string;
	readonly name: string;
	readonly channel?: string;
	readonly howToTell?: string;
	readonly runs: readonly RunRule[];
}

/** The rule by which a parallel covers a section; undefined where it does not. The first rule wins. */
export function runRuleFor(parallel: Parallel, sectionKey: string): RunRule | undefined {
	return parallel.runs.find((rule) => rule.sections.includes(sectionKey));
}
