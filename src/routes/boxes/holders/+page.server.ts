import { fail } from '@sveltejs/kit';
import { HOLDER_KEYS, HOLDER_SORTS } from '$lib/core/storage/kinds/holder-kind';
import type { Static } from 'typebox';
import {
	HolderMovesFormSchema,
	RatesFormSchema,
	SuppliesFormSchema,
	TiersFormSchema
} from '$lib/schemas/forms';
import { readFormOf } from '$lib/server/read-form';
import { bad, good, type Outcome, type Problem } from '$lib/core/problem';
import { parseRateLines } from '$lib/core/worth/exchange-rates';
import { setExchangeRates } from '$lib/server/preferences/exchange-rates';
import { parseAmount } from '$lib/core/worth/amount';
import { checkAgainst } from '$lib/schemas/validator';
import { readPrices, setPrices } from '$lib/server/binders/supply-prices';
import { HOLDER_SUPPLY } from '$lib/server/storage/holders/holder-supplies';
import { setHolderRules, setHolders } from '$lib/server/storage/holders/change-holders';
import { readTierMoves } from '$lib/server/storage/holders/read-tier-moves';
import {
	HOLDER_RULES,
	HolderRulesSchema,
	USUAL_CURRENCY,
	type HolderRules
} from '$lib/server/places/holder-tiers';
import { theCollection } from '$lib/server/collection';
import { pageTask } from '$lib/server/workers/file-task';
import { readPreference } from '$lib/server/preferences/preferences';

/** Moves on the screen at a time. */
const SHOWN = 200;

export const load = async ({ depends, request }) => {
	depends('jade:copies');
	return pageTask('holderView', { most: SHOWN }, request.signal);
};

const answer = (form: string, done: Outcome<unknown>) =>
	done.ok ? { form } : fail(400, { form, problems: done.problems });

/** What the form of tiers and names holds, with what is on hand as it was. */
function readRules(
	{
		tier,
		from,
		holder,
		word,
		named,
		currency: code = USUAL_CURRENCY
	}: Static<typeof TiersFormSchema>,
	onHand: HolderRules['onHand']
): Outcome<HolderRules> {
	const currency = code.toUpperCase();
	const misread: Problem[] = [];
	const rules = {
		tiers: tier.flatMap((name, i) => {
			if (name === '') return [];
			const amount = parseAmount(from[i] ?? '', currency);
			if (!amount.ok) misread.push(...amount.problems.map((each) => ({ ...each, field: 'from' })));
			const value = amount.ok ? amount.value.minor : 0;
			const kept = HOLDER_SORTS.find((sort) => sort === holder[i]) ?? 'none';
			return [{ name, fromMinor: value, holder: kept }];
		}),
		names: word.flatMap((text, i) => (text === '' ? [] : [{ word: text, tier: named[i] ?? '' }])),
		currency,
		onHand
	};
	const problems = [...misread, ...checkAgainst(HolderRulesSchema, rules)];
	return problems.length > 0 ? bad(problems) : good(rules);
}

export const actions = {
	/** Rates of exchange, a line each; with any problem none is changed. */
	rates: async ({ request }) => {
		const form = await readFormOf(request, RatesFormSchema);
		if (!form.ok) return answer('rates', form);
		const rates = parseRateLines(form.value.rates);
		return answer(
			'rates',
			rates.ok ? await setExchangeRates(await theCollection(), rates.value) : rates
		);
	},
	rules: async ({ request }) => {
		const form = await readFormOf(request, TiersFormSchema);
		if (!form.ok) return answer('rules', form);
		const collection = await theCollection();
		const { onHand } = await readPreference(collection.db, HOLDER_RULES);
		const rules = readRules(form.value, onHand);
		return answer('rules', rules.ok ? await setHolderRules(collection, rules.value) : rules);
	},
	/** Records that some cards, or all of the list, are in the holders they should be in. */
	moved: async ({ request }) => {
		const form = await readFormOf(request, HolderMovesFormSchema);
		if (!form.ok) return answer('moves', form);
		const { all, copy } = form.value;
		const collection = await theCollection();
		const { moves } = await readTierMoves(
			collection.db,
			await readPreference(collection.db, HOLDER_RULES)
		);
		const wanted = new Set(copy);
		const chosen = all === undefined ? moves.filter(({ copyId }) => wanted.has(copyId)) : moves;
		if (chosen.length === 0) {
			return answer(
				'moves',
				bad([{ message: 'choose cards of the list', remedy: 'It may have changed.' }])
			);
		}
		return answer('moves', await setHolders(collection, chosen));
	},
	/** Prices of packs, and what is on hand. */
	supplies: async ({ request }) => {
		const form = await readFormOf(request, SuppliesFormSchema);
		if (!form.ok) return answer('supplies', form);
		const { onHand: counts, ...fields } = form.value;
		const prices = readPrices(fields);
		const problems = [
			...(prices.ok ? [] : prices.problems),
			...counts
				.filter((text) => !/^\d{1,6}$/.test(text))
				.map((text) => ({
					field: 'onHand',
					message: `"${text}" is no count`,
					remedy: 'A whole number from 0.'
				}))
		];
		if (!prices.ok || problems.length > 0) return answer('supplies', bad(problems));
		const collection = await theCollection();
		const rules = await readPreference(collection.db, HOLDER_RULES);
		const onHand = Object.fromEntries(
			fields.key
				.map((key, i) => [key.replace(HOLDER_SUPPLY, ''), Number(counts[i])] as const)
				.filter(([key]) => HOLDER_KEYS.some((known) => known === key))
		);
		await setPrices(collection, prices.value);
		return answer(
			'supplies',
			await setHolderRules(collection, { ...rules, onHand: { ...rules.onHand, ...onHand } })
		);
	}
};
