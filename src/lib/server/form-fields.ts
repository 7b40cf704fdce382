/** The fields of a form as texts and numbers; what is no number stays text, so that a schema can judge it. */
export function formFields(form: FormData) {
	const word = (field: string) => String(form.get(field) ?? '').trim();
	const number = (field: string): number | string =>
		/^\d+([.,]\d+)?$/.test(word(field)) ? Number(word(field).replace(',', '.')) : word(field);
	return {
		word,
		number,
		/** A row's id; 0, which no row has, where there is none. */
		id: (field: string) => (/^\d{1,15}$/.test(word(field)) ? Number(word(field)) : 0),
		/** Null where the field is empty. */
		orNull: (field: string) => (word(field) === '' ? null : number(field))
	};
}
