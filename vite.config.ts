import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	test: {
		include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
		expect: { requireAssertions: true },
		environment: 'node',
		// Modules hold no state of a test: they are loaded once a worker.
		isolate: false,
		// By default Vitest leaves a core free, which halves it on two.
		maxWorkers: '100%',
		// Properties run hundreds of cases, and the demo is loaded whole; a busy machine may need its time.
		testTimeout: 90_000,
		reporters: [
			'default',
			[
				'json',
				{ outputFile: `reports/${process.env.JADE_TEST_REMOTE === '1' ? 'remote' : 'unit'}.json` }
			]
		]
	}
});
