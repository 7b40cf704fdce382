import adapter from '@sveltejs/adapter-node';

/** @type {import('@sveltejs/kit').Config} */
export default {
	compilerOptions: {
		runes: ({ filename }) => (filename.split(/[/\\]/).includes('node_modules') ? undefined : true)
	},
	kit: {
		adapter: adapter({ precompress: true }),
		// Benchmarks are checked with the rest, so that a name that changes is missed there as well.
		typescript: {
			config: (config) => ({ ...config, include: [...config.include, '../bench/**/*.ts'] })
		},
		// Requests that change something are checked in hooks.server.ts, whatever their content type:
		// the built-in check knows form types only, and refuses programs that send no Origin.
		csrf: { trustedOrigins: ['*'] },
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'script-src': ['self', 'wasm-unsafe-eval'],
				'style-src': ['self', 'unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'worker-src': ['self'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};
