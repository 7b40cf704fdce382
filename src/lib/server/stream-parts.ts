import type { FilePart } from './file-part.ts';
import { problemResponse } from './problem-document.ts';
import { reasonOf } from './workers/file-task.ts';

/**
 * Answers with a file that is made part by part, each when the one before was taken: it is never in memory as a whole. What goes wrong
 * with the first part is told; later it breaks the file off, so that nobody takes half of it for all.
 */
export async function streamParts(
	make: (from: number) => Promise<FilePart>,
	respond: (file: ReadableStream<Uint8Array>) => Response
): Promise<Response> {
	let part: FilePart | null;
	try {
		part = await make(0);
	} catch (reason) {
		return problemResponse(503, reasonOf(reason));
	}
	const encoder = new TextEncoder();
	return respond(
		new ReadableStream({
			async pull(controller) {
				if (part === null) return;
				controller.enqueue(encoder.encode(part.text));
				const { next } = part;
				part = null;
				if (next === null) controller.close();
				else part = await make(next);
			}
		})
	);
}
