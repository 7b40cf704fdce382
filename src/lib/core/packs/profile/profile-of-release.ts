import { sum } from 'd3-array';
import { wholeSections } from '../../checklist/edition.ts';
import type { PackType, Release } from '../../checklist/release.ts';
import { addedVariants, variantFinder } from '../../checklist/variant.ts';
import { formatVersionKey } from '../../checklist/versions/version-key.ts';
import { finishSource } from '../finishes/pack-finishes.ts';
import type { PackClass, PackGroup, PackProfile, PackWay } from './pack-profile.ts';

/** What a kind of pack of a release holds, as far as odds are stated, with the versions behind each group. */
export interface ReleasePack {
	readonly profile: PackProfile;
	readonly groups: readonly NamedGroup[];
	/** Groups that it may hold, of which nobody states odds: they are in no figure. */
	readonly unstated: readonly { readonly name: string; readonly versions: readonly string[] }[];
}

/** A group of a profile as people call it. */
export interface NamedGroup {
	readonly key: string;
	/** "Base and Storm Watch", "Fresnel, Brass", "Base, short prints" */
	readonly name: string;
	/** Version keys, in checklist order. */
	readonly versions: readonly string[];
}

/** What stated odds are of: cards that share them. */
interface Stated {
	readonly sections: Set<string>;
	readonly parallel: string | null;
	readonly what: string;
	readonly versions: string[];
	readonly odds: { readonly cards: number; readonly packs: number } | null;
	readonly isFill: boolean;
}

const FILL = 'fill';

/**
 * Makes the profile of a kind of pack. Base cards and subsets without odds of their own fill the pack, each as likely as the
 * others and all different; what comes by odds takes the place of one of them. Inserts share places as long as they are not
 * more than a card a pack together.
 *
 * @param pack one that holds cards itself; a format made of other packs has no profile of its own
 * @param lackingOf copies lacking of a version
 */
export function profileOfRelease(
	release: Release,
	pack: PackType,
	lackingOf: (version: string) => number
): ReleasePack {
	const stated = mergeSingles(statedOf(release, pack.key));
	const known = stated.filter(({ isFill, odds }) => odds !== null || (isFill && pack.cardsPerPack));
	const fill = known.find(({ isFill }) => isFill);
	const inserted = known.filter((each) => each !== fill);
	const named = known.map((each): NamedGroup => ({
		key: nameOf(release, each),
		name: nameOf(release, each),
		versions: each.versions
	}));
	const fillKey = named.find((_, i) => known[i] === fill)?.key;
	const always = sum(inserted, ({ odds }) =>
		odds && odds.cards >= odds.packs ? wholeOf(odds) : 0
	);
	const places = fill ? Math.max(0, (pack.cardsPerPack ?? 0) - always) : 0;
	const slots = placesOf(inserted, places);
	const groups = named.flatMap((group, i): readonly PackGroup[] => {
		const each = known[i] as Stated;
		const classes = classesOf(group.versions.map(lackingOf));
		if (each === fill) {
			const comes = { sort: 'count' as const, count: places };
			const isAllDifferent = group.versions.length >= places;
			return places > 0 ? [{ key: group.key, classes, comes: { ...comes, isAllDifferent } }] : [];
		}
		const slot = slots.get(each);
		return [
			{
				...{ key: group.key, classes, comes: wayOf(each) },
				...(slot ? { slot: slot.name } : {}),
				...(slot?.takes && fillKey !== undefined ? { takesPlaceOf: fillKey } : {})
			}
		];
	});
	return {
		profile: {
			...{ groups, guarantees: [], packsPerBox: pack.packsPerBox ?? null },
			cardsPerPack: pack.cardsPerPack ?? null
		},
		groups: named.filter(({ key }) => groups.some((group) => group.key === key)),
		unstated: stated
			.filter((each) => !known.includes(each))
			.map((each) => ({ name: nameOf(release, each), versions: each.versions }))
	};
}

