import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { IN_ONE_PIECE } from './vite.bundled.ts';

/**
 * What four views or more share is one file: by itself the bundler made a hundred, half of them below 500 bytes, and a view asked
 * for up to 53 of them. Now for 14, and 3 to 15 kB more on the first visit.
 */
const FEW_CHUNKS = {
	groups: [{ name: 'shared', minShareCount: 4 }]
};

export default defineConfig(({ command }) => ({
	plugins: [tailwindcss(), sveltekit()],
	ssr: command === 'build' ? IN_ONE_PIECE : {},
	environments: {
		client: { build: { rolldownOptions: { output: { codeSplitting: FEW_CHUNKS } } } }
	},
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
}));
