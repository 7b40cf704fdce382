import { BOX_KINDS } from '$lib/core/boxes/box-kind';
import { USUAL_BOX_RULES } from '$lib/core/boxes/choose-box';
import { planBoxes } from '$lib/core/boxes/plan-boxes';
import { BOX_SCHOOLS } from '$lib/core/boxes/school';
import { weighBoxes } from '$lib/core/boxes/weigh-boxes';
import { shelvedSets } from '$lib/server/boxes/shelved-sets';
import { theCollection } from '$lib/server/collection';

/** A whole number of percent out of the address, within bounds; else the usual one. */
function percent(text: string | null, usual: number): number {
	return text !== null && /^\d{1,3}$/.test(text) && Number(text) <= 100 ? Number(text) : usual;
}

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const query = url.searchParams;
	const school = BOX_SCHOOLS.find((one) => one === query.get('school')) ?? 'year';
	const fill = percent(query.get('fill'), Math.round(100 * USUAL_BOX_RULES.leastFill));
	const have = percent(query.get('have'), Math.round(100 * USUAL_BOX_RULES.leastHave));
	const growth = percent(query.get('growth'), 50);
	const sets = await shelvedSets((await theCollection()).db);
	const plan = planBoxes(sets, {
		school,
		growth: growth / 100,
		rules: { ...USUAL_BOX_RULES, leastFill: fill / 100, leastHave: have / 100 }
	});
	return {
		options: { school, fill, have, growth },
		plan,
		weights: weighBoxes(plan.boxes, sets),
		kinds: BOX_KINDS,
		sets: sets.map(({ key, name, cards }) => ({ key, name, cards }))
	};
};
