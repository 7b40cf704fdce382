import { fail } from '@sveltejs/kit';
import { HOLDER_SORTS, ownHolder } from '$lib/core/storage/kinds/holder-kind';
import type { Static } from 'typebox';
import {
	BoxKindIdFormSchema,
	HolderKindFormSchema,
	HolderMovesFormSchema,
	RatesFormSchema,
	SuppliesFormSchema,
	TiersFormSchema
} from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';
import { bad, good, type Outcome, type Problem } from '$lib/core/problem';
import { parseRateLines } from '$lib/core/money/exchange-rates';
import { setExchangeRates } from '$lib/server/preferences/exchange-rates';
import { parseAmount } from '$lib/core/money/amount';
import { checkAgainst } from '$lib/schemas/validator';
import { readPrices, setPrices } from '$lib/server/binders/supply-prices';
import { setStock, STOCK } from '$lib/server/storage/supplies/stock';
import { addKind, removeKind } from '$lib/server/kinds/own-kinds';
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

/** What the form of tiers and names holds. */
function readRules({
	tier,
	from,
	holder,
	word,
	named,
	currency: code = USUAL_CURRENCY
}: Static<typeof TiersFormSchema>): Outcome<HolderRules> {
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
		currency
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
		const rules = readRules(form.value);
		return answer(
			'rules',
			rules.ok ? await setHolderRules(await theCollection(), rules.value) : rules
		);
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
		const stock = await readPreference(collection.db, STOCK);
		const counted = new Map(
			fields.key.map((key, i) => [key, { ...stock[key], count: Number(counts[i]) }] as const)
		);
		await setPrices(collection, prices.value);
		return answer('supplies', await setStock(collection, counted));
	},
	/** A kind of holder of one's own. */
	kind: async ({ request }) => {
		const form = await readFormOf(request, HolderKindFormSchema);
		if (!form.ok) return answer('kind', form);
		const { addsMm, ...said } = form.value;
		const { key: _, ...kind } = ownHolder({ ...said, key: '', addsUm: Math.round(addsMm * 1000) });
		return answer('kind', await addKind(await theCollection(), { sort: 'holder', kind }));
	},
	dropKind: async ({ request }) => {
		const form = await readFormOf(request, BoxKindIdFormSchema);
		if (!form.ok) return answer('kind', form);
		return answer('kind', await removeKind(await theCollection(), 'holder', form.value.key));
	}
};
