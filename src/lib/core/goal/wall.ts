import { versionMaker } from '../checklist/versions/expand.ts';
import type { Numbering } from '../checklist/numbering.ts';
import type { Parallel } from '../checklist/parallel.ts';
import { finishKeysOf } from '../checklist/versions/finish-keys.ts';
import type { Release } from '../checklist/release.ts';

/**
 * `incoming`: not here yet, but on its way. `upgrade`: here, in a worse condition than wished for.
 * `not-needed`: not made in this finish, or outside the goal.
 */
export type TileState = 'have' | 'missing' | 'incoming' | 'spare' | 'upgrade' | 'not-needed';

/** What is there, by version key. */
export interface Holdings {
	readonly owned: ReadonlyMap<string, number>;
	readonly incoming?: ReadonlyMap<string, number>;
	/** Versions that a goal asks for; left out, every version made is needed. */
	readonly needed?: ReadonlySet<string>;
	/** Versions whose slot is filled below the condition wished for. */
	readonly upgrades?: ReadonlySet<string>;
}

/** A rung of a tile's ladder: one version of its card. */
export interface Rung {
	readonly key: string;
	readonly isVariant: boolean;
	readonly owned: boolean;
}

/** One card on the number wall, in one finish. */
export interface WallTile {
	readonly cardKey: string;
	readonly number: string | null;
	readonly title: string;
	/** The subset it belongs to, where it is not of the section that owns the numbering. */
	readonly subset: string | null;
	/** null where the card was not made in this finish. */
	readonly version: string | null;
	readonly owned: number;
	/** Whether it is asked for; a tile that is not may be there all the same. */
	readonly isNeeded: boolean;
	readonly state: TileState;
	readonly ladder: readonly Rung[];
}

/** What of a tile does not change with what is owned. */
export type WallFace = Omit<WallTile, 'owned' | 'isNeeded' | 'state' | 'ladder'> & {
	readonly versions: readonly { readonly key: string; readonly isVariant: boolean }[];
};

/**
 * The finishes that a wall of a numbering is drawn in, beside the chosen one (null): where its cards
 * have no base finish and that was chosen, each finish that they were made in.
 */
export function wallFinishes(
	release: Release,
	{ cards }: Numbering,
	parallelKey: string | null
): readonly (Parallel | null)[] {
	if (parallelKey !== null || cards.some(({ section }) => !section.noBaseFinish)) return [null];
	const made = new Set(cards.flatMap(({ section, card }) => finishKeysOf(release, section, card)));
	return release.parallels.filter(({ key }) => made.has(key));
}

/** The faces of a numbering in one finish, in number order. */
export function wallFaces(
	release: Release,
	numbering: Numbering,
	parallelKey: string | null
): readonly WallFace[] {
	const versionsOf = versionMaker(release);
	return numbering.cards.map(({ card, section }) => {
		const versions = versionsOf(numbering.key, section, card);
		return {
			cardKey: card.key,
			number: card.number,
			title: card.title,
			subset: section.key === numbering.key ? null : section.name,
			version:
				versions.find(
					(version) => version.parallelKey === parallelKey && version.variantKey === null
				)?.key ?? null,
			versions: versions.map(({ key, variantKey }) => ({ key, isVariant: variantKey !== null }))
		};
	});
}

/** The tiles of a wall as they stand now. */
export function wallTiles(faces: readonly WallFace[], holdings: Holdings): readonly WallTile[] {
	const { owned, needed } = holdings;
	return faces.map(({ versions, ...face }) => {
		const { version } = face;
		const count = version === null ? 0 : (owned.get(version) ?? 0);
		return {
			...face,
			owned: count,
			isNeeded: version !== null && (needed === undefined || needed.has(version)),
			state: stateOf(version, count, holdings),
			ladder: versions.map((shown) => ({ ...shown, owned: (owned.get(shown.key) ?? 0) > 0 }))
		};
	});
}

function stateOf(
	version: string | null,
	count: number,
	{ needed, incoming, upgrades }: Holdings
): TileState {
	const isNeeded = version !== null && (needed === undefined || needed.has(version));
	if (!isNeeded) return count > 0 ? 'spare' : 'not-needed';
	if (count === 0) return (incoming?.get(version) ?? 0) > 0 ? 'incoming' : 'missing';
	if (upgrades?.has(version)) return 'upgrade';
	return count === 1 ? 'have' : 'spare';
}

/** How many copies of a version there shall be. */
export interface Wanted {
	readonly version: string;
	readonly quantity: number;
}

/**
 * Makes tiles alike. With `fill`, each that is not there gets one copy; without, each gives up all
 * its copies. Tiles that were not made in this finish are passed over.
 */
export function fillTiles(tiles: readonly WallTile[], fill: boolean): readonly Wanted[] {
	return tiles.flatMap(({ version, owned }) =>
		version !== null && (owned === 0) === fill ? [{ version, quantity: fill ? 1 : 0 }] : []
	);
}

/** One copy more or less of each tile; none goes below zero. */
export function stepTiles(tiles: readonly WallTile[], step: 1 | -1): readonly Wanted[] {
	return tiles.flatMap(({ version, owned }) =>
		version !== null && owned + step >= 0 ? [{ version, quantity: owned + step }] : []
	);
}
