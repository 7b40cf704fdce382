import { describe, expect, test } from 'vitest';
import { pageKindOf } from './page-kind.ts';
import { findNumber, neighbour } from './spread.ts';

describe('neighbour', () => {
	const open = { left: 2, right: 3 };
	const kinds: Readonly<Record<number, string>> = { 2: '3x3', 3: '2x4' };
	const kindOf = (page: number) => pageKindOf(kinds[page] ?? '3x3');
	// Pockets of three by three: 0 1 2 / 3 4 5 / 6 7 8; of two by four: 0–3 / 4–7.
	test.each([
		['ArrowRight', 2, 3, { page: 2, pocket: 4 }],
		['ArrowLeft', 2, 4, { page: 2, pocket: 3 }],
		['ArrowUp', 2, 4, { page: 2, pocket: 1 }],
		['ArrowDown', 2, 4, { page: 2, pocket: 7 }],
		['ArrowRight', 2, 5, { page: 3, pocket: 4 }],
		['ArrowLeft', 3, 4, { page: 2, pocket: 5 }],
		// The lowest row of the left page meets the lowest of the right one.
		['ArrowRight', 2, 8, { page: 3, pocket: 4 }],
		['ArrowUp', 2, 1, null],
		['ArrowDown', 3, 5, null],
		['ArrowLeft', 2, 3, null],
		['ArrowRight', 3, 7, null],
		['Enter', 2, 0, null]
	] as const)('%s from page %i, pocket %i', (key, page, pocket, to) => {
		expect(neighbour(open, kindOf, { page, pocket }, key)).toEqual(to);
	});
});

describe('findNumber', () => {
	const pages = [
		{ page: 1, pockets: ['a', null, 'b'] },
		{ page: 2, pockets: ['c'] },
		{ page: 3, pockets: ['d'] }
	];
	const numbers: Readonly<Record<string, string>> = { a: '7', b: 'K8', c: '7' };
	const numberOf = (slot: string) => numbers[slot] ?? null;
	test.each([
		['7', 0, { page: 1, pocket: 0 }],
		['7', 1, { page: 2, pocket: 0 }],
		// Behind the last one it begins again.
		['7', 2, { page: 1, pocket: 0 }],
		[' k8 ', 0, { page: 1, pocket: 2 }],
		['9', 0, null],
		['', 0, null]
	])('%j behind page %i', (wanted, behind, at) => {
		expect(findNumber(pages, wanted, numberOf, behind)).toEqual(at);
	});
});
