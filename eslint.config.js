import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** The trade is pure: no clock, chance, network or page in core and formats. */
const impureGlobals = [
	'Date',
	'fetch',
	'process',
	'window',
	'document',
	'navigator',
	'localStorage',
	'setTimeout',
	'setInterval',
	'performance',
	'crypto'
].map((name) => ({ name, message: 'core and formats are pure: take it as an argument' }));

export default ts.config(
	{
		ignores: ['build/', '.svelte-kit/', 'node_modules/', 'drizzle/', 'reports/', 'test-results/']
	},
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			// Nouns name things: a pronoun says nothing of what it stands for.
			'id-denylist': ['error', 'one', 'own', 'there'],
			'@typescript-eslint/no-explicit-any': 'error',
			'@typescript-eslint/ban-ts-comment': 'error',
			'@typescript-eslint/consistent-type-imports': 'error',
			'@typescript-eslint/no-unused-vars': [
				'error',
				{ argsIgnorePattern: '^_', varsIgnorePattern: '^_' }
			]
		}
	},
	{
		// Pages and layouts get the types of their arguments from Svelte, which `svelte-check` sees.
		files: ['src/**/*.ts'],
		// SvelteKit keeps the service worker out of the project: its globals are others.
		ignores: [
			'**/*.test.ts',
			'**/*.svelte.ts',
			'src/routes/**/+{page,layout}*.ts',
			'src/service-worker.ts'
		],
		extends: [ts.configs.strictTypeChecked],
		languageOptions: { parserOptions: { projectService: true } },
		rules: {
			'@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
			// Functions that note a problem and give undefined back end a reading in one line.
			'@typescript-eslint/no-confusing-void-expression': 'off'
		}
	},
	{
		files: ['src/**/*.svelte', 'src/**/*.ts'],
		ignores: ['src/lib/ui/form-actions.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					name: '$app/forms',
					message: 'changes reach the server in turn: take enhance and act from ui/form-actions'
				}
			]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		// Maps here are derived anew and never changed in place, so they need no reactive twin.
		rules: { 'svelte/prefer-svelte-reactivity': 'off' },
		languageOptions: {
			parserOptions: {
				extraFileExtensions: ['.svelte'],
				parser: ts.parser,
				svelteConfig
			}
		}
	},
	{
		files: ['src/lib/core/**/*.ts', 'src/lib/formats/**/*.ts', 'src/lib/schemas/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-globals': ['error', ...impureGlobals],
			'no-restricted-properties': [
				'error',
				{ object: 'Math', property: 'random', message: 'core is pure: take the random source' }
			]
		}
	}
);
