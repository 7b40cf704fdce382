/** A field of a form as it was typed; empty where it is missing, or a file. */
export function rawTextOf(form: FormData, field: string): string {
	const value = form.get(field);
	return typeof value === 'string' ? value : '';
}

/** The same without blanks around it. */
export function textOf(form: FormData, field: string): string {
	return rawTextOf(form, field).trim();
}

/** The fields of a form as texts and numbers; what is no number stays text, so that a schema can judge it. */
export function formFields(form: FormData) {
	const word = (field: string) => textOf(form, field);
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
