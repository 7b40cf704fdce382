// `npm run test:remote`: the server's tests a second time, against a stand-in for a remote database (`remote.fixture.ts`).
import { join } from 'node:path';
import process from 'node:process';
import { install, root, runInstalled } from './program.js';

/**
 * @param {readonly string[]} topics folders of the server
 * @returns whether all passed
 */
export const testRemote = (topics) =>
	runInstalled('vitest', ['run', ...topics], { JADE_TEST_REMOTE: '1' });

if (process.argv[1] === join(root, 'scripts', 'test-remote.js')) {
	install();
	process.exitCode = testRemote(['src/lib/server']) ? 0 : 1;
}
