import { sql } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { HOLDER_RULES } from '../../places/holder-tiers.ts';
import { readKeeping } from '../../places/keeping.ts';
import { setExchangeRates } from '../../preferences/exchange-rates.ts';
import { setHolderRules, setHolders } from './change-holders.ts';
import { nameTierMoves } from './name-tier-moves.ts';
import { readTierMoves } from './read-tier-moves.ts';
import { homelessCopies } from '../../places/homeless.ts';
import { readBoxes } from '../room/read-storage.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';

const storage = withStorage();

describe('holders', () => {
	test('cards move up and down as values and names say, and take other room in their box', async () => {
		await storage.release('a', '1992', 40);
		await storage.log('a', '1-4');
		await storage.collection.write((tx) =>
			tx.run(
				sql`update copies set value_minor = case card_key when 'base-1' then 150 when 'base-2' then 5000 end`
			)
		);
		await standAsPlanned(storage.collection);
		const names = [{ word: 'card 3', tier: 'better commons' }];
		const rules = { ...HOLDER_RULES.usual, names, onHand: { 'top-loader-35': 5 } };
		expect((await setHolderRules(storage.collection, rules)).ok).toBe(true);
		const { moves } = await readTierMoves(storage.collection.db, rules);
		const named = await nameTierMoves(storage.collection.db, moves);
		expect(named.map(({ name, direction, to }) => [name, direction, to])).toEqual([
			['2 Card 2', 'up', 'magnetic-35'],
			['1 Card 1', 'up', 'top-loader-35'],
			['3 Card 3', 'up', 'sleeve']
		]);
		await setHolders(storage.collection, moves);
		expect((await readTierMoves(storage.collection.db, rules)).moves).toEqual([]);
		const standing = (await readBoxes(storage.collection.db)).flatMap(({ name, rows: rows }) =>
			rows.map(({ usedUm }) => [name, usedUm])
		);
		// 457 µm of stock each, and a divider where others may stand; a millimetre for the loader, nine for the case, a tenth for the sleeve.
		expect(standing.filter(([, um]) => um)).toContainEqual(['Long box 1', 800 + 2 * 457 + 100]);
		expect(standing.filter(([, um]) => um)).toContainEqual(['Valuables 1', 457 + 1000]);
		expect(standing.filter(([, um]) => um)).toContainEqual(['Best 1', 457 + 9000]);
		expect(
			await setHolderRules(storage.collection, { ...rules, names: [{ word: 'x', tier: 'none' }] })
		).toMatchObject({ ok: false });
	});

	test('a finish is a word that rules by name know; other money counts by kept rates', async () => {
		const { collection } = storage;
		await storage.release('a', '1992', 40);
		await storage.log('a', '1, 2 brass');
		const names = [{ word: 'brass', tier: 'best' }];
		const { moves } = await readTierMoves(collection.db, { ...HOLDER_RULES.usual, names });
		expect((await nameTierMoves(collection.db, moves)).map(({ name, to }) => [name, to])).toEqual([
			['2 Card 2, Brass', 'magnetic-35']
		]);
		await collection.write((tx) =>
			tx.run(sql`update copies set value_minor = 150, currency = 'JPY'`)
		);
		const usual = HOLDER_RULES.usual;
		const uses = async () =>
			(await homelessCopies(collection.db, await readKeeping(collection.db))).map(({ use }) => use);
		expect((await readTierMoves(collection.db, usual)).otherMoney).toEqual([
			{ currency: 'JPY', cards: 2 }
		]);
		expect(await uses()).toEqual(['sets', 'sets']);
		// 150 yen are 1.50 where a yen is a cent, and 0.90 where it is less.
		await setExchangeRates(collection, [{ from: 'JPY', to: 'EUR', rate: 0.01 }]);
		expect((await readTierMoves(collection.db, usual)).moves.map(({ to }) => to)).toEqual([
			'top-loader-35',
			'top-loader-35'
		]);
		expect(await uses()).toEqual(['valuables', 'valuables']);
		await setExchangeRates(collection, [{ from: 'JPY', to: 'EUR', rate: 0.006 }]);
		const less = await readTierMoves(collection.db, usual);
		expect([less.moves.map(({ to }) => to), less.otherMoney]).toEqual([['sleeve', 'sleeve'], []]);
		expect(await uses()).toEqual(['sets', 'sets']);
	});

	test.each([
		['the tiers’ own currency', 'EUR', 'top-loader-35', 'valuables', []],
		['no currency said: the tiers’ own', null, 'top-loader-35', 'valuables', []],
		['other money', 'JPY', null, 'sets', [{ currency: 'JPY', cards: 2 }]]
	] as const)('a value in %s', async (_, currency, to, use, otherMoney) => {
		const { collection } = storage;
		await storage.release('a', '1992', 40);
		await storage.log('a', '1x2 brass');
		await collection.write((tx) =>
			tx.run(sql`update copies set value_minor = 150, currency = ${currency}`)
		);
		const rules = HOLDER_RULES.usual;
		const read = await readTierMoves(collection.db, rules);
		const shown = await nameTierMoves(collection.db, read.moves);
		expect(shown.map((move) => [move.name, move.to])).toEqual(
			to === null ? [] : [['1 Card 1, Brass', to]]
		);
		expect(read.otherMoney).toEqual(otherMoney);
		const homeless = await homelessCopies(collection.db, await readKeeping(collection.db));
		expect(homeless.map((copy) => copy.use)).toEqual([use]);
		if (currency === null) return;
		// Stated in that money, the tiers speak of it.
		const done = await setHolderRules(collection, { ...rules, currency });
		expect(done.ok).toBe(true);
		const keeping = await readKeeping(collection.db);
		expect((await homelessCopies(collection.db, keeping))[0]?.use).toBe('valuables');
		const anew = await readTierMoves(collection.db, { ...rules, currency });
		expect(anew.moves).toHaveLength(1);
	});
});
