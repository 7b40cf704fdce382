import { WorksheetFormSchema } from '$lib/schemas/forms/bench';
import { answer } from '$lib/server/answer';
import { benchView } from '$lib/server/bench/bench-view';
import { keepWorksheet } from '$lib/server/bench/keep-worksheet';
import { theCollection } from '$lib/server/collection';
import { addPhoto } from '$lib/server/media/photos';
import { readForm } from '$lib/server/read-form';
import { readQuery } from '$lib/server/read-query';

/** `?copy=12`: the copy that lies on the bench; `?q=words`: copies to choose from. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { id, text } = readQuery(url.searchParams, 'EUR');
	return benchView(db, { copy: id<'copies'>('copy'), words: text('q').slice(0, 200) });
};

export const actions = {
	keep: async ({ request }) => {
		const data = await request.formData();
		const form = readForm(data, WorksheetFormSchema);
		if (!form.ok) return answer('keep', form);
		const { copy, corners, edges, surface = [], takesWord, ...said } = form.value;
		const looked = (keys: readonly string[]) => keys.filter((key) => key !== '');
		const collection = await theCollection();
		const done = await keepWorksheet(collection, copy, {
			front: {
				leftRight: said.frontLeftRight,
				topBottom: said.frontTopBottom,
				offBy: said.frontOffBy
			},
			back: {
				leftRight: said.backLeftRight,
				topBottom: said.backTopBottom,
				offBy: said.backOffBy
			},
			levels: { corners: looked(corners), edges: looked(edges), surface: looked(surface) },
			...{ widthMm: said.widthMm, heightMm: said.heightMm, thicknessPt: said.thicknessPt },
			...{ estimate: said.estimate, note: said.note, takesWord: takesWord === 'yes' }
		});
		if (!done.ok) return answer('keep', done);
		const file = data.get('photo');
		if (file instanceof File && file.size > 0) {
			const photo = await addPhoto(collection, copy, new Uint8Array(await file.arrayBuffer()));
			if (!photo.ok) return answer('keep', photo);
		}
		return answer('keep', done, 'Kept with the copy.');
	}
};
