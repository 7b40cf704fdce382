import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { secondPass } from '../telling/second-pass.ts';
import { choiceOfLaid, laidCard } from './laid-card.ts';
import { keepingOf } from '../storage/classes/keeping.ts';
import { judgePileCard, slotsByVersion, type PileState } from './judge-pile-card.ts';
import { indexPile } from './pile-index.ts';
import { questionOnPile } from './pile-question.ts';

function made() {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'Gulls', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				tells: [{ feature: 'edge', value: 'white' }],
				cards: ['1', '2', '3', '4'].map((number) => ({ number, title: `Card ${number}` }))
			}
		],
		parallels: [
			{ name: 'Slate', runs: [{ sections: ['base'] }], tells: [{ feature: 'edge', value: 'grey' }] }
		],
		variants: [
			{
				kind: 'image variation',
				name: 'dusk',
				cards: ['1'],
				tells: [{ feature: 'sky', value: 'red', otherwise: 'blue' }]
			},
			{ kind: 'short print', name: 'short print', cards: ['2'] },
			{ kind: 'piece', name: 'tile', cards: ['3'] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const release = made();
const index = indexPile([release]);
const open = (goals: readonly string[]): PileState => ({
	slots: slotsByVersion(
		goals.map((version) => ({
			key: version,
			goal: 'G',
			versions: [version],
			leastRank: 0,
			heldRank: null
		}))
	),
	owned: new Map(),
	keeping: keepingOf({ classes: [], tiers: [], currency: 'EUR' })
});
function choiceOf(line: string, state: PileState) {
	const [choice] = judgePileCard(index, line, state).choices;
	if (!choice) throw new RangeError(`no card for "${line}"`);
	return choice;
}
const asked = (line: string, goals: readonly string[] = []) =>
	questionOnPile(index, choiceOf(line, open(goals)), open(goals))?.question?.feature;

describe('what is asked of a card on the pile', () => {
	test.each<[string, string, readonly string[], string | undefined]>([
		['another picture may be it', '1', [], 'edge'],
		['no goal wants either finish: it does not matter', '4', [], undefined],
		['a goal wants the other finish', '4', ['r/base-4~slate'], 'edge'],
		['a goal wants both: either goes there', '4', ['r/base-4', 'r/base-4~slate'], undefined]
	])('%s', (_, line, goals, feature) => {
		expect(asked(line, goals)).toBe(feature);
	});

	test('a finish that was typed is taken as looked at, a variant too', () => {
		expect(asked('1 slate', ['r/base-1~slate'])).toBeUndefined();
		expect(asked('1 dusk')).toBeUndefined();
	});
});

test.each([
	['1', true],
	['1 slate', false],
	['1 dusk', false],
	['2', false],
	['3', false],
	['4', false]
])(
	'%s is kept as not looked at: %s; then, and only then, the second pass finds it',
	(line, isUnseen) => {
		const state = open([]);
		const laid = laidCard(choiceOf(line, state));
		expect(laid.isPrintingUnseen ?? false).toBe(isUnseen);
		const copy = { key: 'c', version: laid.version, quantity: 1, place: null };
		const found = secondPass([release], [{ ...copy, isPrintingUnseen: true }]);
		expect(found).toHaveLength(isUnseen ? 1 : 0);
		expect(laidCard(choiceOf(line, state), true).isPrintingUnseen).toBeUndefined();
		// As it was laid down, it is taken up again.
		const again = choiceOfLaid(index, laid);
		expect(again && laidCard(again)).toEqual(laid);
		expect(choiceOfLaid(index, { ...laid, version: 'gone/base-1' })).toBeNull();
	}
);
