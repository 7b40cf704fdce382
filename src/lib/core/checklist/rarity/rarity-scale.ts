import { extent, group, max, min, sum } from 'd3-array';
import { DIFFICULTY_LEVELS, type DifficultyLevel } from '../difficulty.ts';
import type { Release } from '../release.ts';
import { knowledgeOfVersions, type VersionKnowledge } from './knowledge-of-versions.ts';

/** How it is known how rare a thing is, surest first; `packs`: it is what inserts leave of a pack. */
export const RARITY_KNOWLEDGE = [
	'stamped run',
	'estimated run',
	'odds',
	'packs',
	'experience',
	'nothing'
] as const;
export type RarityKnowledge = (typeof RARITY_KNOWLEDGE)[number];

/** Numbers that something lies between, both included. */
export interface Bounds {
	readonly least: number;
	readonly most: number;
}

/** Cards of a section in a finish that are equally rare, as far as is known. */
export interface RarityRow {
	readonly sectionKey: string;
	/** null: the base finish */
	readonly parallelKey: string | null;
	readonly isShortPrint: boolean;
	readonly cards: readonly string[];
	readonly knowledge: RarityKnowledge;
	/** Copies of each card, where a run is stamped or estimated. */
	readonly printRun: number | null;
	/** Packs to open for one copy of a given card, on the average; of the kind in which it is easiest. */
	readonly packsForOne: number | null;
	/** Key of that pack type. */
	readonly packType: string | null;
	readonly difficulty: DifficultyLevel | null;
	/** Copies of each card that were made; null where nothing leads to a number. */
	readonly copiesEach: Bounds | null;
	/** What it can be held against: rows of the same scale stand in their order, the rarest first. */
	readonly scale: 'copies' | 'packs' | 'experience' | 'none';
}

export interface RarityScale {
	/** Rarest first: those with a number of copies, with packs only, by experience only, of which nothing is known. */
	readonly rows: readonly RarityRow[];
	/** Packs that were made, from what has both odds and a run; null where nothing has. */
	readonly packsMade: Bounds | null;
}

/**
 * One scale of rarity over all sections and finishes of a release. Runs say how many copies there are,
 * odds how many packs it takes; where something has both (a run of 500, 12 cards, 1:96), the packs that
 * were made follow (500 × 12 × 96), and from these the copies of all that has odds. What is known by
 * experience only stands between what is known to be easier and harder. Assumes that all packs were
 * opened and odds hold on the average.
 */
export function rarityScale(release: Release): RarityScale {
	const known = knowledgeOfVersions(release);
	const packsMade = packsMadeOf(known);
	const rows = [...group(known, sameness).values()].flatMap((same): RarityRow[] => {
		const [first] = same;
		return first ? [rowOf(first, same, packsMade)] : [];
	});
	const placed = rows.map((row) =>
		row.copiesEach === null && row.difficulty ? placedByExperience(row, row.difficulty, rows) : row
	);
	return { rows: placed.sort(rarestFirst), packsMade };
}

function sameness(known: VersionKnowledge): string {
	const { sectionKey, parallelKey, isShortPrint, printRun, isEstimate, rate, difficulty } = known;
	return JSON.stringify([
		sectionKey,
		parallelKey,
		isShortPrint,
		printRun,
		isEstimate,
		rate && [rate.packType, rate.packsForOne, rate.isLeftOver],
		difficulty
	]);
}

function rowOf(
	first: VersionKnowledge,
	same: readonly VersionKnowledge[],
	packsMade: Bounds | null
): RarityRow {
	const { sectionKey, parallelKey, isShortPrint, printRun, isEstimate, rate, difficulty } = first;
	const copiesEach =
		printRun !== null
			? { least: printRun, most: printRun }
			: rate && packsMade && rate.isOnlyType
				? { least: packsMade.least / rate.packsForOne, most: packsMade.most / rate.packsForOne }
				: null;
	return {
		sectionKey,
		parallelKey,
		isShortPrint,
		cards: same.map(({ cardKey }) => cardKey),
		knowledge:
			printRun !== null
				? isEstimate
					? 'estimated run'
					: 'stamped run'
				: rate
					? rate.isLeftOver
						? 'packs'
						: 'odds'
					: difficulty
						? 'experience'
						: 'nothing',
		printRun,
		packsForOne: rate?.packsForOne ?? null,
		packType: rate?.packType ?? null,
		difficulty,
		copiesEach,
		scale: copiesEach ? 'copies' : rate ? 'packs' : difficulty ? 'experience' : 'none'
	};
}

/** Packs made, from stamped runs with odds, else from estimated ones; only where all odds are of one pack type. */
function packsMadeOf(known: readonly VersionKnowledge[]): Bounds | null {
	const linked = known.flatMap(({ printRun, isEstimate, rate }) =>
		printRun !== null && rate && !rate.isLeftOver && rate.isOnlyType
			? [{ isEstimate, packs: printRun * rate.packsForOne }]
			: []
	);
	const stamped = linked.filter(({ isEstimate }) => !isEstimate);
	const [least, most] = extent(stamped.length > 0 ? stamped : linked, ({ packs }) => packs);
	return least === undefined ? null : { least, most };
}

/** A row known by experience only: rarer than all that is easier, commoner than all that is harder. */
function placedByExperience(
	row: RarityRow,
	level: DifficultyLevel,
	rows: readonly RarityRow[]
): RarityRow {
	const place = DIFFICULTY_LEVELS.indexOf(level);
	const measured = rows.flatMap(({ difficulty, copiesEach }) =>
		difficulty && copiesEach ? [{ level: DIFFICULTY_LEVELS.indexOf(difficulty), copiesEach }] : []
	);
	const most = min(
		measured.filter((other) => other.level < place),
		({ copiesEach }) => copiesEach.most
	);
	const least = max(
		measured.filter((other) => other.level > place),
		({ copiesEach }) => copiesEach.least
	);
	if (most === undefined || least === undefined || least > most) return row;
	return { ...row, copiesEach: { least, most }, scale: 'copies' };
}

const SCALES: readonly RarityRow['scale'][] = ['copies', 'packs', 'experience', 'none'];

function rarestFirst(a: RarityRow, b: RarityRow): number {
	const scale = SCALES.indexOf(a.scale) - SCALES.indexOf(b.scale);
	if (scale !== 0) return scale;
	const copies = middle(a.copiesEach) - middle(b.copiesEach);
	if (a.scale === 'copies' && copies !== 0) return copies;
	const packs = (b.packsForOne ?? 0) - (a.packsForOne ?? 0);
	if (packs !== 0) return packs;
	return levelOf(b) - levelOf(a);
}

const levelOf = ({ difficulty }: RarityRow) =>
	difficulty ? DIFFICULTY_LEVELS.indexOf(difficulty) : -1;

/** The middle of bounds as ratios go. */
function middle(bounds: Bounds | null): number {
	return bounds ? Math.sqrt(bounds.least * bounds.most) : Infinity;
}

/** How many versions a scale has of each kind of knowledge. */
export function countByKnowledge({
	rows
}: RarityScale): readonly { readonly knowledge: RarityKnowledge; readonly versions: number }[] {
	return RARITY_KNOWLEDGE.map((knowledge) => ({
		knowledge,
		versions: sum(rows, (row) => (row.knowledge === knowledge ? row.cards.length : 0))
	})).filter(({ versions }) => versions > 0);
}
