/** The lines of an answer, as they come, however they are cut on the way. */
export async function* linesOf(response: Response): AsyncGenerator<string> {
	const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
	let rest = '';
	for (;;) {
		const part = await reader?.read();
		if (!part || part.done) break;
		const lines = (rest + part.value).split('\n');
		rest = lines.pop() ?? '';
		yield* lines;
	}
	if (rest) yield rest;
}
