import type { Guarantee } from './pack-profile.ts';
import type { Stated } from './stated-odds.ts';

/** A place of the pack that groups share. */
export interface SharedPlace {
	readonly name: string;
	/** Key of the group whose place it takes; null: none's. */
	readonly takesPlaceOf: string | null;
	readonly perBox: number | null;
}

/**
 * Which place of the pack each group by odds comes in: the first of its kind that is not more than a card a pack with it.
 *
 * @param hosts groups that come in every pack, with their places
 * @param usual the one whose place is taken where nothing else is said, once the room beside the stated cards is full
 */
export function placesOf(
	inserted: readonly Stated[],
	hosts: readonly { readonly stated: Stated; readonly key: string; readonly places: number }[],
	usual: { readonly key: string } | null,
	room: number
): ReadonlyMap<Stated, SharedPlace> {
	const slots: { place: Omit<SharedPlace, 'name'>; of: unknown; some: Stated[]; filled: number }[] =
		[];
	const left = new Map(hosts.map(({ key, places }) => [key, places]));
	let free = room;
	/** Takes a place of a group as long as it has some. */
	const take = (key: string | null): string | null => {
		const places = key === null ? 0 : (left.get(key) ?? 0);
		if (key === null || places === 0) return null;
		left.set(key, places - 1);
		return key;
	};
	const hostOf = ({ place }: Stated): string | null => {
		if (place === null) return null;
		if (place !== undefined) {
			return take(hosts.find(({ stated }) => stated.sections.has(place))?.key ?? null);
		}
		if (free >= 1) {
			free--;
			return null;
		}
		return take(usual?.key ?? null);
	};
	const rateOf = ({ odds }: Stated) => (odds ? odds.cards / odds.packs : 0);
	for (const each of [...inserted].sort((a, b) => rateOf(b) - rateOf(a))) {
		const rate = rateOf(each);
		const { guarantee, place } = each;
		const of = guarantee ?? place;
		const slot = slots.find(
			(known) => known.of === of && (guarantee !== undefined || known.filled + rate <= 1 + 1e-12)
		);
		if (slot) {
			slot.some.push(each);
			slot.filled += rate;
			continue;
		}
		const perBox = guarantee?.count ?? null;
		slots.push({
			place: { takesPlaceOf: hostOf(each), perBox },
			...{ of, some: [each], filled: rate }
		});
	}
	return new Map(
		slots.flatMap(({ place, some }, s) =>
			some.map((each) => [each, { name: `place ${s + 1}`, ...place }] as const)
		)
	);
}

export function guaranteesOf(slots: ReadonlyMap<Stated, SharedPlace>): readonly Guarantee[] {
	const guaranteed = new Map<string, number>(
		[...slots.values()].flatMap(({ name, perBox }) =>
			perBox === null ? [] : [[name, perBox] as const]
		)
	);
	return [...guaranteed].map(([slot, count]) => ({ slot, count }));
}
