import loadHighs from 'highs';
import { Bench } from 'tinybench';
import { binderSlots } from '../src/lib/core/binder/binder-slots.ts';
import { USUAL_LAYOUT } from '../src/lib/core/binder/binder-layout.ts';
import { planBinder } from '../src/lib/core/binder/plan-binder.ts';
import { examine } from '../src/lib/core/checklist/doctor/examine.ts';
import { expand } from '../src/lib/core/checklist/versions/expand.ts';
import { CONDITIONS, qualityRank } from '../src/lib/core/copies/condition.ts';
import type { Copy } from '../src/lib/core/copies/copy.ts';
import { fillSlots, fitsSlot } from '../src/lib/core/goal/fill-slots.ts';
import { scopeGoal } from '../src/lib/core/goal/scope-goal.ts';
import type { Slot } from '../src/lib/core/goal/slot.ts';
import { indexCards } from '../src/lib/core/shorthand/card-index.ts';
import { readShorthand } from '../src/lib/core/shorthand/read-shorthand.ts';
import { vocabularyOf } from '../src/lib/core/shorthand/vocabulary.ts';
import { benchBinders } from './bench-binders.ts';
import { benchBuying } from './bench-buying.ts';
import { benchBoxes } from './bench-boxes.ts';
import { benchCollection } from './bench-collection.ts';
import { benchPacks } from './bench-packs.ts';
import { benchLimits } from './bench-limits.ts';
import { benchStorage } from './bench-storage.ts';
import { madeUpRelease } from './made-up-release.ts';
import { benchWorth } from './bench-worth.ts';
import { report } from './report.ts';

/** ● 500 cards, 25 parallels, a variant on every tenth card: the size that the checklist must bear. */
async function benchOddities(): Promise<void> {
	const plain = madeUpRelease(500, 25);
	const variants = plain.sections[1]?.cards.map(({ number }, i) => ({
		key: `v${i}`,
		kind: 'error' as const,
		name: `v${i}`,
		cards: [number ?? '']
	}));
	const release = { ...plain, variants: variants ?? [] };
	const keys = expand(release).map(({ key }) => key);
	const bench = new Bench({ time: 500, warmupTime: 100 });
	bench
		.add('plain sort', () => void [...keys].sort())
		.add('expand', () => void expand(release))
		.add('examine', () => void examine(release));
	await bench.run();
	report(`500 cards, 25 parallels, 50 variants: ${keys.length} versions`, bench);
}

/** Sets at once make the slots of a card compete: an assignment for each card, beside the raw solver. */
async function benchMatching(): Promise<void> {
	const release = madeUpRelease(500, 0);
	const slots = scopeGoal(release, { preset: 'complete', sets: 3 });
	const copies = Array.from({ length: 1500 }, (_, i) => ({
		key: String(i),
		version: slots[(i * 7) % 500]?.key ?? '',
		condition: CONDITIONS[(i * 13) % 7],
		quantity: 1
	}));
	const highs = await loadHighs();
	const model = assignmentModel(slots, copies);
	const bench = new Bench({ time: 300, warmupTime: 50 });
	bench
		.add('plain sort', () => void [...slots].map(({ key }) => key).sort())
		.add('fill 3 sets by matching', () => void fillSlots(slots, copies))
		.add('the same by the raw solver', () => void highs.solve(model));
	await bench.run();
	report(`${slots.length} slots in 3 sets, ${copies.length} copies`, bench);
}

/** The assignment as a linear programme: most places, better copies before worse. */
function assignmentModel(slots: readonly Slot[], copies: readonly Copy[]): string {
	const fits = slots.flatMap((slot, s) =>
		copies.flatMap((copy, c) => (fitsSlot(slot, copy) ? [{ slot, copy, s, c }] : []))
	);
	const limits = (of: 's' | 'c', count: number) =>
		Array.from({ length: count }, (_, i) => fits.filter((fit) => fit[of] === i))
			.filter((inGroup) => inGroup.length > 0)
			.map(
				(inGroup, i) => `${of}${i}: ${inGroup.map(({ s, c }) => `x${s}_${c}`).join(' + ')} <= 1`
			);
	return [
		'Maximize',
		`obj: ${fits.map(({ copy, s, c }) => `${1000 + qualityRank(copy)} x${s}_${c}`).join(' + ')}`,
		'Subject To',
		...limits('s', slots.length),
		...limits('c', copies.length),
		'End'
	].join('\n');
}

/** Expands, fills, lays out and reads at two sizes; the baseline is a plain sort of the same array. */
export async function runBench(): Promise<void> {
	console.log('median of each, and its ratio to a plain sort of the same array in this run\n');
	for (const size of [500, 5000]) {
		const release = madeUpRelease(size, 3);
		const slots = scopeGoal(release, { preset: 'strict-master' });
		const copies = slots
			.filter((_, i) => i % 5 < 3)
			.map(({ key }, i) => ({ key: String(i), version: key, quantity: 1 + (i % 2) }));
		const laid = binderSlots([release], slots);
		const keys = slots.map(({ key }) => key);
		const index = indexCards(release);
		const owned = new Map<string, number>();
		const vocabulary = vocabularyOf(release);
		const context = { release, index, vocabulary, numberingKey: null, parallelKey: null, owned };

		const bench = new Bench({ time: 300, warmupTime: 100 });
		bench
			.add('plain sort', () => void [...keys].sort())
			.add('expand', () => void expand(release))
			.add('fill', () => void fillSlots(slots, copies))
			.add('lay out', () => void planBinder(laid, USUAL_LAYOUT))
			.add(
				'read "all but 7, 12, 45-48"',
				() => void readShorthand('all but 7, 12, 45-48', context)
			);
		await bench.run();
		report(`${size} cards, ${slots.length} versions, ${copies.length} piles`, bench);
	}
	await benchOddities();
	await benchMatching();
	await benchLimits();
	await benchBuying();
	await benchPacks();
	await benchWorth();
	await benchBinders();
	await benchBoxes();
	await benchCollection();
	await benchStorage();
}
