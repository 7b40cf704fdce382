import { COLLECTIBLE_KINDS } from '../../core/checklist/beside-cards.ts';
import { CARD_SHAPES } from '../../core/checklist/card-format.ts';
import { LONGEST_OUTLINE } from '../../core/checklist/outline/parse-outline.ts';
import { TITLE_SEPARATORS } from '../../core/checklist/subjects-of-titles.ts';
import { RING_KEYS } from '../../core/goal/next-ring.ts';
import { Type } from 'typebox';
import { idOf, list, orNull } from '../vocabulary.ts';
import { Key, Name, asTyped } from './fields.ts';

/* Forms of releases, goals, the palette, and releases side by side. */

export const MendFormSchema = Type.Object({ message: asTyped(10_000) });
export const TitlesFormSchema = Type.Object({ numbering: Key, text: asTyped(5_000_000) });
export const FoundFormSchema = Type.Object({ hunt: Key, lines: asTyped(10_000) });
export const CollectibleFormSchema = Type.Object({
	kind: Type.Enum([...COLLECTIBLE_KINDS]),
	name: Name,
	note: asTyped(1000)
});
export const HuntFormSchema = Type.Object({
	name: Name,
	section: Type.Optional(orNull(Key)),
	source: asTyped(300),
	note: asTyped(1000)
});
/** Something of a list, to be taken off it. */
export const DropFormSchema = Type.Object({ key: Key });
/** Storage classes, a line each. */
/** A step of a mixed pile that is sorted, or open again. */
export const MixedStepFormSchema = Type.Object({
	pile: idOf('tray_piles', 'Reload the page.'),
	step: Type.String({ minLength: 1, maxLength: 500 }),
	done: Type.Enum(['yes', 'no'])
});
export const ClassLinesFormSchema = Type.Object({ lines: asTyped(20_000) });
export const LookedFormSchema = Type.Object({ hunt: Key, where: Name });
export const AddLinesFormSchema = Type.Object({ lines: asTyped(LONGEST_OUTLINE) });
export const SubjectsFormSchema = Type.Object({
	separator: list(Type.Enum([...TITLE_SEPARATORS]), TITLE_SEPARATORS.length),
	/** Left out: every section. */
	section: Type.Optional(Key),
	overwrite: Type.Optional(Type.Literal('on'))
});
export const VariantLineFormSchema = Type.Object({ line: Type.String({ maxLength: 1000 }) });

export const RingFormSchema = Type.Object({ ring: Type.Enum([...RING_KEYS]) });

const Said = (maxLength: number) => Type.Optional(orNull(Type.String({ maxLength })));
export const FinishFormSchema = Type.Object({
	key: Type.Optional(orNull(Key)),
	name: Type.String({ minLength: 1, maxLength: 100, description: 'Give the finish a name.' }),
	look: Said(300),
	howToTell: Said(2000),
	/** As a cell of tells: "edge: green; ink: brass / look back". */
	tells: Said(5000),
	channel: Said(100),
	stockPt: Type.Optional(
		orNull(
			Type.Number({ exclusiveMinimum: 0, maximum: 1000, description: 'A thickness in points.' })
		)
	),
	shape: Type.Optional(orNull(Type.Enum([...CARD_SHAPES])))
});
export const FinishKeyFormSchema = Type.Object({ key: Key });
export const SharedFinishFormSchema = Type.Object({ name: Name });

/* Side by side: "release/section", and whether they are parted */
export const PairFormSchema = Type.Object({
	first: Key,
	other: Key,
	part: Type.Optional(Type.Literal('yes'))
});
/** What is taken of a file of knowledge: ids of differences, a line each. */
export const TakeKnowledgeFormSchema = Type.Object({
	take: asTyped(20_000_000),
	seen: Key
});
