import { fail } from '@sveltejs/kit';
import { COPY_STATUSES } from '$lib/core/copies/copy-record';
import type { Problem } from '$lib/core/problem';
import { rowId } from '$lib/core/row-id';
import { parseAmount } from '$lib/core/money/amount';
import { ManyFormSchema, OutFormSchema } from '$lib/schemas/forms/log';
import { theCollection } from '$lib/server/collection';
import { changeMany } from '$lib/server/copies/change-many';
import {
	chooseCopies,
	MOST_CHOSEN,
	quantitiesOf,
	type CopyChoice
} from '$lib/server/copies/choose-copies';
import { sendOut } from '$lib/server/copies/outings';
import { readFormOf } from '$lib/server/read-form';
import { loadRelease } from '$lib/server/releases/load-release';

/** `?release=&section=&finish=&status=&box=&pile=&q=`: which copies are meant. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const text = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 420);
	const id = (name: string) => {
		const value = Number(text(name));
		return Number.isSafeInteger(value) && value > 0 ? value : undefined;
	};
	const [box, pile, copy] = [id('box'), id('pile'), id('copy')];
	const status = COPY_STATUSES.find((each) => each === text('status'));
	const choice: CopyChoice = {
		...(text('release') ? { release: text('release') } : {}),
		...(text('section') ? { section: text('section') } : {}),
		...(url.searchParams.has('finish') && text('release') && text('finish') !== 'any'
			? { finish: text('finish') }
			: {}),
		...(status ? { status } : {}),
		...(box === undefined ? {} : { box: rowId<'boxes'>(box) }),
		...(copy === undefined ? {} : { copy: rowId<'copies'>(copy) }),
		...(pile === undefined ? {} : { pile: rowId<'tray_piles'>(pile) }),
		...(text('q').trim() ? { words: text('q') } : {})
	};
	const stored = choice.release === undefined ? null : await loadRelease(db, choice.release);
	return {
		copies: await chooseCopies(db, choice),
		most: MOST_CHOSEN,
		choice,
		release: stored && {
			key: stored.release.key,
			name: stored.release.name,
			sections: stored.release.sections.map(({ key, name }) => ({ key, name })),
			finishes: stored.release.parallels.map(({ key, name }) => ({ key, name }))
		}
	};
};

const words = (text: string) =>
	text
		.split(';')
		.map((word) => word.trim())
		.filter((word) => word !== '');

export const actions = {
	/** The copies that are ticked go out, and keep their places. */
	out: async ({ request }) => {
		const form = await readFormOf(request, OutFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { copy: ids, kind, to, dueOn } = form.value;
		const collection = await theCollection();
		const quantities = await quantitiesOf(collection.db, ids);
		const picks = ids.map((copyId) => ({
			copyId,
			quantity: quantities.get(copyId)?.quantity ?? 1
		}));
		const outcome = await sendOut(collection, picks, { kind, to, dueOn });
		return outcome.ok ? { out: outcome.value.cards } : fail(409, { problems: outcome.problems });
	},
	/** Changes the copies that are ticked, in one step. */
	change: async ({ request }) => {
		const form = await readFormOf(request, ManyFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { copy, status, condition, holder, place, source, mark, unmark, value, cost, by } =
			form.value;
		const problems: Problem[] = [];
		const amount = (field: 'value' | 'cost', text: string) => {
			if (text === '') return null;
			const read = parseAmount(text, null);
			if (!read.ok) problems.push(...read.problems.map((problem) => ({ ...problem, field })));
			return read.ok ? read.value : null;
		};
		const [worth, total] = [amount('value', value), amount('cost', cost)];
		if (worth && total && worth.currency !== total.currency) {
			const remedy = 'A copy has one currency: change one after the other.';
			problems.push({ field: 'cost', message: 'value and cost are in two currencies', remedy });
		}
		if (problems.length > 0) return fail(400, { problems });
		const collection = await theCollection();
		const outcome = await changeMany(collection, copy, {
			fields: {
				...(status ? { status } : {}),
				...(condition ? { condition } : {}),
				...(holder ? { holder } : {}),
				...(place ? { place } : {}),
				...(source ? { source } : {}),
				...(worth
					? {
							valueMinor: worth.minor,
							currency: worth.currency,
							valueOn: collection.now().slice(0, 10)
						}
					: {})
			},
			mark: words(mark),
			unmark: words(unmark),
			...(total ? { lot: { totalMinor: total.minor, currency: total.currency, by } } : {})
		});
		return outcome.ok
			? { problems: [], changed: outcome.value.cards }
			: fail(409, { problems: outcome.problems });
	}
};
