import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
	channelFee,
	listingProfit,
	listingState,
	stepsOf,
	type ListingDays,
	type ListingState,
	type ListingStep
} from './listing.ts';
import { listingText, type ListedCard } from './listing-text.ts';

const NEW: ListingDays = {
	listedOn: null,
	soldOn: null,
	sentOn: null,
	paidOn: null,
	returnedOn: null
};
const AFTER: Readonly<Record<ListingStep, Partial<ListingDays>>> = {
	list: { listedOn: 'd' },
	unlist: { listedOn: null },
	sell: { soldOn: 'd' },
	unsell: { soldOn: null, paidOn: null },
	pay: { paidOn: 'd' },
	send: { sentOn: 'd' },
	return: { returnedOn: 'd' }
};

test('for all ways of steps: only what can be done is offered, nothing is sent before it is sold, and a return ends it', () => {
	fc.assert(
		fc.property(fc.array(fc.nat({ max: 20 }), { maxLength: 12 }), (choices) => {
			let days = NEW;
			for (const choice of choices) {
				const steps = stepsOf(listingState(days));
				const step = steps[choice % Math.max(1, steps.length)];
				if (!step) break;
				days = { ...days, ...AFTER[step] };
				if (days.sentOn || days.paidOn) expect(days.soldOn).not.toBeNull();
				if (days.returnedOn) expect(days.sentOn).not.toBeNull();
			}
			if (days.returnedOn) expect(stepsOf(listingState(days))).toEqual([]);
		})
	);
});

test.each<[Partial<ListingDays>, ListingState]>([
	[{}, 'ready'],
	[{ listedOn: 'd' }, 'listed'],
	[{ soldOn: 'd' }, 'sold'],
	[{ soldOn: 'd', paidOn: 'd' }, 'paid'],
	[{ soldOn: 'd', sentOn: 'd' }, 'sent'],
	[{ soldOn: 'd', sentOn: 'd', paidOn: 'd' }, 'done'],
	[{ soldOn: 'd', sentOn: 'd', paidOn: 'd', returnedOn: 'd' }, 'returned']
])('%o is %s', (days, state) => {
	expect(listingState({ ...NEW, ...days })).toBe(state);
});

const MONEY = {
	...{ soldMinor: 1000, chargedMinor: 300, feeMinor: 130, postageMinor: 250 },
	...{ suppliesMinor: 20, costMinor: 400 }
};
test.each<[string, Partial<Record<keyof typeof MONEY, number | null>>, ListingState, object]>([
	['worked by hand', {}, 'done', { netMinor: 900, profitMinor: 500 }],
	[
		'what is not said is nothing',
		{ chargedMinor: null, feeMinor: null },
		'sent',
		{ netMinor: 730 }
	],
	['of unknown cost', { costMinor: null }, 'done', { netMinor: 900, profitMinor: null }],
	['sold at a loss', { soldMinor: 100 }, 'done', { profitMinor: -400 }],
	['returned: postage and supplies are lost', {}, 'returned', { netMinor: -270, profitMinor: -270 }]
])('profit, %s', (_, changed, state, holds) => {
	expect(listingProfit({ ...MONEY, ...changed }, state)).toMatchObject(holds);
});

test('a channel takes its part and its fixed fee; of nothing it takes nothing', () => {
	const market = { name: 'market', feePercent: 12.5, feeMinor: 30 };
	expect([0, 100, 1000].map((minor) => channelFee(market, minor))).toEqual([0, 43, 155]);
});

const card = (number: string | null, more: Partial<ListedCard> = {}): ListedCard => ({
	...{ number, title: 'Quiet Harbour Light', group: 'Base', quality: 'near mint', house: null },
	...{ certificate: null, serial: null, quantity: 1, ...more }
});
test('texts: a single says state, serial and certificate; a lot folds its numbers and counts doubles and states', () => {
	expect(
		listingText('single', 'Harbour Lights 1994', [
			card('27', {
				...{ group: 'Base, Brass', quality: '8.5', house: 'Lantern Room' },
				...{ certificate: 'LR 1', serial: '3/10' }
			})
		])
	).toEqual({
		title: 'Harbour Lights 1994, 27 Quiet Harbour Light, Base, Brass, Lantern Room 8.5',
		text: '27 Quiet Harbour Light, from Harbour Lights 1994 (Base, Brass).\nState: Lantern Room 8.5.\nSerial number 3/10.\nCertificate LR 1.'
	});
	const lot = listingText('lot', 'Gulls', [
		...['1', '2', '3', '9'].map((number) => card(number)),
		card('9', { quality: 'raw' }),
		card(null, { title: 'The long watch', group: 'Storm Log' })
	]);
	expect(lot.title).toBe('Gulls, lot of 6 cards, Base and Storm Log');
	expect(lot.text.split('\n')).toEqual([
		'A lot of 6 cards from Gulls.',
		'Base: 1–3, 9 (9 × 2).',
		'Storm Log: The long watch.',
		'State: 5 near mint, 1 state not said.'
	]);
	const { title } = listingText('set', 'A release of a very long name that somebody gave it once', [
		card('1', { group: 'A section with a name of some length' }),
		card('2', { group: 'A section with a name of some length' })
	]);
	expect(title.length).toBeLessThanOrEqual(80);
	expect(title.endsWith('…')).toBe(true);
	expect(() => listingText('lot', 'Gulls', [])).toThrow(/no card/);
});
