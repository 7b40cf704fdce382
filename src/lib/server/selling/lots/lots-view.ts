import type { CopyId } from '../../../core/row-id.ts';
import { dealLots } from '../../../core/selling/lots/deal-lots.ts';
import type { Reader } from '../../database/open.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { listReleases } from '../../releases/list-releases.ts';
import { describeCopies, textOfCards } from '../listings/describe-listing.ts';
import { lotRulesOf, SELLING_RULES } from '../selling-rules.ts';
import { readSaleCards } from './read-sale-cards.ts';

export interface LotsAsk {
	/** Key of a release; null: all. */
	readonly release: string | null;
	/** ISO 8601 date */
	readonly today: string;
}

/** Lots that are shown with their text; the dearest. */
const MOST_LOTS = 200;
/** Copies without a price that are named. */
const MOST_NAMED = 30;

/** What may be sold, dealt into lots and singles by the rules. */
export async function lotsView(db: Reader, { release, today }: LotsAsk) {
	const kept = await readPreference(db, SELLING_RULES);
	const rules = lotRulesOf(kept);
	const { currency, cards: going } = await readSaleCards(db, release, kept, today);
	const { lots, unpriced } = dealLots(going, rules);
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
		...{ currency, kept, release },
		releases: (await listReleases(db))
			.filter(({ owned }) => owned > 0)
			.map(({ key, name }) => ({ key, name })),
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
