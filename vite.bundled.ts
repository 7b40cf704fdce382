/**
 * What the built server loads from `node_modules`: packages with native parts or files beside their code. All others are built in,
 * cut to what is used: a server, or a worker, is there in a third of the time.
 */
export const IN_ONE_PIECE = {
	noExternal: true,
	external: ['@libsql/client', 'sharp', '@node-rs/argon2', 'pdfkit', 'tinypool']
} as const;
