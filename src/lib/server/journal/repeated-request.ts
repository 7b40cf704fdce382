import { eq } from 'drizzle-orm';
import { REQUEST_NAME } from '../../schemas/request-name.ts';
import type { Reader } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';

const REQUEST_ID = /^[\w-]{8,64}$/;

/** How a change names itself that may be sent again; null: it does not. */
export function requestIdOf(headers: Headers): string | null {
	const id = headers.get(REQUEST_NAME);
	return id !== null && REQUEST_ID.test(id) ? id : null;
}

/** What is answered to a change that was made already when it is sent again. */
export interface DoneBefore {
	readonly isDoneBefore: true;
}

/** Changes under way, by their names. */
const underWay = new Map<string, Promise<unknown>>();

/**
 * Answers a change that may have been sent before: where its answer was lost on the way, it was made all the same, and is not
 * made twice. One that is still under way is waited for.
 */
export async function answerOnce(
	db: Reader,
	id: string | null,
	answer: () => Response | Promise<Response>
): Promise<Response> {
	if (id === null) return answer();
	// Whoever comes next waits for this one, from now on.
	const answering = (underWay.get(id) ?? Promise.resolve())
		.catch(() => undefined)
		.then(async () => ((await isMade(db, id)) ? doneBefore() : answer()));
	underWay.set(id, answering);
	try {
		return await answering;
	} finally {
		if (underWay.get(id) === answering) underWay.delete(id);
	}
}

const doneBefore = () => Response.json({ isDoneBefore: true } satisfies DoneBefore);

async function isMade(db: Reader, id: string): Promise<boolean> {
	const [made] = await db
		.select({ id: journal.id })
		.from(journal)
		.where(eq(journal.request, id))
		.limit(1);
	return made !== undefined;
}
