import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '../scripts/start-server.js';
import { NOW } from './program.ts';

/** Loads the demo once: tests run on copies of its folder. */
export default async function loadDemo(): Promise<() => void> {
	const folder = mkdtempSync(join(tmpdir(), 'jade-demo-'));
	const server = await startServer({ JADE_DATA: folder, JADE_NOW: NOW, JADE_DEMO: '1' });
	await server.stop();
	process.env.JADE_TEST_DEMO = folder;
	return () => rmSync(folder, { recursive: true, force: true });
}
