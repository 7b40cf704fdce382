/**
 * Guesses a release's name and year from a file name.
 *
 * @example guessRelease('harbour-lights-1994.checklist.csv') // { name: 'Harbour lights 1994', year: '1994' }
 */
export function guessRelease(fileName: string): { readonly name: string; readonly year: string } {
	const words = fileName
		.replace(/\.(json|csv|tsv|txt)$/i, '')
		.replace(/[._-]?checklist/i, '')
		.replace(/[_.-]+/g, ' ')
		.trim();
	return {
		name: words.charAt(0).toUpperCase() + words.slice(1),
		year: /\b(1[89]\d\d|20\d\d)\b/.exec(words)?.[1] ?? ''
	};
}
