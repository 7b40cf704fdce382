import { invalidate, invalidateAll } from '$app/navigation';
import { link } from './offline/link.svelte';
import { oneLoadAtATime } from './one-load-at-a-time';

/** What a page may be asked to load again, by the names its loads depend on. */
type Part = 'jade:copies' | 'jade:journal' | 'everything';

/** Without a network what is shown stays: a load that fails would put an error in its place. */
const refresh = oneLoadAtATime<Part>((parts) =>
	link.isDown
		? Promise.resolve()
		: parts.has('everything')
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
