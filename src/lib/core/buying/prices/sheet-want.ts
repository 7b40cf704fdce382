import type { CardMark } from '../../checklist/card.ts';
import type { SectionKind } from '../../checklist/section.ts';

/** What is missing, as a price sheet needs to know it. */
export interface SheetWant {
	readonly key: string;
	/** Version keys that would fill it, the one that names it first. */
	readonly versions: readonly string[];
	/** How many are missing, at least 1. */
	readonly quantity: number;
	/** Key of its release. */
	readonly release: string;
	readonly section: string;
	readonly kind: SectionKind;
	/** null: the base finish. */
	readonly parallel: string | null;
	readonly isVariant: boolean;
	readonly rarity?: string;
	readonly marks: readonly CardMark[];
}

/** Marks that make a card none of the commons, and one by which a set is judged. */
const KEY_MARKS: readonly CardMark[] = ['rookie', 'key', 'short print'];

/** Whether much of what a set is worth may hang on it: a rookie, a key card, a short print. */
export function isKeyCard({ marks }: Pick<SheetWant, 'marks'>): boolean {
	return marks.some((mark) => KEY_MARKS.includes(mark));
}

/**
 * Whether people mean it by "commons": the rarity class of that name where the release has one, else what is
 * regular, in the base finish, in base set or subset, and no key card.
 */
export function isCommon(want: SheetWant, rarities: readonly string[]): boolean {
	const common = rarities.find((rarity) => /^commons?$/i.test(rarity));
	if (want.parallel !== null || want.isVariant) return false;
	if (common !== undefined) return want.rarity === common;
	return (want.kind === 'base' || want.kind === 'subset') && !isKeyCard(want);
}

/**
 * What prices are alike in: cards of one section in one finish and rarity class, key cards among themselves,
 * variants among themselves.
 */
export function neighbourhoodOf(want: SheetWant): string {
	const { release, section, parallel, rarity = '', isVariant } = want;
	return [release, section, parallel ?? '', rarity, isKeyCard(want), isVariant].join('\n');
}
