import type { EntryContext } from '../../core/shorthand/entry-context.ts';
import { indexCards } from '../../core/shorthand/card-index.ts';
import { vocabularyOf } from '../../core/shorthand/vocabulary.ts';
import type { Release } from '../../core/checklist/release.ts';
import type { Reader } from '../database/open.ts';
import { listSynonyms, synonymMap } from './synonyms.ts';

type Ground = Pick<EntryContext, 'numberingKey' | 'parallelKey' | 'condition' | 'owned'>;

/** What an entry line is read against: a release, its words, and a person's own. */
export async function entryContext(
	db: Reader,
	release: Release,
	ground: Ground
): Promise<EntryContext> {
	return {
		release,
		index: indexCards(release),
		vocabulary: vocabularyOf(release),
		synonyms: synonymMap(await listSynonyms(db)),
		...ground
	};
}
