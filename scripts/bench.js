// `npm run bench`: times the heavy computations, each beside a baseline of the same run.
import { createServer } from 'vite';
import { install } from './program.js';

install();
const vite = await createServer({ server: { middlewareMode: true }, logLevel: 'warn' });
try {
	const { runBench } = await vite.ssrLoadModule('/bench/run-bench.ts');
	await runBench();
} finally {
	await vite.close();
}
