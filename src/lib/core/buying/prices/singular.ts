/**
 * A word of a rarity class or kind as it is said of a single card, good enough to compare words by.
 *
 * @example ['commons', 'rarities', 'inserts', 'glass'].map(singularOf) // ['common', 'rarity', 'insert', 'glass']
 */
export function singularOf(word: string): string {
	if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
	return word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
}
