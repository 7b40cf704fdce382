/** A text file to save, under a name of plain letters. */
export function download(text: string, name: string, type: string): Response {
	return new Response(text, {
		headers: {
			'content-type': `${type}; charset=utf-8`,
			'content-disposition': `attachment; filename="${name.replace(/[^\w.-]+/g, '-')}"`
		}
	});
}
