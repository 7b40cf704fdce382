// `npm test`: everything that must hold, then one line that counts the tests.
import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import process from 'node:process';
import { countTests } from './count-tests.js';
import { build, install, root, run, runInstalled } from './program.js';

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

/** @type {readonly [name: string, step: () => boolean][]} */
const steps = [
	['framework files', () => runInstalled('svelte-kit', ['sync'])],
	['formatting', () => runInstalled('prettier', ['--check', '--log-level', 'warn', '.'])],
	['lint', () => runInstalled('eslint', ['.'])],
	['import rule', () => runInstalled('depcruise', ['src', '--output-type', 'err'])],
	[
		'no circle between folders',
		() =>
			runInstalled('depcruise', [
				...['src', '--output-type', 'err'],
				...['--config', '.dependency-cruiser.folders.cjs']
			])
	],
	['unused code', () => runInstalled('knip', [])],
	['types', () => runInstalled('svelte-check', ['--threshold', 'warning', '--output', 'human'])],
	['unit tests', () => runInstalled('vitest', ['run'])],
	['build', build],
	[
		'browser tests',
		() =>
			existsSync(join(root, 'build', 'workers', 'worker.js')) &&
			runInstalled('playwright', ['test'])
	]
];

const failed = steps.filter(([name, step]) => {
	console.log(`\n— ${name}`);
	return !step();
});
const { passed, failed: failures } = countTests(reports);
if (failed.length > 0) console.log(`\nnot passed: ${failed.map(([name]) => name).join(', ')}`);
console.log(`\n${passed} passed, ${failures} failed`);
process.exitCode = failed.length > 0 || failures > 0 || passed === 0 ? 1 : 0;
