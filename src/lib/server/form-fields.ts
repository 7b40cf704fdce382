import { type RowId, rowId } from '../core/row-id.ts';
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
		id: <Table extends string>(field: string): RowId<Table> =>
			rowId(/^\d{1,15}$/.test(word(field)) ? Number(word(field)) : 0),
		/** The same, but null. */
		idOrNull: <Table extends string>(field: string): RowId<Table> | null =>
			/^[1-9]\d{0,14}$/.test(word(field)) ? rowId(Number(word(field))) : null,
		/** Null where the field is empty. */
		orNull: (field: string) => (word(field) === '' ? null : number(field))
	};
}
