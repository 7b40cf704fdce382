import { keepingOf, USUAL_CLASSES } from '../src/lib/core/storage/classes/keeping.ts';
import { USUAL_TIERS } from '../src/lib/core/storage/holders/choose-holder.ts';
import { quantile } from 'd3-array';
import { sql } from 'drizzle-orm';
import { indexPile } from '../src/lib/core/pile/pile-index.ts';
import { judgePileCard, slotsByVersion } from '../src/lib/core/pile/judge-pile-card.ts';
import { nextQuestion } from '../src/lib/core/telling/next-question.ts';
import type { Collection } from '../src/lib/server/database/open.ts';
import { logPileCards } from '../src/lib/server/pile/log-pile-cards.ts';
import { beginPile, findForPile } from '../src/lib/server/pile/read-pile.ts';

const TIMES = 40;

/** A card off a pile at the size of the collection, beside a raw read of it by index; p95 of 40. */
export async function benchPile(collection: Collection): Promise<void> {
	const { db } = collection;
	const read = await p95(async (i) => {
		await db.all(
			sql`select * from cards where release_id = ${1 + i * 7} and key = ${`base-${i + 1}`}`
		);
	});
	const tell = (name: string, ms: number) =>
		console.log(
			`  ${name.padEnd(34)} ${ms.toFixed(2).padStart(8)} ms  × ${(ms / read).toFixed(1)}`
		);
	console.log('a pile, p95 of 40');
	tell('raw indexed read of a card', read);
	tell('begin a pile', await p95(() => beginPile(db, null, {})));
	const view = await beginPile(db, null, {});
	const known = view.releases.map(({ key }) => key);
	tell(
		'find a card in all releases',
		await p95((i) => findForPile(db, `${i + 1} series ${i + 50}`, {}, known))
	);
	const index = indexPile(view.releases);
	const state = {
		slots: slotsByVersion(view.slots),
		owned: new Map(view.owned),
		keeping: keepingOf({ classes: USUAL_CLASSES, tiers: USUAL_TIERS, currency: 'EUR' })
	};
	tell('judge a number', await p95((i) => void judgePileCard(index, String(i + 1), state)));
	tell('judge words of a title', await p95((i) => void judgePileCard(index, `keeper ${i}`, state)));
	const [release = ''] = known;
	tell(
		'log a card',
		await p95((i) =>
			logPileCards(collection, {
				line: String(i + 1),
				cards: [
					{
						version: `${release}/base-${i + 1}`,
						next: { kind: 'not collected', name: 'Not collected', why: 'no goal asks for it' },
						verdict: { kind: 'outside', copies: 1 }
					}
				]
			})
		)
	);
	const candidates = Array.from({ length: 500 }, (_, c) => ({
		key: String(c),
		weight: 1 + (c % 7),
		tells: Array.from({ length: 12 }, (__, f) => ({
			feature: `feature ${f}`,
			value: `v${(c * (f + 3)) % (3 + (f % 4))}`
		}))
	}));
	tell('next question of 500 candidates', await p95(() => void nextQuestion(candidates)));
}

async function p95(run: (i: number) => unknown): Promise<number> {
	const times: number[] = [];
	for (let i = 0; i < TIMES; i++) {
		const begun = performance.now();
		await run(i);
		times.push(performance.now() - begun);
	}
	return quantile(times, 0.95) ?? NaN;
}
