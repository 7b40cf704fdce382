// `npm test`: everything that must hold, then one line that counts the tests.
import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import process from 'node:process';
import { countTests } from './count-tests.js';
import { testRemote } from './test-remote.js';
import { build, install, root, run, runAside, runInstalled } from './program.js';

const CHROMIUM = '/usr/bin/chromium';

function installChromium() {
	if (existsSync(CHROMIUM) || process.getuid?.() !== 0) return;
	console.log('installing Debian’s chromium for the browser tests');
	run('apt-get', ['update', '-qq']);
	run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
		DEBIAN_FRONTEND: 'noninteractive'
	});
}

const reports = join(root, 'reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
install();
installChromium();

/** What reads the sources only: two at a time, each with a core of its own. */
const LANES = [
	[
		['lint', 'eslint', ['.']],
		['import rule', 'depcruise', ['src', '--output-type', 'err']],
		['unused code', 'knip', []]
	],
	[
		['formatting', 'prettier', ['--check', '--log-level', 'warn', '.']],
		['types', 'svelte-check', ['--threshold', 'warning', '--output', 'human']],
		[
			'no circle between folders',
			'depcruise',
			['src', '--output-type', 'err', '--config', '.dependency-cruiser.folders.cjs']
		]
	]
];

/** @type {readonly [name: string, step: () => boolean][]} */
const steps = [
	['unit tests', () => runInstalled('vitest', ['run'])],
	[
		'on a remote database',
		// All of them: `npm run test:remote`.
		() => testRemote(['journal', 'copies', 'goals'].map((topic) => `src/lib/server/${topic}/`))
	],
	['build', build],
	[
		'browser tests',
		() =>
			existsSync(join(root, 'build', 'workers', 'worker.js')) &&
			runInstalled('playwright', ['test'])
	]
];

/** @type {string[]} */
const failed = [];
if (!runInstalled('svelte-kit', ['sync'])) failed.push('framework files');
await Promise.all(
	LANES.map(async (lane) => {
		for (const [name, program, args] of /** @type {[string, string, string[]][]} */ (lane)) {
			if (!(await runAside(name, program, args))) failed.push(name);
		}
	})
);
for (const [name, step] of steps) {
	console.log(`\n— ${name}`);
	if (!step()) failed.push(name);
}
const { passed, failed: failures } = countTests(reports);
if (failed.length > 0) console.log(`\nnot passed: ${failed.join(', ')}`);
console.log(`\n${passed} passed, ${failures} failed`);
process.exitCode = failed.length > 0 || failures > 0 || passed === 0 ? 1 : 0;
