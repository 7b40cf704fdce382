/** Whether a code point lies in ranges as style sheets write them: "U+0000-00FF,U+0131". */
export function rangeTest(ranges: string): (codePoint: number) => boolean {
	const parts = ranges.split(',').map((range) => {
		const [from = '', to = from] = range.trim().replace(/^U\+/i, '').split('-');
		return [parseInt(from, 16), parseInt(to, 16)] as const;
	});
	return (codePoint) => parts.some(([from, to]) => codePoint >= from && codePoint <= to);
}
