import { resolveRelease } from '../src/lib/core/checklist/draft/resolve-release.ts';
import type { Release } from '../src/lib/core/checklist/release.ts';

/** A release of so many numbered cards, a tenth of them a subset, with some parallels. */
export function madeUpRelease(cards: number, parallels: number): Release {
	const numbers = Array.from({ length: cards }, (_, i) => i + 1);
	const card = (number: number) => ({ number: String(number), title: `Card ${number}` });
	const outcome = resolveRelease({
		release: { name: 'Bench', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: numbers.filter((number) => number % 10 !== 0).map(card) },
			{
				name: 'Tens',
				kind: 'subset',
				numberedIn: 'base',
				cards: numbers.filter((number) => number % 10 === 0).map(card)
			}
		],
		parallels: Array.from({ length: parallels }, (_, i) => ({
			name: `Finish ${i + 1}`,
			runs: [{ sections: ['base', 'tens'], printRun: 500 - i }]
		}))
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
