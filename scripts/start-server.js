// Starts the built program on a free port, for the browser tests and the pictures.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import process from 'node:process';
import { root } from './program.js';

/**
 * Resolves when the server has said that it is ready.
 * @param {Record<string, string>} env
 * @param {readonly string[]} before a program, with its arguments, that starts it
 * @returns {Promise<{ url: string, pid: number, stop: () => Promise<void>, output: () => string }>}
 */
export function startServer(env, before = []) {
	const [program = '', ...args] = [...before, process.execPath, join(root, 'scripts', 'serve.js')];
	const child = spawn(program, args, {
		env: { ...process.env, HOST: '127.0.0.1', PORT: '0', ...env }
	});
	let output = '';
	const gone = new Promise((resolve) => child.once('exit', resolve));
	return new Promise((resolve, reject) => {
		const read = (/** @type {Buffer} */ chunk) => {
			output += String(chunk);
			const url = /^ready (http:\S+)$/m.exec(output)?.[1];
			if (!url) return;
			resolve({
				url,
				pid: child.pid ?? 0,
				output: () => output,
				async stop() {
					child.kill('SIGTERM');
					await gone;
				}
			});
		};
		child.stdout.on('data', read);
		child.stderr.on('data', read);
		child.once('exit', (code) => reject(new Error(`the server ended with ${code}:\n${output}`)));
	});
}
