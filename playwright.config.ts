import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: 'tests',
	testMatch: '**/*.test.ts',
	globalSetup: './tests/load-demo.ts',
	workers: 2,
	fullyParallel: true,
	timeout: 60_000,
	expect: { timeout: 10_000 },
	retries: 0,
	outputDir: 'test-results',
	reporter: [['list'], ['json', { outputFile: 'reports/browser.json' }]],
	use: {
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
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
