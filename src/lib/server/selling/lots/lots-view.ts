import type { CopyId } from '../../../core/row-id.ts';
import { sum } from 'd3-array';
import { dealLots } from '../../../core/selling/lots/deal-lots.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import type { Reader } from '../../database/open.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { listReleases } from '../../releases/list-releases.ts';
import { describeCopies, textOfCards } from '../listings/describe-listing.ts';
import { lotRulesOf, SELLING_RULES } from '../selling-rules.ts';
import { readSaleCards } from './read-sale-cards.ts';

export interface LotsAsk {
	/** Key of a release; '': all; null: nothing was asked for, then all of what is not too much. */
	readonly release: string | null;
	/** ISO 8601 date */
	readonly today: string;
}

/** Lots that are shown with their text; the dearest. */
const MOST_LOTS = 200;
/** Copies without a price that are named. */
const MOST_NAMED = 30;

/** Of more cards, lots are dealt only of what is asked for: it would take seconds. */
const MOST_UNASKED = 100_000;

/** What may be sold, dealt into lots and singles by the rules. */
export async function lotsView(db: Reader, { release, today }: LotsAsk) {
	const kept = await readPreference(db, SELLING_RULES);
	const owned = (await listReleases(db)).filter((each) => each.owned > 0);
	const cards = sum(owned, (each) => each.owned);
	/** Cards among which a release is to be chosen first; 0: what there is was dealt. */
	const toChooseFrom = release === null && cards > MOST_UNASKED ? cards : 0;
	const { currency, cards: going } =
		toChooseFrom > 0
			? { ...(await readPreference(db, BUYING_RULES)), cards: [] }
			: await readSaleCards(db, release || null, kept, today);
	const { lots, unpriced } = dealLots(going, lotRulesOf(kept));
	const shown = lots.slice(0, MOST_LOTS);
	const picks = shown.map(({ cards }) =>
		cards.map(({ key, quantity }) => ({ copyId: Number(key) as CopyId, quantity }))
	);
	const described = new Map(
		(await describeCopies(db, picks.flat())).map((card) => [card.copyId, card])
	);
	const nameless = await describeCopies(
		db,
		unpriced
			.slice(0, MOST_NAMED)
			.map(({ key, quantity }) => ({ copyId: Number(key) as CopyId, quantity }))
	);
	return {
		...{ currency, kept, release, toChooseFrom },
		releases: owned.map(({ key, name }) => ({ key, name })),
		all: lots.length,
		lots: shown.map((lot, i) => {
			const cards = (picks[i] ?? []).flatMap(({ copyId, quantity }) => {
				const card = described.get(copyId);
				return card ? [{ ...card, quantity }] : [];
			});
			return { ...lot, ...textOfCards(lot.as, cards) };
		}),
		unpriced: {
			cards: unpriced.reduce((all, { quantity }) => all + quantity, 0),
			names: nameless.map((card) => ({
				copyId: card.copyId,
				name: [card.number, card.title].filter(Boolean).join(' '),
				...{ group: card.group, release: card.release, quantity: card.quantity }
			}))
		}
	};
}
export type LotsView = Awaited<ReturnType<typeof lotsView>>;
