/** The house (docs/architecture.md): routes → ui, server → formats, schemas → core. */
const outside = (from, to, comment) => ({
	name: `${from}-stays-inside`,
	comment,
	severity: 'error',
	from: { path: `^src/lib/${from}/`, pathNot: '\\.test\\.ts$' },
	to: { path: to }
});

module.exports = {
	forbidden: [
		outside(
			'core',
			'^(src/(?!lib/core/)|node_modules/(svelte|@sveltejs|drizzle-orm|@libsql|ajv|typebox)|node:|fs$|path$)',
			'core is the trade: it imports core only'
		),
		outside(
			'(formats|schemas)',
			'^(src/(?!lib/(core|formats|schemas)/)|node_modules/(svelte|@sveltejs|drizzle-orm|@libsql)|node:|fs$|path$)',
			'formats and schemas know files and shapes, not the database or the page'
		),
		outside('server', '^src/(routes|lib/ui|lib/workers)/', 'the server does not know views'),
		outside('ui', '^src/(routes|lib/server)/', 'components show; routes fetch'),
		outside('workers', '^src/(routes|lib/(server|ui))/', 'workers run core and formats'),
		{
			name: 'no-circles',
			severity: 'error',
			from: { path: '^src' },
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		},
		{
			name: 'private-parts-stay-private',
			comment: 'compute routines are reached by the registry, not file by file',
			severity: 'error',
			from: { path: '^src/routes/' },
			to: { path: '^src/lib/server/database/tables/' }
		}
	],
	options: {
		tsConfig: { fileName: 'tsconfig.json' },
		tsPreCompilationDeps: true,
		doNotFollow: { path: 'node_modules' },
		exclude: { path: '\\.svelte-kit|\\$types' },
		enhancedResolveOptions: { extensions: ['.ts', '.js', '.svelte'] }
	}
};
