import fc from 'fast-check';
import { keepingOf } from '../storage/classes/keeping.ts';
import type { ClassRule } from '../storage/classes/storage-class.ts';
import { USUAL_TIERS } from '../storage/holders/choose-holder.ts';
import { dearest } from './next-pile.ts';
import { describe, expect, test } from 'vitest';
import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import { expand } from '../checklist/versions/expand.ts';
import {
	afterTaking,
	judgePileCard,
	MOST_CHOICES,
	slotsByVersion,
	type PileChoice,
	type PileState
} from './judge-pile-card.ts';
import { readPileRun } from './read-pile-run.ts';
import { CONDITIONS } from '../copies/condition.ts';
import { fillSlots } from '../goal/fill-slots.ts';
import { indexPile } from './pile-index.ts';
import { made, rival, year } from './pile.fixture.ts';

const index = indexPile([year('1994'), year('1995'), rival]);
const keptBy = (...classes: ClassRule[]) =>
	keepingOf({ classes, tiers: USUAL_TIERS, currency: 'EUR' });
const state: PileState = { slots: new Map(), owned: new Map(), keeping: keptBy() };

describe('judgePileCard', () => {
	const slot = (version: string, heldRank: number | null, set = 1) => ({
		key: `${version}#${set}`,
		set,
		goal: 'G',
		versions: [version],
		leastRank: 0,
		heldRank
	});
	const choices = (line: string, more: Partial<PileState>) =>
		judgePileCard(index, line, { ...state, ...more }).choices;

	test('the set of the card before, what is wanted, what is owned, the release used last: in this order', () => {
		const order = (more: Partial<PileState>) =>
			choices('1', more).map(({ match }) => match.version.key);
		expect(order({})[0]).toBe('l-1994/base-1');
		expect(order({ owned: new Map([['moths/base-1', 2]]) })[0]).toBe('moths/base-1');
		const wanted = {
			slots: slotsByVersion([slot('l-1995/dogs-1', null)]),
			owned: new Map([['moths/base-1', 2]])
		};
		expect(order(wanted).slice(0, 2)).toEqual(['l-1995/dogs-1', 'moths/base-1']);
		expect(
			order({ ...wanted, before: { release: 'l-1995', section: 'base' } }).slice(0, 3)
		).toEqual(['l-1995/base-1', 'l-1995/dogs-1', 'moths/base-1']);
		expect(
			choices('1', { ...wanted, before: { release: 'l-1995', section: 'base' } })[1]?.reasons
		).toEqual(['same release as the card before', 'wanted for G']);
	});

	test('a finish that is typed counts more than a word of a title', () => {
		const nets = made({
			release: { key: 'nets', name: 'Nets', maker: 'M', year: '1991' },
			sections: [{ name: 'Base', cards: [{ number: '27', title: 'Brass net' }] }]
		});
		const { choices: found } = judgePileCard(indexPile([nets, year('1994')]), '27 brass', {
			...state,
			owned: new Map([['nets/base-27', 3]])
		});
		expect(found.map(({ match }) => match.version.key)).toEqual([
			'l-1994/base-27~brass',
			'nets/base-27'
		]);
	});

	const pileOf = (line: string, more: Partial<PileState>) => {
		const [first] = choices(line, more);
		return `${first?.verdict.kind}: ${first?.pile.name}; ${first?.pile.why}`;
	};

	test('the verdict, and the pile: a class, a goal with its set, spares, not collected', () => {
		expect(pileOf('1 rival', {})).toBe('outside: Not collected; no goal asks for it');
		const full = [slot('moths/base-1', 8), slot('moths/base-1', null, 2)];
		expect(pileOf('1 rival', { slots: slotsByVersion(full) })).toBe(
			'needed: G, set 2; its slot is open'
		);
		expect(pileOf('1 rival mint', { slots: slotsByVersion(full.slice(0, 1)) })).toBe(
			'upgrade: G; it is better than the copy there'
		);
		expect(pileOf('1 rival', { slots: slotsByVersion(full.slice(0, 1)) })).toBe(
			'spare: Spares; every slot for it is filled as well'
		);
		const keeping = keptBy({ name: 'Ada', where: { subjects: ['Ada Hale'] } });
		expect(
			pileOf('1 lamp 1994', { keeping, slots: slotsByVersion([slot('l-1994/base-1', null)]) })
		).toBe('needed: Ada; its subject is Ada Hale');
	});

	test('what no goal takes goes to a friend who wants it, a card each; what is needed does not', () => {
		const wantedBy = new Map([['l-1994/base-1', ['Mara', 'Wren']]]);
		expect(pileOf('1 lamp 1994', { wantedBy })).toBe('outside: For Mara; Mara wants it');
		const [first] = choices('1 lamp 1994', { wantedBy });
		if (!first) throw new RangeError('no choice');
		expect(first.wantedBy).toEqual(['Mara', 'Wren']);
		const after = (count: number) => ({ wantedBy, ...afterTaking(Array(count).fill(first)) });
		expect(pileOf('1 lamp 1994', after(1))).toMatch(/For Wren/);
		expect(pileOf('1 lamp 1994', after(2))).toMatch(/Not collected/);
		const slots = slotsByVersion([slot('l-1994/base-1', null)]);
		expect(pileOf('1 lamp 1994', { wantedBy, slots })).toMatch(/^needed/);
	});

	// ● 20 and up: magnetic case. Common practice, no source.
	test('what a copy is worth puts the card on the pile of its tier, whoever needs it', () => {
		const worth = (valueMinor: number, currency = 'EUR') =>
			new Map([['l-1994/base-1', { valueMinor, currency }]]);
		const [dear] = choices('1 lamp 1994', { worth: worth(2500) });
		expect(dear).toMatchObject({
			worth: { valueMinor: 2500 },
			asks: ['condition', 'value', 'photo']
		});
		expect(pileOf('1 lamp 1994', { worth: worth(2500) })).toBe(
			'outside: best; its value puts it into the tier "best"; a copy is valued at 25.00 EUR'
		);
		expect(pileOf('1 lamp 1994', { worth: worth(99) })).toMatch(/^outside: Not collected/);
		// Other money without a rate says nothing.
		expect(pileOf('1 lamp 1994', { worth: worth(9900, 'JPY') })).toMatch(/^outside: Not/);
		const cheap = { version: 'a', valueMinor: 1, currency: 'EUR' };
		expect(dearest([cheap, { ...cheap, valueMinor: 3 }, { ...cheap, valueMinor: 2 }])).toEqual(
			new Map([['a', { valueMinor: 3, currency: 'EUR' }]])
		);
	});

	test('only what is worth it is asked for in full', () => {
		const asks = (line: string, more: Partial<PileState> = {}) => choices(line, more)[0]?.asks;
		expect(asks('fog 1994')).toEqual([]);
		expect(asks('1 lamp 1994')).toEqual(['condition', 'value', 'photo']);
		expect(asks('1 lamp 1994 nm')).toEqual(['value', 'photo']);
		expect(asks('27 brass 1994', { condition: 'good' })).toEqual(['serial', 'value', 'photo']);
		expect(asks('27 brass 3/50 1994', { condition: 'good' })).toEqual(['value', 'photo']);
		expect(asks('fog 1994', { keeping: keptBy({ name: 'all', where: {} }) })).toContain('photo');
	});

	test('what to watch for: another picture of the number, the same card of another year', () => {
		const [first] = choices('2 1994', {});
		expect(first?.watch).toEqual([
			{ kind: 'variant', text: 'image variation: at night. A moon.' },
			{
				kind: 'other year',
				text: 'Lights 1995 has the same number and title: look which it is'
			}
		]);
		expect(choices('2 at night 1994', {})[0]?.watch).toHaveLength(1);
		expect(choices('silver', {})[0]?.watch).toEqual([]);
	});

	test('more than can be chosen by a key are counted', () => {
		const many = indexPile(
			Array.from({ length: 20 }, (_, i) => ({ ...rival, key: `m${i}`, name: `M ${i}` }))
		);
		const { choices: shown, fitting } = judgePileCard(many, '1', state);
		expect([shown.length, fitting]).toEqual([MOST_CHOICES, 20]);
	});
});

