import { fail } from '@sveltejs/kit';
import { bad, type Outcome, type Problem } from '$lib/core/problem';
import { lowSupplies } from '$lib/core/storage/supplies/supply';
import { AsideFormSchema, StockFormSchema } from '$lib/schemas/forms/boxes';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { listSupplies, setAside, setStock, STOCK } from '$lib/server/storage/supplies/stock';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const [supplies, stock] = [await listSupplies(db), await readPreference(db, STOCK)];
	return { supplies, stock, low: lowSupplies(stock, supplies) };
};

const answer = (form: string, done: Outcome<unknown>) =>
	done.ok ? { form } : fail(400, { form, problems: done.problems });

export const actions = {
	/** What is on hand, line by line. */
	stock: async ({ request }) => {
		const form = await readFormOf(request, StockFormSchema);
		if (!form.ok) return answer('stock', form);
		const { key: keys, count, least } = form.value;
		const problems: Problem[] = [];
		const read = (text: string, field: string, name: string) => {
			if (/^\d{0,6}$/.test(text)) return text === '' ? null : Number(text);
			problems.push({
				field,
				message: `${name}: "${text}" is no count`,
				remedy: 'A whole number from 0, or nothing.'
			});
			return null;
		};
		const stock = new Map(
			keys.map((key, i) => {
				const counted = read((count[i] ?? '').trim(), 'count', key);
				const enough = read((least[i] ?? '').trim(), 'least', key);
				if (counted === null && enough !== null && /^\d*$/.test(count[i] ?? '')) {
					problems.push({
						field: 'count',
						message: `${key}: nobody has counted it, so nothing can be warned of`,
						remedy: 'Say how many there are.'
					});
				}
				const limit = enough === null ? {} : { least: enough };
				return [key, counted === null ? null : { count: counted, ...limit }] as const;
			})
		);
		if (problems.length > 0) return answer('stock', bad(problems));
		return answer('stock', await setStock(await theCollection(), stock));
	},
	/** Scuffed holders, put aside for shipping. */
	aside: async ({ request }) => {
		const form = await readFormOf(request, AsideFormSchema);
		if (!form.ok) return answer('aside', form);
		const { holder, count } = form.value;
		return answer('aside', await setAside(await theCollection(), holder, count));
	}
};
