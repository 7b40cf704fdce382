import { rollup } from 'd3-array';
import { cardsOf, type Release } from '../checklist/release.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** So many slots of a kind. */
export interface SizeRow {
	readonly name: string;
	readonly count: number;
}

/** How big a job is, before it is begun. */
export interface JobSize {
	readonly releases: number;
	/** Different cards, whatever their finish. */
	readonly cards: number;
	readonly slots: number;
	/** Slots by finish, the commonest first. */
	readonly finishes: readonly SizeRow[];
	/** Slots by rarity class, in the order of the classes; without classes none. */
	readonly rarities: readonly SizeRow[];
	/** What the job is likely to cost its money for; a slot may be dear for several reasons. */
	readonly dear: readonly SizeRow[];
}

/** From this run on a card is one of few: what most people call low-numbered. Common practice, no source. */
export const FEW_MADE = 99;

/** The size of a goal over releases. Kinds of which there is nothing are left out. */
export function jobSize(releases: readonly Release[], slots: readonly ScopedSlot[]): JobSize {
	const cards = new Map(
		releases.flatMap((release) =>
			cardsOf(release).map(({ card }) => [`${release.key}/${card.key}`, card] as const)
		)
	);
	const finishNames = new Map(
		releases.flatMap((release) =>
			release.parallels.map(({ key, name }) => [`${release.key} ${key}`, name] as const)
		)
	);
	const variantKinds = new Map(
		releases.flatMap((release) =>
			release.variants.map(({ key, kind }) => [`${release.key} ${key}`, kind] as const)
		)
	);
	const cardOf = ({ release, version }: ScopedSlot) => cards.get(`${release}/${version.cardKey}`);
	const count = (fits: (slot: ScopedSlot) => boolean) => slots.filter(fits).length;
	const finishes = rollup(
		slots,
		(same) => same.length,
		({ release, version }) => finishNames.get(`${release} ${version.parallelKey}`) ?? 'base finish'
	);
	const classes = rollup(
		slots,
		(same) => same.length,
		(slot) => cardOf(slot)?.rarity ?? ''
	);
	const order = [...new Set(releases.flatMap(({ rarities }) => rarities))];
	const marked =
		(...marks: readonly string[]) =>
		(slot: ScopedSlot) =>
			cardOf(slot)?.marks.some((mark) => marks.includes(mark)) ?? false;
	const dear: readonly SizeRow[] = [
		{ name: 'key cards and rookies', count: count(marked('key', 'rookie')) },
		{
			name: 'short prints',
			count: count(
				(slot) =>
					marked('short print')(slot) ||
					variantKinds.get(`${slot.release} ${slot.version.variantKey}`) === 'short print'
			)
		},
		{
			name: `made ${FEW_MADE} times or less`,
			count: count(
				({ version }) => (version.printRun ?? version.estimatedRun ?? Infinity) <= FEW_MADE
			)
		},
		{ name: 'with a swatch', count: count(({ version }) => version.swatch === 'with') }
	];
	return {
		releases: new Set(slots.map(({ release }) => release)).size,
		cards: new Set(slots.map(({ release, version }) => `${release}/${version.cardKey}`)).size,
		slots: slots.length,
		finishes: [...finishes]
			.map(([name, slotsOf]) => ({ name, count: slotsOf }))
			.sort((a, b) => b.count - a.count || (a.name < b.name ? -1 : 1)),
		rarities: order.flatMap((name) => {
			const slotsOf = classes.get(name);
			return slotsOf === undefined ? [] : [{ name, count: slotsOf }];
		}),
		dear: dear.filter((row) => row.count > 0)
	};
}
