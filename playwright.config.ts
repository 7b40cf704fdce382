import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: 'tests',
	testMatch: '**/*.test.ts',
	globalSetup: './tests/load-demo.ts',
	// One more than there are cores: a test waits for its server or its browser a seventh of its time.
	workers: 3,
	fullyParallel: true,
	// No figure is asserted by these: a busy machine may need three times as long as an idle one.
	timeout: 150_000,
	expect: { timeout: 25_000 },
	retries: 0,
	outputDir: 'test-results',
	reporter: [['list'], ['json', { outputFile: 'reports/browser.json' }]],
	use: {
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
		// Only the test of it needs what a browser keeps of the pages.
		serviceWorkers: 'block',
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	}
});
