import type { GoalRules } from './goal-rules.ts';

/** A school of what complete means, as data. */
export interface Preset {
	readonly key: PresetKey;
	readonly name: string;
	/** One line on what it asks for. */
	readonly meaning: string;
	/** What has to be chosen with it. */
	readonly asks: 'nothing' | 'parallel' | 'card' | 'subject' | 'group' | 'cards';
	/** Where it differs from asking for every card in the base finish; until what it asks for is chosen, no card is taken. */
	readonly rules: Partial<GoalRules>;
}

export const PRESET_KEYS = [
	'base',
	'complete',
	'with-inserts',
	'parallel-run',
	'rainbow',
	'strict-master',
	'subject',
	'group',
	'hand-picked'
] as const;
export type PresetKey = (typeof PRESET_KEYS)[number];

export const PRESETS: readonly Preset[] = [
	{
		key: 'base',
		name: 'Base',
		meaning: 'The common numbered cards, without subsets.',
		asks: 'nothing',
		rules: { kinds: ['base'], editions: false }
	},
	{
		key: 'complete',
		name: 'Complete',
		meaning: 'Base with every subset in its numbering, short prints too.',
		asks: 'nothing',
		rules: { kinds: ['base', 'subset'], editions: false }
	},
	{
		key: 'with-inserts',
		name: 'With inserts',
		meaning: 'Complete, and every insert set.',
		asks: 'nothing',
		rules: { kinds: ['base', 'subset', 'insert'], editions: false }
	},
	{
		key: 'parallel-run',
		name: 'One parallel run',
		meaning: 'One parallel of every card that has it, and nothing else.',
		asks: 'parallel',
		rules: { kinds: ['base', 'subset', 'insert'], finishes: 'chosen' }
	},
	{
		key: 'rainbow',
		name: 'Rainbow of one card',
		meaning: 'Every finish of one card.',
		asks: 'card',
		rules: { finishes: 'all', picked: [] }
	},
	{
		key: 'strict-master',
		name: 'Strict master',
		meaning: 'Every card, extras too, in every finish and variant that is known.',
		asks: 'nothing',
		rules: { finishes: 'all', variants: 'each', errors: 'both' }
	},
	{
		key: 'subject',
		name: 'Subject collection',
		meaning: 'Every card of one person, place or thing, across all releases.',
		asks: 'subject',
		rules: { subject: '' }
	},
	{
		key: 'group',
		name: 'Group collection',
		meaning: 'Every card of one group, across all releases.',
		asks: 'group',
		rules: { group: '' }
	},
	{
		key: 'hand-picked',
		name: 'Hand-picked',
		meaning: 'The cards you name, and no others.',
		asks: 'cards',
		rules: { picked: [] }
	}
];

export function presetOf(key: PresetKey): Preset {
	const preset = PRESETS.find((known) => known.key === key);
	if (!preset) throw new RangeError(`presetOf: no preset "${key}"`);
	return preset;
}
