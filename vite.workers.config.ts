import { defineConfig } from 'vite';
import { IN_ONE_PIECE } from './vite.bundled.ts';

/** The server's workers, built beside the server that SvelteKit builds. */
export default defineConfig({
	ssr: IN_ONE_PIECE,
	build: {
		ssr: 'src/lib/server/workers/worker.ts',
		outDir: 'build/workers',
		emptyOutDir: true,
		copyPublicDir: false,
		target: 'node20'
	}
});
