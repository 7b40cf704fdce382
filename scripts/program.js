// Steps that the commands share. Node's own modules only: they run before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');

/** What the build is made of. */
const SOURCES = [
	'src',
	'demo',
	'static',
	'package-lock.json',
	'svelte.config.js',
	'vite.config.ts',
	'vite.workers.config.ts',
	'vite.bundled.ts',
	'tsconfig.json'
];

/**
 * When a file, or the newest file below a folder, was last changed; 0 where there is none.
 * @param {string} path
 * @returns {number}
 */
function changedAt(path) {
	if (!existsSync(path)) return 0;
	const { mtimeMs } = statSync(path);
	if (!statSync(path).isDirectory()) return mtimeMs;
	return readdirSync(path).reduce(
		(newest, name) => Math.max(newest, changedAt(join(path, name))),
		mtimeMs
	);
}

/**
 * Runs a command in the project's folder with its output shown; returns whether it went well.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {Record<string, string>} [env]
 */
export function run(command, args, env = {}) {
	const { status, error } = spawnSync(command, args, {
		cwd: root,
		stdio: 'inherit',
		env: { ...process.env, ...env },
		shell: process.platform === 'win32'
	});
	if (error) console.error(`${command}: ${error.message}`);
	return status === 0;
}

/** Runs a program that is installed in the project. */
export function runInstalled(
	/** @type {string} */ name,
	/** @type {readonly string[]} */ args,
	/** @type {Record<string, string>} */ env = {}
) {
	return run(join(root, 'node_modules', '.bin', name), args, env);
}

/** The same beside others: what it says is printed when it has ended, with a line above it. */
export function runAside(
	/** @type {string} */ title,
	/** @type {string} */ name,
	/** @type {readonly string[]} */ args
) {
	/** @type {Buffer[]} */
	const said = [];
	const child = spawn(join(root, 'node_modules', '.bin', name), args, {
		cwd: root,
		shell: process.platform === 'win32'
	});
	child.stdout.on('data', (part) => said.push(part));
	child.stderr.on('data', (part) => said.push(part));
	return /** @type {Promise<boolean>} */ (
		new Promise((done) => {
			child.once('error', (error) => said.push(Buffer.from(error.message)));
			child.once('close', (status) => {
				console.log(`\n— ${title}\n${Buffer.concat(said).toString()}`);
				done(status === 0);
			});
		})
	);
}

/** Installs the packages that the lock file names, when they are not there or older than it. */
export function install() {
	const installed = changedAt(join(root, 'node_modules', '.package-lock.json'));
	if (installed >= changedAt(join(root, 'package-lock.json'))) return;
	if (!run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund'])) {
		throw new Error('the packages could not be installed');
	}
}

/** Builds the program when the build is older than its sources. */
export function build() {
	const built = changedAt(join(root, 'build', 'workers', 'worker.js'));
	if (SOURCES.every((source) => changedAt(join(root, source)) <= built)) return true;
	return runInstalled('vite', ['build', '--logLevel', 'warn']) && buildWorkers();
}

/** Builds what the server's worker threads run; last, because building the server empties the folder. */
function buildWorkers() {
	return runInstalled('vite', ['build', '-c', 'vite.workers.config.ts', '--logLevel', 'warn']);
}

/** Serves until it is told to stop; signals are passed on, and its exit code is ours. */
export function serve(/** @type {Record<string, string>} */ env = {}) {
	const child = spawn(process.execPath, [join(root, 'scripts', 'serve.js')], {
		stdio: 'inherit',
		env: { ...process.env, ...env }
	});
	for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM'])) {
		process.on(signal, () => child.kill(signal));
	}
	child.on('exit', (code) => process.exit(code ?? 0));
}
