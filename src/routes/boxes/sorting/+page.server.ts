import { MixedStepFormSchema } from '$lib/schemas/forms/releases';
import { SortingFormSchema } from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';
import { fail } from '@sveltejs/kit';
import { tuneTimes } from '$lib/core/storage/sorting/tune-times';
import { cardNumberOrder } from '$lib/core/checklist/numbers/compare-card-numbers';
import { cardsOf } from '$lib/core/checklist/release';
import { checkAgainst } from '$lib/schemas/validator';
import {
	forgetMeasures,
	MIXED_DONE,
	tickMixed,
	saveSortingSlip,
	SORTING_MEASURES,
	SORTING_SLIP,
	SortingSlipSchema,
	type SortingSlip
} from '$lib/server/storage/sorting/sorting';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { usualRelease } from '$lib/server/releases/usual-release';
import { findPile } from '$lib/server/copies/trays';
import { mixedSetsOf, versionsOnPile } from '$lib/server/storage/sorting/mixed-pile';
import { loadRelease } from '$lib/server/releases/load-release';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const slip = await readPreference(db, SORTING_SLIP);
	const measures = await readPreference(db, SORTING_MEASURES);
	const key = url.searchParams.get('release') ?? slip?.release ?? (await usualRelease(db)) ?? '';
	const numbersOf = async (release: string) => {
		const stored = await loadRelease(db, release);
		const numbers = stored ? cardsOf(stored.release).flatMap(({ card }) => card.number ?? []) : [];
		return {
			name: stored?.release.name ?? '',
			numbers: [...new Set(numbers)].sort(cardNumberOrder(numbers))
		};
	};
	const cards = Number(url.searchParams.get('cards'));
	const tray = Number(url.searchParams.get('pile'));
	const pile = tray > 0 ? await findPile(db, tray) : null;
	const done = await readPreference(db, MIXED_DONE);
	const versions = pile ? await versionsOnPile(db, pile) : [];
	return {
		/** Of a pile in a tray. */
		cards: Number.isInteger(cards) && cards > 0 ? cards : 500,
		release: { key, ...(await numbersOf(key)) },
		slip: slip && { ...slip, ...(await numbersOf(slip.release)) },
		/** A pile of cards that are known one by one: of how many sets, each with its cards. */
		mixed:
			pile && versions.length > 0
				? {
						id: tray,
						name: pile.name,
						sets: await mixedSetsOf(db, versions),
						done: done?.pile === tray ? done.done : []
					}
				: null,
		times: tuneTimes(measures),
		measured: measures.length
	};
};

export const actions = {
	/** Keeps the slip as the page has it; `finished`: the step that was just done. */
	save: async ({ request }) => {
		const form = await readFormOf(request, SortingFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		let slip: unknown;
		try {
			slip = JSON.parse(form.value.slip || 'null');
		} catch {
			return fail(400, { problems: [{ message: 'the slip is no JSON' }] });
		}
		const problems = checkAgainst(SortingSlipSchema, slip);
		if (problems.length > 0) return fail(400, { problems });
		const known = slip as SortingSlip | null;
		const step = known?.steps[form.value.finished ?? -1];
		const isMeasure = known && step && step.piles > 0 && step.seconds > 0;
		const measured = isMeasure
			? { cards: known.cards, piles: step.piles, seconds: step.seconds }
			: null;
		await saveSortingSlip(await theCollection(), known, measured);
		return { saved: true };
	},
	/** A step of a mixed pile is done, or open again. */
	tick: async ({ request }) => {
		const form = await readFormOf(request, MixedStepFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { pile, step, done } = form.value;
		await tickMixed(await theCollection(), pile, step, done === 'yes');
		return { saved: true };
	},
	forget: async () => {
		await forgetMeasures(await theCollection());
		return { saved: true };
	}
};
