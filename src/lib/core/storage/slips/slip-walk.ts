import type { SlipState } from './slip-line.ts';

/** What of a slip is still to be walked, and how it stands. */
export interface SlipWalk<Line> {
	/** Open lines in their order, then those that were skipped: they come back at the end. */
	readonly todo: readonly Line[];
	/** Waiting lines that have no place to go to, or to be taken from. */
	readonly placeless: readonly Line[];
	readonly done: number;
	readonly skipped: number;
	readonly notThere: number;
}

/** Parts the lines of a slip, which are in walking order. */
export function walkSlip<Line extends { readonly state: SlipState; readonly place: unknown }>(
	lines: readonly Line[]
): SlipWalk<Line> {
	const of = (state: SlipState) => lines.filter((line) => line.state === state);
	const [open, skipped] = [of('open'), of('skipped')];
	const hasPlace = ({ place }: Line) => place !== null;
	return {
		todo: [...open, ...skipped].filter(hasPlace),
		placeless: [...open, ...skipped].filter((line) => !hasPlace(line)),
		done: of('done').length,
		skipped: skipped.filter(hasPlace).length,
		notThere: of('not there').length
	};
}

/** Where between its neighbours a card goes: "after 112, before 118". */
export function nameGap({
	after,
	before
}: {
	readonly after: string | null;
	readonly before: string | null;
}): string {
	const parts = [
		after === null ? [] : [`after ${after}`],
		before === null ? [] : [`before ${before}`]
	];
	return parts.flat().join(', ') || 'the first behind its divider';
}
