import { fail, redirect } from '@sveltejs/kit';
import { resolve } from '$app/paths';
import type { Outcome } from '$lib/core/problem';
import { parseAnyAmount } from '$lib/core/money/amount';
import {
	SealedFormSchema,
	SealedIdFormSchema,
	SealedRulesFormSchema
} from '$lib/schemas/forms/packs';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { openSealed } from '$lib/server/packs/openings/change-opening';
import { keepSealed, removeSealed } from '$lib/server/packs/sealed/change-sealed';
import { setSealedRules } from '$lib/server/packs/sealed/sealed-rules';
import type { SealedAsk } from '$lib/server/packs/sealed/sealed-view';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import { USUAL_EXTRA } from '../usual-extra';
import type { PageServerLoad } from './$types';

const theCurrency = async () => {
	const { db } = await theCollection();
	return (await readPreference(db, BUYING_RULES)).currency;
};

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { misread, number, money, id } = readQuery(url.searchParams, await theCurrency());
	const ask: SealedAsk = {
		goal: id<'goals'>('goal'),
		extraPercent: number('extra', 0, 100) ?? USUAL_EXTRA.percent,
		extraFromMinor: money('from') ?? USUAL_EXTRA.fromMinor
	};
	return { ...(await pageTask('sealedView', ask, request.signal)), misread };
};

const answer = (part: string, done: Outcome<unknown>) =>
	done.ok ? { part, done: true } : fail(400, { part, problems: done.problems });

export const actions = {
	keep: async ({ request }) => {
		const form = await readFormOf(request, SealedFormSchema);
		if (!form.ok) return answer('lot', form);
		const currency = await theCurrency();
		return answer('lot', await keepSealed(await theCollection(), { ...form.value, currency }));
	},
	gone: async ({ request }) => {
		const form = await readFormOf(request, SealedIdFormSchema);
		if (!form.ok) return answer('lot', form);
		return answer('lot', await removeSealed(await theCollection(), form.value.lot));
	},
	/** Takes one of it and begins to open it. */
	open: async ({ request }) => {
		const form = await readFormOf(request, SealedIdFormSchema);
		if (!form.ok) return answer('lot', form);
		const done = await openSealed(await theCollection(), form.value.lot);
		if (!done.ok) return answer('lot', done);
		redirect(303, resolve('/packs/openings/[opening=id]', { opening: String(done.value.id) }));
	},
	rules: async ({ request }) => {
		const form = await readFormOf(request, SealedRulesFormSchema);
		if (!form.ok) return answer('rules', form);
		const { fee, send, yearly, years, elsewhere, likely, doubtful } = form.value;
		const sending = parseAnyAmount(send.trim() === '' ? '0' : send, await theCurrency());
		if (!sending.ok) {
			const problems = sending.problems.map((problem) => ({ ...problem, field: 'send' }));
			return fail(400, { part: 'rules', problems });
		}
		return answer(
			'rules',
			await setSealedRules(await theCollection(), {
				...{ feePercent: fee, yearlyPercent: yearly, years, elsewherePercent: elsewhere },
				...{ sendMinor: sending.value.minor, currency: sending.value.currency },
				...{ likelyPercent: likely, doubtfulPercent: doubtful }
			})
		);
	}
};
