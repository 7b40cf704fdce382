/** What a form asks for, as the query of an address: empty fields are left out. */
export function formQuery(
	form: HTMLFormElement,
	more: readonly (readonly [name: string, value: string])[] = []
): string {
	return [...new FormData(form), ...more]
		.flatMap(([name, value]) =>
			typeof value === 'string' && value !== ''
				? [`${encodeURIComponent(name)}=${encodeURIComponent(value)}`]
				: []
		)
		.join('&');
}
