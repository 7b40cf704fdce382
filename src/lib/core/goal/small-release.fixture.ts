import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';

const numbers = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({ number: String(from + i) }));

function made(): Release {
	const outcome = resolveRelease({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [...numbers(1, 10), ...numbers(14, 20)] },
			{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: numbers(11, 13) },
			{ name: 'Log', kind: 'insert', cards: [{ title: 'Fog, again' }, { title: 'Bread' }] }
		],
		parallels: [
			{ key: 'brass', name: 'Brass', runs: [{ sections: ['base', 'sub'] }] },
			{ key: 'ten', name: 'Ten', runs: [{ sections: ['sub'], printRun: 10 }] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

/** 17 base, 3 subset and 2 insert cards; Brass on 20, Ten on 3. */
export const release = made();

/** A copy of each card, by key. */
export const copies = (cards: readonly string[]) =>
	cards.map((card) => ({ key: card, version: `r-1994/${card}`, quantity: 1 }));