/** Everything that a pack may hold, by what its odds are stated of. */
function statedOf(release: Release, packType: string): readonly Stated[] {
	const found = new Map<object | string, Stated>();
	const deviationsOf = variantFinder(release.variants);
	const parallels: readonly (string | null)[] = [null, ...release.parallels.map(({ key }) => key)];
	const put = (
		of: object | string,
		version: string,
		entry: Omit<Stated, 'versions' | 'sections'>,
		section: string
	) => {
		const known = found.get(of) ?? { ...entry, versions: [], sections: new Set<string>() };
		known.versions.push(version);
		known.sections.add(section);
		found.set(of, known);
	};
	for (const section of wholeSections(release)) {
		for (const card of section.cards) {
			const deviations = deviationsOf(section, card);
			const shortPrint = deviations.find(({ kind }) => kind === 'short print');
			for (const parallel of parallels) {
				const source = finishSource(release, section, card, parallel);
				const held = source?.packs.find(({ pack }) => pack === packType);
				if (!source || !held) continue;
				const name = { release: release.key, card: card.key, parallel };
				const short = parallel === null && shortPrint ? shortPrint : null;
				const ofShort = short?.odds?.find((odds) => odds.packType === packType);
				const odds = short ? (ofShort ?? null) : held.odds;
				const isFill =
					odds === null &&
					parallel === null &&
					!short &&
					(section.kind === 'base' || section.kind === 'subset');
				const what = short ? 'short prints' : '';
				const of = isFill ? FILL : (short ?? source.statedFor);
				const key = odds === null && !isFill ? `${section.key} ${parallel ?? ''} ${what}` : of;
				put(key, formatVersionKey(name), { parallel, what, odds, isFill }, section.key);
			}
			for (const variant of addedVariants(deviations, null)) {
				const odds = variant.odds?.find((each) => each.packType === packType);
				if (!odds) continue;
				const key = formatVersionKey({
					...{ release: release.key, card: card.key, parallel: null, variant: variant.key }
				});
				put(variant, key, { parallel: null, what: variant.kind, odds, isFill: false }, section.key);
			}
		}
	}
	return [...found.values()];
}

/** Single cards of equal odds in one section and finish are one group: ten at 1:48 each are ten in 48. */
function mergeSingles(stated: readonly Stated[]): readonly Stated[] {
	const merged = new Map<string, Stated>();
	return stated
		.flatMap((each) => {
			const { odds, versions, parallel, what } = each;
			if (odds === null || versions.length > 1) return [each];
			const name = JSON.stringify([[...each.sections], parallel, what, odds.cards, odds.packs]);
			const known = merged.get(name);
			if (!known) {
				const first = { ...each, versions: [...versions] };
				merged.set(name, first);
				return [first];
			}
			known.versions.push(...versions);
			return [];
		})
		.map((each) => {
			const isMerged = [...merged.values()].includes(each) && each.versions.length > 1;
			if (!isMerged || each.odds === null) return each;
			const cards = each.odds.cards * each.versions.length;
			return { ...each, odds: { cards, packs: each.odds.packs } };
		});
}

const wholeOf = (odds: { readonly cards: number; readonly packs: number }) =>
	Math.floor(odds.cards / odds.packs);

/** So many in each pack, or by odds; what is more than whole cards a pack is left out. */
function wayOf({ odds, versions }: Stated): PackWay {
	if (odds === null) throw new RangeError('wayOf: no odds are stated');
	if (odds.cards < odds.packs) return { sort: 'odds', cards: odds.cards, packs: odds.packs };
	const count = wholeOf(odds);
	return { sort: 'count', count, isAllDifferent: versions.length >= count };
}

/** Which place of the pack each group by odds comes in: the first that is not more than a card a pack with it. */
function placesOf(
	inserted: readonly Stated[],
	places: number
): ReadonlyMap<Stated, { readonly name: string; readonly takes: boolean }> {
	const slots: { readonly some: Stated[]; filled: number }[] = [];
	const rateOf = ({ odds }: Stated) => (odds ? odds.cards / odds.packs : 0);
	for (const each of [...inserted].sort((a, b) => rateOf(b) - rateOf(a))) {
		const rate = rateOf(each);
		if (rate >= 1) continue;
		const slot = slots.find(({ filled }) => filled + rate <= 1 + 1e-12);
		if (slot) {
			slot.some.push(each);
			slot.filled += rate;
		} else slots.push({ some: [each], filled: rate });
	}
	return new Map(
		slots.flatMap(({ some }, s) =>
			some.map((each) => [each, { name: `place ${s + 1}`, takes: s < places }] as const)
		)
	);
}

/** Cards by how many copies of each are lacking. */
function classesOf(lacking: readonly number[]): readonly PackClass[] {
	return [...new Set(lacking)]
		.sort((a, b) => b - a)
		.map((copies) => ({
			...{ cards: lacking.filter((each) => each === copies).length, weight: 1, lacking: copies }
		}));
}

function nameOf(release: Release, { sections, parallel, what }: Stated): string {
	const names = release.sections.flatMap(({ key, name }) => (sections.has(key) ? [name] : []));
	const [first = '', ...others] = names;
	const written =
		others.length > 2
			? `${first} and ${others.length} more`
			: names.length > 1
				? `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`
				: first;
	const finish = release.parallels.find(({ key }) => key === parallel)?.name;
	return [written, finish, what].filter(Boolean).join(', ');
}
