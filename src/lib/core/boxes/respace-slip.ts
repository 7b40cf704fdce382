import { respace } from './respace.ts';

/** Cards that stand behind a divider in a row, in their order. */
export interface StandingRun {
	/** Parts of one run in neighbouring rows have the same key. */
	readonly key: string;
	readonly cards: readonly { readonly key: string; readonly um: number }[];
	/** What its divider takes. */
	readonly dividerUm: number;
}

/** Cards of a run go from one row to another, both from 0. */
export interface RespaceStep {
	readonly run: string;
	readonly from: number;
	readonly to: number;
	readonly cards: readonly string[];
}

export interface RespaceSlip {
	readonly steps: readonly RespaceStep[];
	/** The row that is too full. */
	readonly row: number;
	readonly overUm: number;
}

/**
 * The slip that makes room where a row is too full: which cards go into which row, those that end
 * farthest on first, so that there is always room. Null where no row is too full; `undefined` where even
 * all rows together are.
 */
export function respaceSlip(
	rows: readonly (readonly StandingRun[])[],
	rowUm: number
): RespaceSlip | null | undefined {
	const lengthOf = ({ cards, dividerUm }: StandingRun) =>
		cards.reduce((sum, { um }) => sum + um, dividerUm);
	const lengths = rows.map((row) => row.reduce((sum, run) => sum + lengthOf(run), 0));
	const row = lengths.findIndex((length) => length > rowUm);
	const planned = respace(
		rows.map((own) => own.map((run) => ({ key: run.key, um: lengthOf(run) }))),
		rowUm
	);
	if (!planned || row < 0) return planned === undefined ? undefined : null;
	const steps: RespaceStep[] = [];
	for (const key of new Set(
		rows
			.slice(planned.from, planned.to + 1)
			.flat()
			.map((run) => run.key)
	)) {
		const cards = rows.flatMap((own, from) =>
			own
				.filter((run) => run.key === key)
				.flatMap((run) => run.cards.map((card) => ({ ...card, from })))
		);
		const parts = planned.rows.map((own) =>
			own.filter((part) => part.key === key).reduce((sum, { um }) => sum + um, 0)
		);
		for (const { card, to } of dealTo(cards, parts, planned.from)) {
			const last = steps.at(-1);
			if (card.from === to) continue;
			if (last?.run === key && last.from === card.from && last.to === to) {
				(last.cards as string[]).push(card.key);
			} else steps.push({ run: key, from: card.from, to, cards: [card.key] });
		}
	}
	const order = (step: RespaceStep) => (step.to > step.from ? -step.to : step.to);
	return {
		steps: steps.sort((a, b) => order(a) - order(b)),
		row,
		overUm: (lengths[row] ?? 0) - rowUm
	};
}

/** Cards dealt over rows of which each has a part; where a card falls over a border it stays before it. */
function dealTo<Card extends { readonly um: number }>(
	cards: readonly Card[],
	partsUm: readonly number[],
	first: number
): readonly { readonly card: Card; readonly to: number }[] {
	const own = partsUm.map((um, i) => ({ um, row: first + i })).filter(({ um }) => um > 0);
	let part = 0;
	let left = own[0]?.um ?? 0;
	return cards.map((card) => {
		while (left < card.um && part < own.length - 1) {
			part++;
			left = own[part]?.um ?? 0;
		}
		left -= card.um;
		return { card, to: own[part]?.row ?? first };
	});
}
