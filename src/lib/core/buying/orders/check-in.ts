import { sum } from 'd3-array';
import { CONDITIONS, type Condition, type Quality } from '../../copies/condition.ts';
import { spreadCost } from '../../copies/spread-cost.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';

/** Cards of an order that were bought alike. */
export interface OrderLine extends Quality {
	readonly key: string;
	/** Version key. */
	readonly version: string;
	/** At least 1. */
	readonly quantity: number;
	/** What all of them cost, in minor units of the order's currency. */
	readonly minor: number;
}

/** What came of a line. A line that nothing is said of came as it was ordered. */
export interface Arrival {
	/** Key of the line. */
	readonly line: string;
	/** How many came in which condition; no condition: as they were ordered. Nothing: none came. */
	readonly came: readonly { readonly quantity: number; readonly condition?: Condition }[];
	/** What is asked back for it, in minor units; left out: the price of what did not come. */
	readonly askedMinor?: number;
	/** What the seller gave back already. */
	readonly refundMinor?: number;
	/** Nothing more is expected back. */
	readonly isSettled?: boolean;
}

/** Cards that are here, with what one of them cost, postage in it. */
export interface CheckedCards extends Quality {
	readonly line: string;
	readonly version: string;
	readonly quantity: number;
	readonly costMinor: number;
}

/** What is not as it was ordered. */
export interface Claim {
	readonly line: string;
	/** How many did not come. */
	readonly short: number;
	/** How many are in another condition than ordered: as ordered, as they came. */
	readonly worse: readonly {
		readonly quantity: number;
		readonly ordered: Condition;
		readonly arrived: Condition;
	}[];
	readonly askedMinor: number;
	readonly refundMinor: number;
	readonly isSettled: boolean;
}

/** An order that is checked in. */
export interface CheckIn {
	readonly cards: readonly CheckedCards[];
	readonly claims: readonly Claim[];
	/** Asked back and not given yet. */
	readonly openMinor: number;
	readonly refundMinor: number;
	/** What was paid, less what came back and what is still asked back: this the cards that are here cost. */
	readonly costMinor: number;
}

/**
 * Checks an order in: what came, in which condition, what is short, what is asked back, and what each card cost. What
 * was paid, postage with it, less what came back or is asked back, goes to the cards that are here by their share of
 * the price (by number where nothing has a price), to the last minor unit.
 *
 * @param order its lines, and what sending it cost (to the hub and on, in minor units)
 */
export function checkIn(
	order: { readonly lines: readonly OrderLine[]; readonly postageMinor: number },
	arrivals: readonly Arrival[]
): Outcome<CheckIn> {
	const problems = problemsOf(order.lines, arrivals);
	if (problems.length > 0) return bad(problems);
	const said = new Map(arrivals.map((arrival) => [arrival.line, arrival]));
	const paid = sum(order.lines, ({ minor }) => minor) + order.postageMinor;
	const claims = order.lines.flatMap((line) => claimOf(line, said.get(line.key)) ?? []);
	const refundMinor = sum(claims, (claim) => claim.refundMinor);
	const openMinor = sum(claims, ({ isSettled, askedMinor, refundMinor: back }) =>
		isSettled ? 0 : Math.max(0, askedMinor - back)
	);
	if (refundMinor + openMinor > paid) {
		const message = 'more is asked or given back than was paid';
		return bad([{ field: 'arrivals', message, remedy: 'Look at the refunds again.' }]);
	}
	const costMinor = paid - refundMinor - openMinor;
	const here = order.lines.flatMap((line) => {
		const came = said.get(line.key)?.came ?? [{ quantity: line.quantity }];
		return came
			.filter(({ quantity }) => quantity > 0)
			.map(({ quantity, condition = line.condition }, i) => ({
				...{ key: `${line.key} ${i}`, line, quantity, condition }
			}));
	});
	const isPriced = here.some(({ line }) => line.minor > 0);
	const spread =
		here.length === 0
			? good([])
			: spreadCost(
					costMinor,
					here.map(({ key, line: { minor, quantity: ordered }, quantity }) => ({
						...{ key, quantity },
						// By the price of one, in a finer unit: lots cost so much for several.
						valueMinor: Math.round((minor * 1000) / ordered)
					})),
					isPriced ? 'value' : 'share'
				);
	if (!spread.ok) return spread;
	const partOf = new Map(here.map((part) => [part.key, part]));
	const cards = spread.value.flatMap(
		({ key, quantity, costMinor: each }): readonly CheckedCards[] => {
			const part = partOf.get(key);
			if (!part) return [];
			const { version, grade } = part.line;
			return [
				{
					...{ line: part.line.key, version, quantity, costMinor: each },
					...(part.condition === undefined ? {} : { condition: part.condition }),
					...(grade === undefined ? {} : { grade })
				}
			];
		}
	);
	return good({ cards, claims, openMinor, refundMinor, costMinor });
}

function claimOf(line: OrderLine, arrival: Arrival | undefined): Claim | null {
	if (!arrival) return null;
	const { came, refundMinor = 0, isSettled = false } = arrival;
	const short = line.quantity - sum(came, ({ quantity }) => quantity);
	const worse = came.flatMap(({ quantity, condition: arrived }) => {
		const { condition: ordered } = line;
		if (quantity === 0 || ordered === undefined || arrived === undefined) return [];
		const isWorse = CONDITIONS.indexOf(arrived) > CONDITIONS.indexOf(ordered);
		return isWorse ? [{ quantity, ordered, arrived }] : [];
	});
	const askedMinor = arrival.askedMinor ?? Math.round((line.minor * short) / line.quantity);
	if (short === 0 && worse.length === 0 && askedMinor === 0 && refundMinor === 0) return null;
	return { line: line.key, short, worse, askedMinor, refundMinor, isSettled };
}

/** What is wrong with what is said of the lines, all of it. */
function problemsOf(lines: readonly OrderLine[], arrivals: readonly Arrival[]): readonly Problem[] {
	const lineOf = new Map(lines.map((line) => [line.key, line]));
	const seen = new Set<string>();
	return arrivals.flatMap((arrival, i): readonly Problem[] => {
		const { line: key, came, askedMinor = 0, refundMinor = 0 } = arrival;
		const line = lineOf.get(key);
		const at = (message: string, remedy: string): Problem => ({
			...{ pointer: `/arrivals/${i}`, message, remedy }
		});
		if (!line) return [at(`there is no line "${key}" in this order`, 'Reload the page.')];
		if (seen.has(key)) return [at('this line is checked in twice', 'Say once what came of it.')];
		seen.add(key);
		const count = sum(came, ({ quantity }) => quantity);
		const isCount = came.every(({ quantity }) => Number.isInteger(quantity) && quantity >= 0);
		return [
			...(isCount ? [] : [at('this is no number of cards', 'Write 0 or more.')]),
			...(count > line.quantity
				? [
						at(
							`${count} came of ${line.quantity} that were ordered`,
							'Record what is more as a pick-up.'
						)
					]
				: []),
			...(askedMinor < 0 || refundMinor < 0
				? [at('a refund is below nothing', 'It is 0 or more.')]
				: [])
		];
	});
}
