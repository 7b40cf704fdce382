import { defineConfig } from 'vite';

/** The server's workers, built beside the server that SvelteKit builds. */
export default defineConfig({
	build: {
		ssr: 'src/lib/server/workers/worker.ts',
		outDir: 'build/workers',
		emptyOutDir: true,
		copyPublicDir: false,
		target: 'node20'
	}
});
