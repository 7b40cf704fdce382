import { eq } from 'drizzle-orm';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';

/** Sets the theme of a release: sport, film, game; an empty one takes it away. */
export function setTheme(
	collection: Collection,
	key: string,
	theme: string
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const [release] = await tx.select().from(releases).where(eq(releases.key, key));
		if (!release) return refused([{ message: 'this release is not in the collection' }]);
		const wanted = theme.trim().slice(0, 60) || null;
		const value = good({ key });
		if (release.theme === wanted) return { value, label: '' };
		await record.update(releases, release.id, { theme: wanted });
		return { value, label: `${release.name}: theme ${wanted ?? 'taken away'}` };
	});
}
