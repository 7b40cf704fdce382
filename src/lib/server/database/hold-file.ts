import { createClient } from '@libsql/client';
import { pathToFileURL } from 'node:url';
import { codesOf, StartProblem } from './start-problem.ts';

/**
 * Holds a database file for this process, so that no second server opens it: by a transaction on a file beside it that is never
 * ended. The system lets go of it when the process ends, however it ends.
 *
 * @returns lets go of it
 * @throws StartProblem where another server holds it
 */
export async function holdFile(path: string): Promise<() => void> {
	const client = createClient({ url: pathToFileURL(`${path}.lock`).href, timeout: 500 });
	try {
		const held = await client.transaction('write');
		return () => {
			held.close();
			client.close();
		};
	} catch (error) {
		client.close();
		if (!codesOf(error).some((code) => code.startsWith('SQLITE_BUSY'))) throw error;
		throw new StartProblem(
			`another server has ${path} open`,
			'Use that one, or stop it first; a second collection takes another folder: JADE_DATA.',
			error
		);
	}
}
