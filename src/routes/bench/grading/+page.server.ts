import { rowId, type CopyId } from '$lib/core/row-id';
import { ResultsFormSchema, SubmissionFormSchema } from '$lib/schemas/forms/bench';
import { answer } from '$lib/server/answer';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { gradingView } from '$lib/server/worth/grading/grading-view';
import { sendSubmission } from '$lib/server/worth/grading/send-submission';
import { takeBack } from '$lib/server/worth/grading/take-back';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { countOf } from '$lib/ui/numerals';

/** `?q=words&copy=12&copy=14`: what could be sent. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	const ids = url.searchParams.getAll('copy').filter((id) => /^[1-9]\d{0,14}$/.test(id));
	return gradingView(db, {
		words: (url.searchParams.get('q') ?? '').slice(0, 200),
		copies: ids.slice(0, 100).map((id): CopyId => rowId(Number(id))),
		now: now()
	});
};

export const actions = {
	send: async ({ request }) => {
		const form = await readFormOf(request, SubmissionFormSchema);
		if (!form.ok) return answer('send', form);
		const { copy = [], purpose = [], insured = [], estimate = [], ...head } = form.value;
		const collection = await theCollection();
		const { currency } = await readPreference(collection.db, BUYING_RULES);
		const done = await sendSubmission(collection, {
			...{ ...head, currency },
			cards: copy.map((copyId, i) => ({
				copyId,
				purpose: purpose[i] ?? 'grade',
				insured: insured[i] ?? '',
				estimate: estimate[i] ?? ''
			}))
		});
		return answer('send', done, 'They are out, and keep their places.');
	},
	back: async ({ request }) => {
		const form = await readFormOf(request, ResultsFormSchema);
		if (!form.ok) return answer('back', form);
		const { submission, card, result, certificate, addsCost } = form.value;
		const typed = card.map((id, i) => ({
			id,
			result: result[i] ?? '',
			certificate: certificate[i] ?? ''
		}));
		const done = await takeBack(await theCollection(), submission, typed, addsCost === 'yes');
		return answer('back', done, done.ok ? `${countOf(done.value.cards, 'card')} back.` : '');
	}
};
