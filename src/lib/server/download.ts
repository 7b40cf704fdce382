/** A file to save, under a name of plain letters. */
export function download(
	content: string | Uint8Array<ArrayBuffer> | ReadableStream<Uint8Array>,
	name: string,
	type: string
): Response {
	return new Response(content, {
		headers: {
			'content-type': type.startsWith('text/') ? `${type}; charset=utf-8` : type,
			'content-disposition': `attachment; filename="${name.replace(/[^\w.-]+/g, '-')}"`
		}
	});
}
