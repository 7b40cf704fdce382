import { expect, test } from 'vitest';
import { localeOf } from './locale.ts';

// RFC 9110, section 12.5.4: Accept-Language; its example is the first.
test.each([
	['da, en-gb;q=0.8, en;q=0.7', 'da'],
	['de-DE,de;q=0.9,en;q=0.8', 'de-DE'],
	['xx-none, de-CH;q=0.8, fr;q=0.9', 'fr'],
	['*', 'en-GB'],
	['', 'en-GB'],
	[null, 'en-GB'],
	['not a language, ;;q=x', 'en-GB'],
	['en-US;q=0, nl', 'nl']
])('%j is answered in %s', (asked, locale) => {
	expect(localeOf(asked)).toBe(locale);
});
