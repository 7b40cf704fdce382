import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	test: {
		include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
		expect: { requireAssertions: true },
		environment: 'node',
		// Properties run hundreds of cases; a busy machine may need its time.
		testTimeout: 30_000,
		reporters: ['default', ['json', { outputFile: 'reports/unit.json' }]]
	}
});