const drawn = fc.array(
	fc.record({
		year: fc.constantFrom('1994', '1995'),
		numbers: fc.uniqueArray(fc.constantFrom('1', '2', 'F1', '2-1', '12a', '3'), { minLength: 1 }),
		brass: fc.boolean()
	}),
	{ minLength: 1, maxLength: 4 }
);

test('for all piles: a number means every card that bears it, a finish those made in it, ranked as is said', () => {
	fc.assert(
		fc.property(
			drawn,
			fc.constantFrom('1', '2', 'f1', '2-1', '12A', '3', '9'),
			fc.boolean(),
			fc.infiniteStream(fc.nat({ max: 2 })),
			(drafts, number, isBrass, chance) => {
				const releases = drafts.map(({ year: of, numbers, brass }, i) =>
					made({
						release: { key: `r${i}`, name: `Set ${i}`, maker: 'M', year: of },
						sections: [
							{ name: 'Base', cards: numbers.map((each) => ({ number: each, title: 'Plate' })) }
						],
						parallels: brass ? [{ name: 'Brass', runs: [{ sections: ['base'] }] }] : []
					})
				);
				const all = releases.flatMap((release) => expand(release));
				const owned = new Map(all.map(({ key }) => [key, chance.next().value]));
				const slots = all.flatMap(({ key }) => {
					const held = chance.next().value;
					return held === 0 ? [] : [slotOf(key, held === 1 ? null : 20)];
				});
				const numberOf = (key: string) =>
					releases
						.flatMap(({ key: release, sections }) =>
							sections.flatMap(({ cards }) =>
								cards.map((card) => ({ at: `${release}/${card.key}`, number: card.number ?? '' }))
							)
						)
						.find(({ at }) => at === key.replace(/~.*/, ''))?.number ?? '';
				const expected = all
					.filter(
						({ key, parallelKey }) =>
							normalCardNumber(numberOf(key)) === normalCardNumber(number) &&
							parallelKey === (isBrass ? 'brass' : null)
					)
					.map(({ key }) => key);
				const { choices, fitting } = judgePileCard(
					indexPile(releases),
					isBrass ? `brass ${number}` : number,
					{ ...state, owned, slots: slotsByVersion(slots) }
				);
				expect(choices.map(({ match }) => match.version.key).sort()).toEqual([...expected].sort());
				expect(fitting).toBe(expected.length);
				const wanted = choices.map(
					({ verdict }) => ['needed', 'upgrade'].indexOf(verdict.kind) >= 0
				);
				expect(wanted).toEqual([...wanted].sort((a, b) => Number(b) - Number(a)));
				for (const { match, verdict } of choices) {
					const its = slots.filter(({ versions }) => versions.includes(match.version.key));
					const isOpen = its.some(({ heldRank }) => heldRank === null);
					expect(verdict.kind).toBe(isOpen ? 'needed' : its.length > 0 ? 'spare' : 'outside');
				}
			}
		),
		{ numRuns: 200 }
	);
});

