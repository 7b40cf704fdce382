// What ships with the program and on which terms: every package that runs on the server, and those that are built into its pages.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './program.js';

/** Terms that let the program be passed on with them, as it is: libvips (LGPL) is loaded as a library of its own, unchanged. */
export const ACCEPTED = [
	...['0BSD', 'Apache-2.0', 'BSD-2-Clause', 'BSD-3-Clause', 'BlueOak-1.0.0', 'CC0-1.0', 'ISC'],
	...['LGPL-3.0-or-later', 'MIT', 'OFL-1.1', 'Unlicense']
];

/** What their own package files do not say in the words of SPDX, read in the packages. */
const SAID_ELSEWHERE = new Map([
	['dejavu-fonts-ttf', 'Bitstream-Vera'],
	['png-js', 'MIT']
]);

/** What is built in without an import that names it. */
const BUILT_IN = ['@sveltejs/adapter-node', '@sveltejs/kit', 'daisyui', 'svelte', 'tailwindcss'];

/**
 * @typedef {{ name: string, version: string, licence: string }} Shipped
 * @returns {readonly Shipped[]}
 */
export function readLicences() {
	/** @type {{ packages: Record<string, { version?: string, license?: string, dev?: boolean }> }} */
	const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
	const built = new Set([...BUILT_IN, ...importedPackages()]);
	const shipped = new Map();
	for (const [path, { version = '', license, dev }] of Object.entries(packages)) {
		const name = path.split('node_modules/').at(-1) ?? '';
		if (name === '' || (dev && !built.has(path.replace(/^node_modules\//, '')))) continue;
		const licence = SAID_ELSEWHERE.get(name) ?? license ?? '';
		shipped.set(`${name} ${version}`, { name, version, licence });
	}
	return [...shipped.values()].sort((a, b) => a.name.localeCompare(b.name, 'en'));
}

/** Packages that the program's own sources name, tests left out. */
function importedPackages() {
	const files = readdirSync(join(root, 'src'), { recursive: true, encoding: 'utf8' }).filter(
		(file) => /\.(ts|js|svelte|css)$/.test(file) && !/\.(test|fixture)\.ts$/.test(file)
	);
	return files.flatMap((file) =>
		[
			...readFileSync(join(root, 'src', file), 'utf8').matchAll(
				/(?:from |import ?\(?)['"]([^'".$][^'"]*)['"]/g
			)
		].map(([, path = '']) =>
			path
				.split('/')
				.slice(0, path.startsWith('@') ? 2 : 1)
				.join('/')
		)
	);
}

export function formatLicences(/** @type {readonly Shipped[]} */ shipped) {
	const rows = shipped.map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`);
	return [
		'# Licences of what ships',
		'',
		'Every package that runs on the server, on any system, and those that are built into the pages, by `package-lock.json`.',
		'Written by `npm run licences`; a test holds it. The texts lie in the packages. Jade Binder itself is not licensed yet.',
		'',
		'| package | version | licence |',
		'| --- | --- | --- |',
		...rows,
		''
	].join('\n');
}
