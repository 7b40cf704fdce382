/** No circle between folders, types and Svelte files included; tests may reach where they like. */
// eslint-disable-next-line @typescript-eslint/no-require-imports -- a CommonJS configuration takes in the other
const house = require('./.dependency-cruiser.cjs');

module.exports = {
	forbidden: [
		{
			name: 'no-folder-circles',
			comment: 'two folders that need each other are one, or a third is missing below them',
			severity: 'error',
			scope: 'folder',
			from: { path: '^src/' },
			to: { circular: true }
		}
	],
	options: {
		...house.options,
		exclude: { path: '\\.svelte-kit|\\$types|\\.(test|fixture|arbitrary|model)\\.' }
	}
};
