import { strToU8, zipSync } from 'fflate';
import { expect, test } from 'vitest';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import type { ReleaseDraft } from '../core/checklist/draft/draft.ts';
import { draftOfRelease } from '../core/checklist/draft/draft-of-release.ts';
import { readKnowledge, writeKnowledge, type ReadKnowledge } from './knowledge-file.ts';

function release(draft: Partial<ReleaseDraft> & Pick<ReleaseDraft, 'release'>) {
	const outcome = resolveRelease({
		sections: [{ name: 'Base', cards: [{ number: '1', title: 'One' }, { number: '2' }] }],
		...draft
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const HASH = 'ab'.repeat(32);
const SEA = release({ release: { key: 'sea', name: 'Sea', maker: 'M', year: '1994' } });
const FILE: ReadKnowledge = {
	...{ from: 'Mara', on: '1996-10-06', release: SEA },
	files: new Map([[HASH, new Uint8Array([1, 2, 3])]]),
	knowledge: {
		checklist: draftOfRelease(SEA),
		pictures: [{ of: 'sea/base-1', side: 'back', hash: HASH, source: 'a fair' }],
		prices: [
			{
				...{ version: 'sea/base-2', kind: 'asking', lowMinor: 5, highMinor: 9, currency: 'EUR' },
				...{ saidOn: '1996-01-01', grade: 8.5, house: 'H' }
			}
		],
		lookAlikes: [{ name: 'Pair', keys: ['sea/base-1', 'other/base-1'] }]
	}
};
const written = () => writeKnowledge(FILE);
const zip = (document: unknown, more: Record<string, Uint8Array> = {}) =>
	zipSync({ 'knowledge.json': strToU8(JSON.stringify(document)), ...more });
const DOCUMENT = {
	...{ format: 'jade-knowledge', formatVersion: 1, from: 'M', on: '1996-10-06' },
	checklist: {
		...{ format: 'jade-checklist', formatVersion: 2 },
		release: { name: 'Sea', maker: 'M', year: '1994' },
		sections: [{ name: 'Base', cards: [] }]
	}
};

test('reading what was written gives the same, bytes of pictures included', () => {
	expect(readKnowledge(written())).toEqual({ ok: true, notes: [], value: FILE });
});

test('what was made here by itself keeps its keys: of the release, its parts, prices and pictures', () => {
	const here = release({ release: { key: 'here', name: 'Sea', maker: 'M', year: '1994' } });
	const read = readKnowledge(written(), () => here);
	expect(read).toMatchObject({
		ok: true,
		value: {
			release: { key: 'here' },
			knowledge: {
				checklist: { release: { key: 'here' } },
				pictures: [{ of: 'here/base-1' }],
				prices: [{ version: 'here/base-2' }],
				lookAlikes: [{ keys: ['here/base-1', 'other/base-1'] }]
			}
		}
	});
});

test.each<[string, Uint8Array, RegExp]>([
	['nothing', new Uint8Array(), /no zip/],
	['no zip', strToU8('release,cards'), /no zip/],
	['half a file', written().slice(0, 200), /no zip|damaged/],
	['another zip', zipSync({ 'a.txt': strToU8('a') }), /no knowledge\.json/],
	['no JSON', zipSync({ 'knowledge.json': strToU8('{') }), /no JSON/],
	['another format', zip({ ...DOCUMENT, format: 'jade-checklist' }), /format/],
	['no name', zip({ ...DOCUMENT, from: '' }), /from/],
	[
		'no section',
		zip({ ...DOCUMENT, checklist: { ...DOCUMENT.checklist, sections: [] } }),
		/sections/
	],
	['what is owned', zip({ ...DOCUMENT, holdings: [] }), /holdings/],
	[
		'a picture that is not there',
		zip({ ...DOCUMENT, pictures: [{ of: 'x', side: 'front', hash: HASH }] }),
		/is not in the file/
	],
	[
		'a name that leads out of its folder',
		zip(
			{ ...DOCUMENT, pictures: [{ of: 'x', side: 'front', hash: '../../x' }] },
			{ '../../x': new Uint8Array([1]) }
		),
		/hash/
	],
	[
		'more than it says',
		zip(
			DOCUMENT,
			Object.fromEntries(Array.from({ length: 600 }, (_, i) => [`p${i}`, new Uint8Array(1)]))
		),
		/more than 500 pictures/
	]
])('%s is refused in words', (_, bytes, message) => {
	const read = readKnowledge(bytes);
	expect(read.ok).toBe(false);
	if (!read.ok) expect(JSON.stringify(read.problems)).toMatch(message);
});
