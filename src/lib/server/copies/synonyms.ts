import { asc, eq } from 'drizzle-orm';
import { normalPhrase } from '../../core/shorthand/vocabulary.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { synonyms } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { insertOne } from '../database/record.ts';
import type { SynonymId } from '../../core/row-id.ts';

/** A word of the user's own, and the words of the entry line it stands for. */
export interface Synonym {
	readonly id: SynonymId;
	readonly word: string;
	readonly means: string;
}

export async function listSynonyms(db: Reader): Promise<readonly Synonym[]> {
	return db.select().from(synonyms).orderBy(asc(synonyms.word));
}

/** The same as the entry line looks them up. */
export function synonymMap(list: readonly Synonym[]): ReadonlyMap<string, string> {
	return new Map(list.map(({ word, means }) => [word, means]));
}

/** Defines a word, or gives it another meaning. */
export function setSynonym(
	collection: Collection,
	typed: string,
	means: string
): Promise<Outcome<{ readonly id: SynonymId }>> {
	return makeChange(collection, async (record, tx) => {
		const word = normalPhrase(typed);
		if (!/\p{L}/u.test(typed) || means.trim() === '') {
			const remedy = 'Write a word with a letter in it, and what it stands for.';
			const problem = { field: 'word', message: 'this defines nothing', remedy };
			return refused([problem]);
		}
		const [known] = await tx.select().from(synonyms).where(eq(synonyms.word, word));
		const values = { word, means: means.trim() };
		if (known) await record.update(synonyms, known.id, values);
		const fresh = known ?? (await insertOne(record, synonyms, values));
		return {
			value: good({ id: fresh.id }),
			label: `Let ${word} mean ${values.means}`
		};
	});
}

export function removeSynonym(collection: Collection, id: SynonymId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(synonyms).where(eq(synonyms.id, id));
		if (!known) return { value: false, label: '' };
		await record.remove(synonyms, [id]);
		return { value: true, label: `Forget the word ${known.word}` };
	});
}
