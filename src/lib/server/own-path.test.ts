import { expect, test } from 'vitest';
import { ownPath } from './own-path.ts';

const page = new URL('http://localhost:4173/theme');

test.each([
	['/', '/'],
	['/goals/3?view=wall', '/goals/3?view=wall'],
	['/search?q=%22', '/search?q=%22'],
	['//evil.example', '/'],
	['/\\evil.example', '/'],
	['/\t/evil.example', '/'],
	['/\n/evil.example', '/'],
	['/.//evil.example', '/'],
	['/a\r\nset-cookie: x', '/aset-cookie:%20x'],
	['https://evil.example', '/'],
	['goals', '/'],
	['', '/']
])('%j leads to %j', (typed, path) => {
	expect(ownPath(typed, page)).toBe(path);
});
