import { bad, type Problem } from '$lib/core/problem';
import { ParcelKindsFormSchema } from '$lib/schemas/forms/selling';
import { answer } from '$lib/server/answer';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';
import { setParcelKinds } from '$lib/server/selling/parcels/parcel-kinds';
import type { SentBoxes } from '$lib/server/selling/parcels/parcels-view';
import { pageTask } from '$lib/server/workers/file-task';

const MOST_ROWS = 20;
const MOST_QUANTITY = 20;
const MOST_CARDS = 20_000;

/** `?kind=550&quantity=3&cards=&for=&kind=800&quantity=1&cards=600&for=Wren`: row by row; `upright=yes`: lids stay on top. */
export const load = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { rows, sent, misread } = readSent(url.searchParams);
	const view = await pageTask(
		'parcelsView',
		{ sent: misread.length > 0 ? [] : sent },
		request.signal
	);
	return { ...view, rows, misread, staysUpright: url.searchParams.get('upright') === 'yes' };
};

/** Reads the rows; what is misread is told, and nothing is packed. */
function readSent(query: URLSearchParams) {
	const all = (name: string) => query.getAll(name).slice(0, MOST_ROWS);
	const [quantities, counts, buyers] = [all('quantity'), all('cards'), all('for')];
	const staysUpright = query.get('upright') === 'yes';
	const misread: Problem[] = [];
	const rows = all('kind').map((kind, i) => ({
		kind: kind.slice(0, 200),
		quantity: (quantities[i] ?? '').trim().slice(0, 20),
		cards: (counts[i] ?? '').trim().slice(0, 20),
		buyer: (buyers[i] ?? '').trim().slice(0, 80)
	}));
	const sent = rows.flatMap(({ kind, quantity, cards, buyer }, i): readonly SentBoxes[] => {
		const whole = (text: string, most: number, what: string) => {
			if (/^\d{1,6}$/.test(text) && Number(text) <= most) return Number(text);
			const message = `row ${i + 1}: "${text}" is no number of ${what}`;
			misread.push({ message, remedy: `Write one up to ${most}.` });
			return 0;
		};
		const many = quantity === '' ? 0 : whole(quantity, MOST_QUANTITY, 'boxes');
		const filled = cards === '' ? null : whole(cards, MOST_CARDS, 'cards');
		return many === 0 ? [] : [{ kind, quantity: many, cards: filled, buyer, staysUpright }];
	});
	return { rows, sent, misread };
}

export const actions = {
	kinds: async ({ request }) => {
		const form = await readFormOf(request, ParcelKindsFormSchema);
		if (!form.ok) return answer('kinds', bad(form.problems));
		return answer('kinds', await setParcelKinds(await theCollection(), form.value.kinds), 'Kept.');
	}
};
