import type { Logger } from 'drizzle-orm/logger';
import { appendFileSync } from 'node:fs';

/** Writes every statement that is asked of the database to a file, once each, a line of JSON: for tests that look at how they are answered. */
export function sqlLog(file: string): Logger {
	const known = new Set<string>();
	return {
		logQuery(query) {
			if (known.has(query)) return;
			known.add(query);
			appendFileSync(file, `${JSON.stringify(query)}\n`);
		}
	};
}
