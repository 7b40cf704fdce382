import { invalidate } from '$app/navigation';

/**
 * Asks the server again for what changes with copies: loads that name `jade:copies`, and the journal.
 * Checklists stay as they are, so that a large one is not sent again at every tick.
 */
export async function refreshCopies(): Promise<void> {
	await Promise.all([invalidate('jade:copies'), invalidate('jade:journal')]);
}