const slotOf = (version: string, heldRank: number | null, key = version) => ({
	key,
	goal: 'G',
	versions: [version],
	leastRank: 0,
	heldRank
});

// Oracle: the matching. A pile taken card by card, or in runs, fills as many slots as filling them all at once.
test('for all piles: what is taken card by card is what the matching comes to', () => {
	fc.assert(
		fc.property(
			fc.array(fc.tuple(fc.constantFrom(...CONDITIONS), fc.integer({ min: 1, max: 3 })), {
				maxLength: 6
			}),
			fc.integer({ min: 1, max: 5 }),
			(lines, sets) => {
				const version = 'moths/base-1';
				const keys = Array.from({ length: sets }, (_, i) => `s${i}`);
				const open = {
					...state,
					slots: slotsByVersion(keys.map((key) => slotOf(version, null, key)))
				};
				const taken: PileChoice[] = [];
				for (const [condition, count] of lines) {
					const now = { ...open, ...afterTaking(taken), condition };
					const [first] = judgePileCard(index, 'silver', now).choices;
					const run = readPileRun(index, `1x${count}`, { ...now, before: MOTHS }, taken);
					if (!first || !run.ok) throw new RangeError('the card is not found');
					expect(run.value[0]?.verdict).toEqual(first.verdict);
					taken.push(...run.value);
				}
				const copies = lines.map(([condition, quantity], i) => ({
					...{ key: String(i), version, condition, quantity }
				}));
				const slots = keys.map((key) => ({ key, versions: [version], quantity: 1 }));
				const { placements } = fillSlots(slots, copies);
				expect(afterTaking(taken).seated.size).toBe(placements.length);
			}
		),
		{ numRuns: 100 }
	);
});

const MOTHS = { release: 'moths', section: 'base' };
