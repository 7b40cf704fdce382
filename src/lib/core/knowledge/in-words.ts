/**
 * A value of a checklist as people read it: lists with semicolons, fields with their names.
 *
 * @example inWords({ hobby: '1:6', retail: '1:12' }) // 'hobby 1:6, retail 1:12'
 */
export function inWords(value: unknown): string {
	if (Array.isArray(value)) return value.map(inWords).join('; ');
	if (typeof value === 'object' && value !== null) {
		return Object.entries(value)
			.filter(([, each]) => each !== undefined)
			.map(([name, each]) => (each === true ? spaced(name) : `${spaced(name)} ${inWords(each)}`))
			.join(', ');
	}
	return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
}

/**
 * A field's name as words.
 *
 * @example spaced('howToTell') // 'how to tell'
 */
export const spaced = (name: string): string => name.replace(/([A-Z])/g, ' $1').toLowerCase();
