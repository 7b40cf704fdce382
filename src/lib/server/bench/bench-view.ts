import { eq } from 'drizzle-orm';
import { formatOfCard } from '../../core/checklist/card-format.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import type { CopyId } from '../../core/row-id.ts';
import { chooseCopies, copiesToPick } from '../copies/choose-copies.ts';
import { readCopy } from '../copies/copy-rows.ts';
import type { Reader } from '../database/open.ts';
import { worksheets } from '../database/tables/index.ts';
import { photosOf } from '../media/photos.ts';
import { readWorksheetRules } from './worksheet-rules.ts';
import { knownLevels } from './worksheets-view.ts';

export interface BenchAsk {
	/** The copy that lies on the bench; null: none. */
	readonly copy: CopyId | null;
	/** Words that copies are found by. */
	readonly words: string;
}

/** What lies on the bench: the copy, its photos, what was seen of it, and by which rules it is judged. */
export async function benchView(db: Reader, { copy: id, words }: BenchAsk) {
	const rules = await readWorksheetRules(db);
	const { found, more } = await copiesToPick(db, words);
	const [named] = id === null ? [] : await chooseCopies(db, { copy: id });
	const read = id === null ? null : await readCopy(db, id);
	if (!read || !named) return { rules, words, found, more, copy: null };
	const { copy, release } = read;
	const [sheet] = await db.select().from(worksheets).where(eq(worksheets.copyId, copy.id));
	const card = cardFinder(release)(copy.version);
	const format = (card && formatOfCard(card.section, card.card)) ?? {};
	return {
		...{ rules, words, found, more },
		copy: {
			...{ id: copy.id, name: named.name, release: named.release, quantity: copy.quantity },
			releaseKey: release.key,
			cardKey: parseVersionKey(copy.version)?.card ?? '',
			condition: copy.condition ?? null,
			grade: copy.grade ?? null,
			house: copy.house ?? null,
			/** Its size as the checklist says it, in millimetres; null: it says nothing. */
			widthMm: format.widthMm ?? null,
			heightMm: format.heightMm ?? null,
			stockPt: format.stockPt ?? null,
			photos: await photosOf(db, [copy.id]),
			sheet: sheet ? { ...sheet, sheet: knownLevels(sheet.sheet, rules) } : null
		}
	};
}
export type BenchView = Awaited<ReturnType<typeof benchView>>;
