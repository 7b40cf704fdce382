import ipaddr from 'ipaddr.js';
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
	/** Where the server listens. */
	readonly host: string;
	/** Whether others than this machine reach it there. */
	readonly isBeyondLoopback: boolean;
	/** What the owner's passphrase is set to at start; null: it stays what it is. */
	readonly passphrase: string | null;
	/** Where statements are written down, for a test; null: nowhere. */
	readonly sqlLogFile: string | null;
	/** Load the demo world into an empty collection at start. */
	readonly demo: boolean;
}

export function readSettings(env: Readonly<Record<string, string | undefined>>): Settings {
	const root = resolve(env.JADE_ROOT ?? process.cwd());
	const host = env.HOST || '127.0.0.1';
	const dataFolder = resolve(env.JADE_DATA ?? 'data');
	return {
		root,
		dataFolder,
		databaseUrl: env.DATABASE_URL ?? pathToFileURL(resolve(dataFolder, 'jade.db')).href,
		host,
		isBeyondLoopback: !isLoopback(host),
		sqlLogFile: env.JADE_SQL_LOG || null,
		passphrase: env.JADE_PASSPHRASE || null,
		fixedNow: env.JADE_NOW ?? null,
		demo: env.JADE_DEMO === '1'
	};
}

/** Names other than localhost may lead to anywhere. */
const isLoopback = (host: string): boolean =>
	host.toLowerCase() === 'localhost' ||
	(ipaddr.isValid(host) && ipaddr.process(host).range() === 'loopback');
