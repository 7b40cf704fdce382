// `npm run bench:scale`: half a million copies in the running production server; how long views, work and files take.
import { createServer } from 'vite';
import { build, install } from './program.js';

install();
if (!build()) process.exit(1);
const vite = await createServer({ server: { middlewareMode: true }, logLevel: 'warn' });
try {
	const { benchScale } = await vite.ssrLoadModule('/bench/bench-scale.ts');
	await benchScale();
} finally {
	await vite.close();
}
