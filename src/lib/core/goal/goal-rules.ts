import { SECTION_KINDS, type SectionKind } from '../checklist/section.ts';
import type { CollectibleKind } from '../checklist/beside-cards.ts';
import type { Confidence } from '../checklist/confidence.ts';
import type { Condition } from '../copies/condition.ts';
import { presetOf, type PresetKey } from './preset.ts';
import type { GradeNeed } from './slot.ts';

/** A way in which a rule may be decided, with one line on what it means. */
export interface RuleChoice<Word extends string> {
	readonly word: Word;
	readonly name: string;
	readonly meaning: string;
}

export const FINISH_CHOICES = [
	{ word: 'base', name: 'None', meaning: 'The base finish of each card is enough.' },
	{
		word: 'chosen',
		name: 'Chosen ones',
		meaning: 'The parallels ticked, of every card that has them; no base finish.'
	},
	{
		word: 'base-and-chosen',
		name: 'Base and chosen ones',
		meaning: 'The base finish, and the parallels ticked.'
	},
	{ word: 'all', name: 'All', meaning: 'Every finish of every card.' }
] as const satisfies readonly RuleChoice<string>[];
export type FinishRule = (typeof FINISH_CHOICES)[number]['word'];

export const VARIANT_CHOICES = [
	{ word: 'ignored', name: 'Ignored', meaning: 'Only the regular card counts.' },
	{
		word: 'any',
		name: 'Any one will do',
		meaning: 'The regular card or one of its variations fills the slot.'
	},
	{ word: 'each', name: 'Each one', meaning: 'Every variation is a slot of its own.' }
] as const satisfies readonly RuleChoice<string>[];
export type VariantRule = (typeof VARIANT_CHOICES)[number]['word'];

export const ERROR_CHOICES = [
	{ word: 'none', name: 'None', meaning: 'Errors do not count, the regular card does.' },
	{
		word: 'corrected',
		name: 'Corrected copy only',
		meaning: 'Where a printing was put right, that one.'
	},
	{
		word: 'either',
		name: 'Either printing',
		meaning: 'The error or the corrected one, whichever comes.'
	},
	{
		word: 'both',
		name: 'Both',
		meaning: 'The error and the corrected one. Uncorrected errors never double.'
	}
] as const satisfies readonly RuleChoice<string>[];
export type ErrorRule = (typeof ERROR_CHOICES)[number]['word'];

export const PANEL_CHOICES = [
	{
		word: 'singles',
		name: 'Singles',
		meaning: 'The single cards; an intact panel is not asked for.'
	},
	{
		word: 'intact',
		name: 'Intact',
		meaning: 'The panel in one piece; its singles are not asked for.'
	},
	{
		word: 'counts',
		name: 'Intact counts for both',
		meaning: 'The single cards; a panel in one piece stands for each of its own.'
	},
	{
		word: 'both',
		name: 'Both',
		meaning: 'The single cards, and the panel in one piece beside them.'
	}
] as const satisfies readonly RuleChoice<string>[];
export type PanelRule = (typeof PANEL_CHOICES)[number]['word'];

export const CUT_CHOICES = [
	{ word: 'any', name: 'Any', meaning: 'However a card was parted from its strip.' },
	{ word: 'hand-cut', name: 'Hand-cut', meaning: 'Only copies marked hand-cut.' },
	{ word: 'perforated', name: 'Perforated', meaning: 'Only copies marked perforated.' }
] as const satisfies readonly RuleChoice<string>[];
export type CutRule = (typeof CUT_CHOICES)[number]['word'];

/** What complete means, with every rule decided. */
export interface GoalRules {
	readonly kinds: readonly SectionKind[];
	/** Sections taken in, or left out, whatever their kind: `release/section`. */
	readonly sectionsIn: readonly string[];
	readonly sectionsOut: readonly string[];
	readonly finishes: FinishRule;
	/** Parallels of `chosen`, by key. */
	readonly parallels: readonly string[];
	/** Versions printed fewer times are left out as unobtainable; 0 leaves none out. */
	readonly leastRun: number;
	readonly variants: VariantRule;
	readonly errors: ErrorRule;
	/** Premium re-issues and regional editions. */
	readonly editions: boolean;
	readonly panels: PanelRule;
	readonly cut: CutRule;
	readonly leastCondition?: Condition;
	/** `release/section` → the least condition there. */
	readonly sectionConditions: Readonly<Record<string, Condition>>;
	/** A filled slot below this is to be upgraded. */
	readonly wishCondition?: Condition;
	readonly sets: number;
	/** A copy that fills a slot here fills none of another goal. */
	readonly keepsOwn: boolean;
	/** Only cards that show this subject. */
	readonly subject?: string;
	/** Only cards of this group. */
	readonly group?: string;
	/** Only cards with one of these words, in each of the families named. */
	readonly tags: Readonly<Record<string, readonly string[]>>;
	/** Only cards of these series of their numbering, by name. */
	readonly series: readonly string[];
	/** Only what is known to exist at least so surely: 'likely' leaves out what is doubtful or not seen yet. */
	readonly leastConfidence?: Confidence;
	/** Only graded copies fill a slot. */
	readonly graded?: GradeNeed;
	/** These versions, each a slot of its own, beside the cards that the other rules ask for. */
	readonly versions: readonly string[];
	/** What is collected beside the cards, by kind: a slot each, whatever the cards that are asked for. */
	readonly collectibles: readonly CollectibleKind[];
	/** Only these cards: `release/card`. */
	readonly picked?: readonly string[];
	/** Keys of further releases; a subject or group without any goes over all. */
	readonly releases: readonly string[];
}

/** Rules as they are stored: a preset, and what was decided otherwise. */
export type GoalChoice = {
	readonly preset: PresetKey;
	/** The parallel of a parallel run. */ readonly parallel?: string;
} & Partial<GoalRules>;

/** Decides what a choice leaves open by its preset. */
export function resolveRules({ preset, parallel, ...decided }: GoalChoice): GoalRules {
	const given = Object.fromEntries(
		Object.entries<unknown>(decided).filter(([, value]) => value !== undefined)
	);
	return {
		kinds: [...SECTION_KINDS],
		sectionsIn: [],
		sectionsOut: [],
		finishes: 'base',
		parallels: parallel === undefined ? [] : [parallel],
		leastRun: 0,
		variants: 'ignored',
		errors: 'none',
		editions: true,
		panels: 'singles',
		cut: 'any',
		sectionConditions: {},
		sets: 1,
		keepsOwn: false,
		releases: [],
		tags: {},
		series: [],
		versions: [],
		collectibles: [],
		...presetOf(preset).rules,
		...given
	};
}

/** Whether the goal goes over several releases, named or all. */
export function isAcrossReleases(rules: GoalRules): boolean {
	return rules.releases.length > 0 || spansAll(rules);
}

/** Whether the goal goes over every release of the collection. */
export function spansAll({ subject, group, releases }: GoalRules): boolean {
	return (subject !== undefined || group !== undefined) && releases.length === 0;
}
