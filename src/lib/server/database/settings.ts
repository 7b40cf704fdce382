import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

/** What the environment says about this server; read once, at the first use. */
export interface Settings {
	/** Where the program's own files lie: migrations and the demo. */
	readonly root: string;
	/** Where the collection lies. */
	readonly dataFolder: string;
	readonly databaseUrl: string;
	/** A clock that stands still, for the demo and for tests. */
	readonly fixedNow: string | null;
	/** Load the demo world into an empty collection at start. */
	readonly demo: boolean;
}

export function readSettings(env: Readonly<Record<string, string | undefined>>): Settings {
	const root = resolve(env.JADE_ROOT ?? process.cwd());
	const dataFolder = resolve(env.JADE_DATA ?? 'data');
	return {
		root,
		dataFolder,
		databaseUrl: env.DATABASE_URL ?? pathToFileURL(resolve(dataFolder, 'jade.db')).href,
		fixedNow: env.JADE_NOW ?? null,
		demo: env.JADE_DEMO === '1'
	};
}
