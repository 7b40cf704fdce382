/** Where in a text, file or document something is wrong. Lines and columns count from 1, offsets from 0. */
export interface Place {
	readonly line?: number;
	readonly column?: number;
	readonly field?: string;
	/** JSON Pointer (RFC 6901) into a document. */
	readonly pointer?: string;
	readonly start?: number;
	readonly end?: number;
}

/** One thing a person should know about what they typed or uploaded, with what to do about it. */
export interface Problem extends Place {
	readonly message: string;
	readonly remedy?: string;
}

/** What reading something a person gave yields: a value, or every problem at once. */
export type Outcome<Value> =
	| { readonly ok: true; readonly value: Value; readonly notes: readonly Problem[] }
	| {
			readonly ok: false;
			readonly problems: readonly Problem[];
			readonly notes: readonly Problem[];
	  };

export function good<Value>(value: Value, notes: readonly Problem[] = []): Outcome<Value> {
	return { ok: true, value, notes };
}

export function bad(problems: readonly Problem[], notes: readonly Problem[] = []): Outcome<never> {
	if (problems.length === 0) throw new RangeError('bad: a failure needs at least one problem');
	return { ok: false, problems, notes };
}

/** "line 14, number: already used on line 12. Give one of them another number." */
export function formatProblem(problem: Problem): string {
	const place = [
		problem.line === undefined ? '' : `line ${problem.line}`,
		problem.field ?? problem.pointer ?? ''
	].filter(Boolean);
	const remedy = problem.remedy ? ` ${problem.remedy}` : '';
	return `${place.length > 0 ? `${place.join(', ')}: ` : ''}${problem.message}.${remedy}`;
}
