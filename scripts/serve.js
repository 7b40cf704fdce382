// Serves the built program on HOST and PORT, and says when it is ready.
import compression from 'compression';
import http from 'node:http';
import { dirname, resolve } from 'node:path';
import process from 'node:process';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const host = process.env.HOST || '127.0.0.1';
const port = Number(process.env.PORT || 4173);
// Behind a proxy that ends TLS, JADE_PROTOCOL=https tells the program its own address.
const protocol = process.env.JADE_PROTOCOL === 'https' ? 'https' : 'http';

process.env.JADE_ROOT ??= root;
process.env.BODY_SIZE_LIMIT ??= '64M';
// Without ORIGIN the program takes its address from Host and this header, so that it works at any
// of its addresses; the header is set here, never taken from outside.
process.env.PROTOCOL_HEADER = 'x-jade-protocol';
delete process.env.ORIGIN;

// What is told while it is worked out (NDJSON, events) goes out line by line, so it is not packed.
const compress = compression({
	filter: (request, response) =>
		!/ndjson|event-stream/.test(String(response.getHeader('content-type'))) &&
		compression.filter(request, response)
});
const { handler } = await import(pathToFileURL(resolve(root, 'build/handler.js')).href).catch(
	(error) => {
		// What whoever starts the server can mend is said in words (`StartProblem`).
		console.error(error.name === 'StartProblem' ? `${error.message}.\n${error.remedy}` : error);
		process.exit(1);
	}
);
const server = http.createServer((request, response) => {
	request.headers['x-jade-protocol'] = protocol;
	compress(request, response, () => handler(request, response));
});
server.on('error', (error) => {
	console.error(`cannot listen on ${host}:${port}: ${error.message}`);
	process.exit(1);
});
server.listen(port, host, () => {
	const address = server.address();
	const actual = typeof address === 'object' && address ? address.port : port;
	console.log(`ready http://${host.includes(':') ? `[${host}]` : host}:${actual}`);
});

// A connection that was quiet for five seconds, Node's own limit, was closed at the moment in which its
// next request came; browsers and proxies keep theirs for about a minute.
server.keepAliveTimeout = 75_000;

/** What is under way is brought to its end and into the one file of the collection (`hooks.server.ts`). */
const MOST_MS_TO_END = 15_000;
for (const signal of ['SIGINT', 'SIGTERM']) {
	process.once(signal, () => {
		server.close();
		server.closeAllConnections();
		process.emit('sveltekit:shutdown', signal);
		setTimeout(() => process.exit(1), MOST_MS_TO_END).unref();
	});
}
