import type { ReleaseDraft } from '../core/checklist/draft/draft.ts';
import type { Problem } from '../core/problem.ts';

const MARKUP = /<\/?[a-z][^>]{0,200}>|&(?:[a-z]{2,8}|#\d{1,6});/i;

/** Points out titles that hold HTML: they are kept and shown as the plain text they are. */
export function markupNotes(draft: ReleaseDraft): Problem[] {
	return draft.sections.flatMap((section, s) =>
		section.cards.flatMap((card, c) => {
			const found = MARKUP.exec(card.title ?? '');
			return found
				? {
						pointer: `/sections/${s}/cards/${c}/title`,
						field: 'title',
						message: `the title holds markup (${found[0].slice(0, 40)})`,
						remedy: 'It is kept as plain text; take it out if it is not on the card.'
					}
				: [];
		})
	);
}
