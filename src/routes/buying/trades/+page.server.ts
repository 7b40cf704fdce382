import { fail, redirect } from '@sveltejs/kit';
import { bad, type Problem } from '$lib/core/problem';
import { parseAmount } from '$lib/core/money/amount';
import { FriendListsSchema } from '$lib/schemas/forms/buying';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { setFriend } from '$lib/server/pile/friend-lists';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

/** What two people call even, and what is taken for a card that nothing is known of. */
const USUAL = { tolerance: '1.00', unpriced: '' };

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const problems: Problem[] = [];
	const money = (name: keyof typeof USUAL) => {
		const text = (url.searchParams.get(name) ?? USUAL[name]).trim();
		if (text === '') return null;
		const read = parseAmount(text, currency);
		if (read.ok) return read.value.minor;
		problems.push(...read.problems.map((problem) => ({ ...problem, field: name })));
		return null;
	};
	const choice = {
		friend: url.searchParams.get('friend'),
		toleranceMinor: money('tolerance') ?? 0,
		unpricedMinor: money('unpriced'),
		fixed: url.searchParams.getAll('fixed'),
		without: url.searchParams.getAll('without')
	};
	return {
		...(await pageTask('tradesView', choice, request.signal)),
		asked: {
			tolerance: url.searchParams.get('tolerance') ?? USUAL.tolerance,
			unpriced: url.searchParams.get('unpriced') ?? USUAL.unpriced
		},
		misread: problems
	};
};

export const actions = {
	/** What a friend wants and has to give. */
	lists: async ({ request }) => {
		const form = await readFormOf(request, FriendListsSchema);
		const saved = form.ok
			? await setFriend(await theCollection(), form.value.friend, form.value)
			: bad(form.problems);
		if (!saved.ok || !form.ok) {
			return fail(400, { problems: saved.ok ? [] : saved.problems });
		}
		redirect(303, `/buying/trades?friend=${encodeURIComponent(form.value.friend.trim())}`);
	}
};
