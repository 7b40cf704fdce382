import { sum } from 'd3-array';
import { wholeSections } from '../../checklist/edition.ts';
import type { PackGuarantee, PackType, Release } from '../../checklist/release.ts';
import type { Section, SectionKind } from '../../checklist/section.ts';
import { addedVariants, variantFinder } from '../../checklist/variant.ts';
import { formatVersionKey } from '../../checklist/versions/version-key.ts';
import { finishSource } from '../finishes/pack-finishes.ts';

/** What stated odds are of: cards that share them. */
export interface Stated {
	readonly sections: Set<string>;
	readonly parallel: string | null;
	readonly what: string;
	readonly versions: string[];
	readonly odds: { readonly cards: number; readonly packs: number } | null;
	readonly isFill: boolean;
	/** Kinds of its sections. */
	readonly kinds: Set<SectionKind>;
	/** The section whose place it takes; null: it comes on top; left out: a usual card's. */
	readonly place?: string | null;
	/** What every box holds for certain of it and the others of the guarantee. */
	readonly guarantee?: PackGuarantee;
}

const FILL = 'fill';

/** Everything that a kind of pack may hold, as its odds are stated, with what every box holds for certain. */
export function statedOdds(release: Release, pack: PackType): readonly Stated[] {
	return withGuarantees(mergeSingles(statedOf(release, pack.key)), pack);
}

/** Everything that a pack may hold, by what its odds are stated of. */
function statedOf(release: Release, packType: string): readonly Stated[] {
	const found = new Map<object | string, Stated>();
	const deviationsOf = variantFinder(release.variants);
	const parallels: readonly (string | null)[] = [null, ...release.parallels.map(({ key }) => key)];
	const put = (
		of: object | string,
		version: string,
		entry: Pick<Stated, 'parallel' | 'what' | 'odds' | 'isFill'>,
		{ key, kind, takesPlaceOf }: Section
	) => {
		const known: Stated = found.get(of) ?? {
			...entry,
			...{ versions: [], sections: new Set(), kinds: new Set() },
			// Sections that share odds take one place: what the first says.
			...(takesPlaceOf === undefined ? {} : { place: takesPlaceOf })
		};
		known.versions.push(version);
		known.sections.add(key);
		known.kinds.add(kind);
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
				put(key, formatVersionKey(name), { parallel, what, odds, isFill }, section);
			}
			for (const variant of addedVariants(deviations, null)) {
				const odds = variant.odds?.find((each) => each.packType === packType);
				if (!odds) continue;
				const key = formatVersionKey({
					...{ release: release.key, card: card.key, parallel: null, variant: variant.key }
				});
				put(variant, key, { parallel: null, what: variant.kind, odds, isFill: false }, section);
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

/**
 * What a box holds for certain gets its guarantee. Of groups without odds a share of it is stated by their cards: two a box
 * of fifteen and ten cards are six and four in five boxes.
 */
function withGuarantees(
	stated: readonly Stated[],
	{ guarantees = [], packsPerBox }: PackType
): readonly Stated[] {
	if (packsPerBox === undefined) return stated;
	const guaranteeOf = (each: Stated) =>
		each.isFill || each.what !== ''
			? undefined
			: guarantees.find(({ sections = [], parallels = [] }) =>
					each.parallel === null
						? [...each.sections].every((key) => sections.includes(key))
						: parallels.includes(each.parallel)
				);
	const found = stated.map((each) => ({ each, guarantee: guaranteeOf(each) }));
	return found.map(({ each, guarantee }): Stated => {
		if (!guarantee) return each;
		const same = found.filter((other) => other.guarantee === guarantee).map((other) => other.each);
		const known = sum(same, ({ odds }) => (odds ? (odds.cards / odds.packs) * packsPerBox : 0));
		const silent = sum(same, ({ odds, versions }) => (odds ? 0 : versions.length));
		const left = guarantee.count - known;
		if (each.odds) return { ...each, guarantee };
		if (left <= 0) return each;
		const cards = left * each.versions.length;
		return { ...each, guarantee, odds: { cards, packs: packsPerBox * silent } };
	});
}
