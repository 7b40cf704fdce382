import type { SectionKind } from '../checklist/section.ts';

export const PRESET_KEYS = [
	'base',
	'complete',
	'with-inserts',
	'parallel-run',
	'strict-master'
] as const;
export type PresetKey = (typeof PRESET_KEYS)[number];

/** A school of what complete means, as data. */
export interface Preset {
	readonly key: PresetKey;
	readonly name: string;
	/** One line on what it asks for. */
	readonly meaning: string;
	readonly kinds: readonly SectionKind[];
	/** Which finishes: the base one only, one chosen parallel only, or every one. */
	readonly finishes: 'base' | 'chosen' | 'all';
}

export const PRESETS: readonly Preset[] = [
	{
		key: 'base',
		name: 'Base',
		meaning: 'The common numbered cards, without subsets.',
		kinds: ['base'],
		finishes: 'base'
	},
	{
		key: 'complete',
		name: 'Complete',
		meaning: 'Base with every subset in its numbering.',
		kinds: ['base', 'subset'],
		finishes: 'base'
	},
	{
		key: 'with-inserts',
		name: 'With inserts',
		meaning: 'Complete, and every insert set.',
		kinds: ['base', 'subset', 'insert'],
		finishes: 'base'
	},
	{
		key: 'parallel-run',
		name: 'One parallel run',
		meaning: 'One parallel of every card that has it, and nothing else.',
		kinds: ['base', 'subset', 'insert'],
		finishes: 'chosen'
	},
	{
		key: 'strict-master',
		name: 'Strict master',
		meaning: 'Every card, extras too, in every finish and variant that is known.',
		kinds: ['base', 'subset', 'insert', 'extra'],
		finishes: 'all'
	}
];

export function presetOf(key: PresetKey): Preset {
	const preset = PRESETS.find((known) => known.key === key);
	if (!preset) throw new RangeError(`presetOf: no preset "${key}"`);
	return preset;
}
