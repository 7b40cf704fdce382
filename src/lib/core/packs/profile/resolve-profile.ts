import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import {
	checkProfile,
	type PackClass,
	type PackGroup,
	type PackProfile,
	type PackWay
} from './pack-profile.ts';

/** A group as it is told: its cards by number, or in classes. */
export interface RawGroup {
	readonly key: string;
	/** Different cards, each as likely as the others; left out where there are classes. */
	readonly cards?: number;
	/** Of them so many are here once; left out: none. */
	readonly owned?: number;
	/** Copies of each that are wanted; left out: 1. */
	readonly sets?: number;
	readonly classes?: readonly {
		readonly cards: number;
		readonly weight?: number;
		readonly lacking?: number;
	}[];
	readonly comes:
		| { readonly sort: 'count'; readonly count: number; readonly isAllDifferent?: boolean }
		| { readonly sort: 'odds'; readonly cards: number; readonly packs: number };
	readonly slot?: string;
	readonly takesPlaceOf?: string;
}

/** What a kind of pack holds, as it is told. */
export interface RawProfile {
	readonly groups: readonly RawGroup[];
	readonly guarantees?: PackProfile['guarantees'];
	readonly packsPerBox?: number | null;
	readonly cardsPerPack?: number | null;
}

/** Fills in what is left out, and tells everything that cannot be; pointers are of the profile. */
export function resolveProfile(raw: RawProfile): Outcome<PackProfile> {
	const problems: Problem[] = [];
	const groups = raw.groups.map((group, i): PackGroup => {
		const { key, slot, takesPlaceOf } = group;
		const tell = (field: string, message: string, remedy: string) =>
			problems.push({ pointer: `/groups/${i}${field}`, message, remedy });
		return {
			...{ key, comes: wayOf(group.comes), classes: classesOf(group, tell) },
			...(slot === undefined ? {} : { slot }),
			...(takesPlaceOf === undefined ? {} : { takesPlaceOf })
		};
	});
	const profile: PackProfile = {
		groups,
		guarantees: raw.guarantees ?? [],
		packsPerBox: raw.packsPerBox ?? null,
		cardsPerPack: raw.cardsPerPack ?? null
	};
	// A group without cards is told of once.
	problems.push(...(problems.length > 0 ? [] : checkProfile(profile)));
	return problems.length > 0 ? bad(problems) : good(profile);
}

function wayOf(comes: RawGroup['comes']): PackWay {
	return comes.sort === 'odds' ? comes : { ...comes, isAllDifferent: comes.isAllDifferent ?? true };
}

function classesOf(
	{ cards, owned, sets, classes }: RawGroup,
	tell: (field: string, message: string, remedy: string) => void
): readonly PackClass[] {
	if (classes !== undefined) {
		const said = { cards, owned, sets };
		for (const [field, value] of Object.entries(said)) {
			if (value === undefined) continue;
			const message = `classes say how many cards there are; ${field} says it again`;
			tell(`/${field}`, message, 'Keep one of the two.');
		}
		return classes.map(({ cards: count, weight = 1, lacking = 1 }) => ({
			...{ cards: count, weight, lacking }
		}));
	}
	if (cards === undefined) {
		tell('', 'nobody says how many cards it has', 'Say cards, or classes.');
		return [];
	}
	const [here, wanted] = [owned ?? 0, sets ?? 1];
	if (here > cards) {
		tell('/owned', `${here} of ${cards} cards are here`, 'No more than there are.');
		return [];
	}
	return [
		{ cards: cards - here, weight: 1, lacking: wanted },
		{ cards: here, weight: 1, lacking: Math.max(0, wanted - 1) }
	].filter((part) => part.cards > 0);
}
