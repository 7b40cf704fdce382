import { sum } from 'd3-array';
import { Type, type Static } from 'typebox';
import {
	PRACTICE_STALLS,
	practiceOffers,
	practiceState
} from '../../../core/buying/market/practice-market.ts';
import { bad, good, type Problem } from '../../../core/problem.ts';
import { closed } from '../../../schemas/vocabulary.ts';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { readPreference, writePreference, type Preference } from '../../preferences/preferences.ts';
import type { Basket, Market } from './market.ts';

const Count = Type.Integer({ minimum: 0, maximum: 1_000_000 });
const PracticeSchema = Type.Object(
	{
		seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 }),
		/** Of the market's own clock. */
		day: Count,
		/** What was asked for last: its offers hang on it. */
		wants: Type.Array(
			Type.Object({ version: Type.String({ maxLength: 420 }), usualMinor: Count }, closed),
			{ maxItems: 50_000 }
		),
		orders: Type.Array(
			Type.Object(
				{
					reference: Type.String({ maxLength: 100 }),
					stall: Type.String({ maxLength: 100 }),
					way: Type.Enum(['direct', 'hub']),
					day: Count,
					days: Count,
					lines: Type.Array(
						Type.Object({ version: Type.String({ maxLength: 420 }), quantity: Count }, closed)
					)
				},
				closed
			),
			{ maxItems: 10_000 }
		)
	},
	closed
);
type Practice = Static<typeof PracticeSchema>;
const PRACTICE: Preference<typeof PracticeSchema> = {
	...{ key: 'practice market', schema: PracticeSchema },
	usual: { seed: 1994, day: 0, wants: [], orders: [] }
};

/** The key by which sellers say that they are of the practice market. */
export const PRACTICE_MARKET = 'practice';

/** The simulated market on what a collection remembers of it; it is changed within a change. */
export function practiceMarket(record: Recorder, tx: Transaction): Market {
	const read = () => readPreference(tx, PRACTICE);
	const write = (next: Practice) => writePreference(record, tx, PRACTICE, next);
	/** What a stall has left of what it had: what was ordered since is gone. */
	const leftAt = (state: Practice, key: string) => {
		const stall = PRACTICE_STALLS.find((each) => each.key === key);
		if (!stall) return [];
		const sold = state.orders.filter((order) => order.stall === key).flatMap(({ lines }) => lines);
		return practiceOffers(state.seed, stall, state.wants, state.day).flatMap((offer) => {
			const gone = sum(
				sold.filter(({ version }) => version === offer.version),
				({ quantity }) => quantity
			);
			return offer.quantity > gone ? [{ ...offer, quantity: offer.quantity - gone }] : [];
		});
	};
	const quote = async ({ seller, lines }: Basket) => {
		const left = leftAt(await read(), seller);
		const problems = lines.flatMap(
			({ version, condition, quantity, minor }): readonly Problem[] => {
				const offer = left.find((each) => each.version === version && each.condition === condition);
				if (offer && offer.quantity >= quantity && offer.minor * quantity === minor) return [];
				const message = offer
					? `${version} has another price or number by now`
					: `${version} was sold meanwhile`;
				return [{ pointer: '/offers', message, remedy: 'Ask the market anew.' }];
			}
		);
		return problems.length > 0
			? bad(problems)
			: good({ cardsMinor: sum(lines, ({ minor }) => minor) });
	};
	return {
		name: 'Practice market',
		async listings(wants) {
			const state = { ...(await read()), wants: wants.map((want) => ({ ...want })) };
			await write(state);
			return PRACTICE_STALLS.map((stall) => ({ ...stall, offers: leftAt(state, stall.key) }));
		},
		quote,
		async order(basket) {
			const quoted = await quote(basket);
			if (!quoted.ok) return quoted;
			const state = await read();
			const stall = PRACTICE_STALLS.find(({ key }) => key === basket.seller);
			const reference = `${PRACTICE_MARKET} ${state.orders.length + 1}`;
			const lines = basket.lines.map(({ version, quantity }) => ({ version, quantity }));
			const days = (basket.way === 'hub' ? stall?.daysToHub : stall?.days) ?? 7;
			const placed = {
				reference,
				stall: basket.seller,
				way: basket.way,
				day: state.day,
				days,
				lines
			};
			await write({ ...state, orders: [...state.orders, placed] });
			return good({ reference });
		},
		async states(references) {
			const { seed, day, orders } = await read();
			return new Map(
				orders
					.filter(({ reference }) => references.includes(reference))
					.map((order) => [order.reference, practiceState(seed, order, day)] as const)
			);
		}
	};
}

/** Lets days pass at the practice market. */
export async function passDays(record: Recorder, tx: Transaction, days: number): Promise<number> {
	const state = await readPreference(tx, PRACTICE);
	await writePreference(record, tx, PRACTICE, { ...state, day: state.day + days });
	return state.day + days;
}
