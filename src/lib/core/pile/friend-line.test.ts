import fc from 'fast-check';
import { expect, test } from 'vitest';
import { formatFriendLine, parseFriendLines } from './friend-line.ts';

const words = fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9 ,-]{0,12}[a-z0-9]$/);

test('for all lines: reading what was written gives them back, with their places', () => {
	const lines = fc.array(fc.record({ friend: words, release: words, line: words }));
	fc.assert(
		fc.property(lines, (said) => {
			const read = parseFriendLines(said.map(formatFriendLine).join('\n\n'));
			expect(read).toMatchObject({
				ok: true,
				value: said.map((each, i) => ({ ...each, at: 2 * i + 1 }))
			});
		})
	);
});

test('what says nothing is told with its line, all at once; an entry may hold colons', () => {
	const read = parseFriendLines('Mara\n\nMara: Lights\n: Lights: 5\nMara: Lights: a: 5');
	expect(read.ok ? [] : read.problems.map(({ line }) => line)).toEqual([1, 3, 4]);
	expect(parseFriendLines('Mara: Lights: a: 5')).toMatchObject({ value: [{ line: 'a: 5' }] });
});
