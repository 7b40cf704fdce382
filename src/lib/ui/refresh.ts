import { invalidate, invalidateAll } from '$app/navigation';
import { oneLoadAtATime } from './one-load-at-a-time';

/** What a page may be asked to load again, by the names its loads depend on. */
type Part = 'jade:copies' | 'jade:journal' | 'everything';

const refresh = oneLoadAtATime<Part>((parts) =>
	parts.has('everything')
		? invalidateAll()
		: Promise.all([...parts].map((part) => invalidate(part)))
);

/**
 * Asks the server again for what changes with copies: loads that name `jade:copies`, and the journal.
 * Checklists stay as they are, so that a large one is not sent again at every tick.
 */
export const refreshCopies = () => refresh('jade:copies', 'jade:journal');

/** Asks the server again for the last step only. */
export const refreshJournal = () => refresh('jade:journal');

/** Asks the server again for all that is shown. */
export const refreshAll = () => refresh('everything');
