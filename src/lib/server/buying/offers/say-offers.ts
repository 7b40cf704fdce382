import { and, eq } from 'drizzle-orm';
import { isAboutLots, parsePriceBreaks } from '../../../core/buying/offers/parse-price-breaks.ts';
import { readPriceLine } from '../../../core/buying/prices/read-price-line.ts';
import { numberingsOf } from '../../../core/checklist/numbering.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { OfferId, SellerId } from '../../../core/row-id.ts';
import { entryContext } from '../../copies/entry-context.ts';
import type { Collection } from '../../database/open.ts';
import { offerBundles, offers, sellers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease } from '../../releases/load-release.ts';
import { readWants } from '../wants/read-wants.ts';
import { keepOffers } from './keep-offers.ts';

/** A phrase that begins with "all". */
const NAMES_A_GROUP = /(?:^|[;\n])\s*all(?=\s)/i;
/** Words behind a sum that say that its postage is in it. */
const SHIPPED = /\b(?:shipped|post(?:age)? (?:paid|included|free)|with postage)\b/i;

/**
 * Keeps what a seller offers, typed while looking at their list: `5x3 0.40 nm; 7 1.20; all commons 9 (shipped)`. "x3"
 * says how many there are, "(5 for 1.50)" what several cost; a sum for several cards together is a bundle, with its postage where "(shipped)" is said.
 * What was known of the same card in the same condition there is replaced. With any problem nothing is kept.
 */
export function sayOffers(
	collection: Collection,
	sellerId: SellerId,
	{ release: releaseKey, line }: { readonly release: string; readonly line: string }
): Promise<Outcome<{ readonly offers: number; readonly bundles: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [seller] = await tx.select().from(sellers).where(eq(sellers.id, sellerId));
		const stored = await loadRelease(tx, releaseKey);
		if (!seller || !stored) {
			const message = seller ? 'this release is not in the collection' : 'there is no such seller';
			return refused([{ message, remedy: 'Choose another one.' }]);
		}
		// What is wanted is asked by "all …" alone, and takes its time to work out.
		const wants = NAMES_A_GROUP.test(line) ? (await readWants(tx)).wants : [];
		const reading = readPriceLine(line, {
			...(await entryContext(tx, stored.release, {
				numberingKey: numberingsOf(stored.release)[0]?.key ?? null,
				parallelKey: null,
				owned: new Map()
			})),
			wants: wants.filter((want) => want.releaseKey === releaseKey).map(({ sheet }) => sheet),
			priced: new Set(),
			currency: seller.currency,
			takesCounts: true
		});
		const problems: Problem[] = [...reading.problems];
		for (const { price, version } of reading.prices) {
			if (price.lowMinor !== price.highMinor)
				problems.push(twoPrices(version.split('/')[1] ?? version));
		}
		for (const { price, words } of reading.lumps) {
			if (price.lowMinor !== price.highMinor) problems.push(twoPrices(words));
		}
		if (problems.length > 0) return { value: bad(problems), label: '' };
		const { prices, lumps } = reading;
		if (prices.length + lumps.length === 0) {
			return refused([{ message: 'the line offers nothing', remedy: 'Write: 5x3 0.40 nm.' }]);
		}
		const at = { sellerId, releaseId: stored.id, seenOn: collection.now().slice(0, 10) };
		const broken: Problem[] = [];
		const fresh = prices.map(({ version, quantity, price, condition, grade, reason }) => {
			// "(5 for 1.50)" behind a price says what five cost.
			const lots = isAboutLots(reason ?? '')
				? parsePriceBreaks(reason ?? '', seller.currency)
				: null;
			if (lots && !lots.ok) broken.push(...lots.problems);
			return {
				...{ releaseId: stored.id, seenOn: at.seenOn, version, quantity },
				...{ condition: condition ?? null, grade: grade ?? null },
				breaks: [{ count: 1, minor: price.highMinor }, ...(lots?.ok ? lots.value : [])],
				note: lots ? null : (reason ?? null)
			};
		});
		if (broken.length > 0) return refused(broken);
		await keepOffers(record, tx, sellerId, fresh);
		const bundles = lumps.map((lump) => lump.words.toLowerCase());
		const before = await tx
			.select()
			.from(offerBundles)
			.where(and(eq(offerBundles.sellerId, sellerId), eq(offerBundles.releaseId, stored.id)));
		await record.remove(
			offerBundles,
			before.filter(({ words }) => bundles.includes(words.toLowerCase())).map(({ id }) => id)
		);
		await record.insert(
			offerBundles,
			lumps.map(({ words, versions, quantities, price, condition, reason = '' }) => ({
				...at,
				...{ words, minor: price.highMinor, isShipped: SHIPPED.test(reason) },
				items: versions.map((version, i) => ({
					...{ version, quantity: quantities[i] ?? 1 },
					...(condition ? { condition } : {})
				}))
			}))
		);
		const value = { offers: prices.length, bundles: lumps.length };
		return { value: good(value), label: `Offers of ${seller.name}` };
	});
}

function twoPrices(what: string): Problem {
	return {
		message: `${what} is offered from one price to another`,
		remedy: 'Write what is asked for it: one price.'
	};
}

/** Takes an offer, or a bundle, away. */
export function removeOffer(
	collection: Collection,
	what: { readonly offer: OfferId } | { readonly bundle: number }
): Promise<Outcome<{ readonly removed: number }>> {
	return makeChange(collection, async (record, tx) => {
		const gone = [{ message: 'this offer is not there any more', remedy: 'Reload the page.' }];
		if ('offer' in what) {
			const [row] = await tx.select().from(offers).where(eq(offers.id, what.offer));
			if (!row) return refused(gone);
			await record.remove(offers, [row.id]);
		} else {
			const [row] = await tx.select().from(offerBundles).where(eq(offerBundles.id, what.bundle));
			if (!row) return refused(gone);
			await record.remove(offerBundles, [row.id]);
		}
		return { value: good({ removed: 1 }), label: 'Take an offer away' };
	});
}
