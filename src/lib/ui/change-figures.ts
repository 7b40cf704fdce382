import type { ChangeCount } from '$lib/core/checklist/draft/replace-release';

/** What an edit adds, changes and removes, in words: "cards: 3 added, 1 changed; sections: 1 added". */
export function changeFigures(changes: readonly ChangeCount[]): string {
	if (changes.length === 0) return 'nothing would change';
	return changes
		.map(({ kind, added, changed, removed }) => {
			const figures = [
				added ? `${added} added` : '',
				changed ? `${changed} changed` : '',
				removed ? `${removed} removed` : ''
			];
			return `${kind}: ${figures.filter(Boolean).join(', ')}`;
		})
		.join('; ');
}
