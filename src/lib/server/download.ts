/** A file to save, under a name of plain letters. */
export function download(
	content: string | Uint8Array<ArrayBuffer>,
	name: string,
	type: string
): Response {
	return new Response(content, {
		headers: {
			'content-type': typeof content === 'string' ? `${type}; charset=utf-8` : type,
			'content-disposition': `attachment; filename="${name.replace(/[^\w.-]+/g, '-')}"`
		}
	});
}
