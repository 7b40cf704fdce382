// Counts tests from the reports that the runners wrote themselves.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** @param {string} file */
function read(file) {
	return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
}

/**
 * Tests passed and failed in `unit.json`, `remote.json` (Vitest) and `browser.json` (Playwright) of a folder.
 * A report that is not there counts nothing; a suite that could not be run counts as one failure.
 * @param {string} folder
 */
export function countTests(folder) {
	const counts = ['unit.json', 'remote.json'].map((name) => {
		const unit = read(join(folder, name));
		const broken = unit ? (unit.numFailedTestSuites > 0 && unit.numFailedTests === 0 ? 1 : 0) : 0;
		return {
			passed: unit?.numPassedTests ?? 0,
			failed: (unit?.numFailedTests ?? 0) + broken
		};
	});
	const browser = read(join(folder, 'browser.json'))?.stats;
	counts.push({
		passed: (browser?.expected ?? 0) + (browser?.flaky ?? 0),
		failed: browser?.unexpected ?? 0
	});
	/** @param {'passed' | 'failed'} name */
	const sum = (name) => counts.reduce((all, count) => all + count[name], 0);
	return { passed: sum('passed'), failed: sum('failed') };
}
