import { Type, type Static } from 'typebox';
import { COLLECTIBLE_KINDS } from '../core/checklist/beside-cards.ts';
import { CARD_SHAPES } from '../core/checklist/card-format.ts';
import { SLIP_STATES } from '../core/storage/slips/slip-line.ts';
import { LONGEST_OUTLINE } from '../core/checklist/outline/parse-outline.ts';
import { TITLE_SEPARATORS } from '../core/checklist/subjects-of-titles.ts';
import { RING_KEYS } from '../core/goal/next-ring.ts';
import { LONGEST_LINE } from '../core/shorthand/parse-entry-line.ts';
import { BLOCK_ORDERS, GOAL_ORDERS } from '../core/binder/binder-layout.ts';
import { BinderKindSchema, LayoutChangeSchema, PageKindSchema } from './binder.ts';
import { BoxKindSchema } from './compute-boxes.ts';
import { HolderKindSchema } from './compute-holders.ts';
import { ShelfSchema } from './shelf.ts';
import { CONDITIONS } from '../core/copies/condition.ts';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import { SPREADS } from '../core/copies/spread-cost.ts';
import { HAND_TO } from '../core/pile/hand-to.ts';
import { OUTING_KINDS } from '../core/copies/outing.ts';
import { PILE_KINDS } from '../core/pile/next-pile.ts';
import { TRAYS } from '../core/pile/tray.ts';
import { idOf, list, orNull } from './vocabulary.ts';

/** What the forms of the pages hold. `readForm` reads them. */

const Name = Type.String({ maxLength: 200, description: 'At most 200 characters.' });
const Key = Type.String({ maxLength: 420 });
const Line = Type.String({ maxLength: LONGEST_LINE });
/** As it was typed or pasted, blanks and all. */
const asTyped = (maxLength: number) => Type.String({ maxLength, contentMediaType: 'text/plain' });
/** Fields line by line: the first of each list belongs together, and so on. */
const lines = list(Type.String({ maxLength: 420 }), 1000);
const shelfId = orNull(idOf('shelves', 'Choose a shelf, or none.'));

export const THEMES = ['jade-day', 'jade-night'] as const;
export const ThemeChoiceFormSchema = Type.Object({
	theme: Type.Enum([...THEMES]),
	back: Type.Optional(Type.String({ maxLength: 5000 }))
});

/* Files: what was chosen for the columns of a table */
const table = {
	sheet: Type.Optional(Type.String({ maxLength: 200 })),
	column: list(Type.String({ maxLength: 200 }), 500),
	/** Pasted, where no file is chosen. */
	text: Type.Optional(asTyped(64_000_000))
};
export const ChecklistFileFormSchema = Type.Object({
	...table,
	/** A whole checklist, or a list of cards that are added to those that are there. Left out: a checklist. */
	as: Type.Optional(Type.Enum(['checklist', 'list'])),
	name: Type.Optional(Name),
	maker: Type.Optional(Name),
	year: Type.Optional(Name)
});
export const HoldingsFileFormSchema = Type.Object({
	...table,
	currency: Type.Optional(
		Type.String({ pattern: '^([A-Za-z]{3})?$', description: 'Three letters, as EUR or USD.' })
	),
	/** Sets as the list names them, and the releases chosen for them, one by one. */
	set: list(Type.String({ maxLength: 5000 }), 10_000),
	release: list(Key, 10_000)
});

/* Tell apart */
export const LookAlikesFormSchema = Type.Object({
	name: Name,
	of: list(Key, 50),
	note: Type.String({ maxLength: 2000 })
});
export const LookAlikesIdFormSchema = Type.Object({ id: idOf('look_alikes', 'Reload the page.') });

export const PrintingFormSchema = Type.Object({
	copy: idOf('copies', 'Reload the page.'),
	version: Key,
	quantity: Type.Integer({ minimum: 1, maximum: 1_000_000, description: 'Say how many.' })
});

/* Log */
export const PileFormSchema = Type.Object({
	/** The pile that is changed; empty: a new one. */
	pile: orNull(idOf('tray_piles', 'Reload the page.')),
	tray: Type.Enum([...TRAYS]),
	name: Name,
	amount: Type.String({ maxLength: 40, description: 'Say how many: 400, about 400, 350 mm.' }),
	shelfId: shelfId,
	place: Name
});
/** Copies that go out; without a day nobody has said when they are due. */
export const OutFormSchema = Type.Object({
	copy: list(idOf('copies', 'Reload the page.'), 2000),
	kind: Type.Enum([...OUTING_KINDS]),
	to: Type.String({ maxLength: 200 }),
	dueOn: orNull(Type.String({ format: 'date', description: 'Write a date as 1994-10-05.' }))
});
export const BackFormSchema = Type.Object({ outing: idOf('outings', 'Reload the page.') });
/** Of many copies at once; what is empty stays as it is. */
export const ManyFormSchema = Type.Object({
	copy: list(idOf('copies', 'Reload the page.'), 2000),
	status: orNull(Type.Enum([...COPY_STATUSES])),
	condition: orNull(Type.Enum([...CONDITIONS])),
	holder: orNull(Key),
	place: Name,
	source: Name,
	mark: Name,
	unmark: Name,
	/** What one is worth, and what all cost together: "12.50 EUR". */
	value: Name,
	cost: Name,
	by: Type.Enum([...SPREADS])
});
export const HandFormSchema = Type.Object({
	pile: idOf('tray_piles', 'Reload the page.'),
	kind: Type.Enum([...PILE_KINDS]),
	name: Type.String({ maxLength: 420 }),
	to: Type.Enum([...HAND_TO])
});
export const PileIdFormSchema = Type.Object({ pile: idOf('tray_piles', 'Reload the page.') });
export const UnmatchedFormSchema = Type.Object({ row: idOf('unmatched_rows', 'Reload the page.') });
/** A waiting row, or all of them. */
export const MakeFormSchema = Type.Object({
	row: orNull(idOf('unmatched_rows', 'Reload the page.'))
});
export const SettleFormSchema = Type.Object({
	...UnmatchedFormSchema.properties,
	release: Key,
	line: Name
});
export const StepFormSchema = Type.Object({ step: idOf('journal', 'Reload the page.') });

/* Releases */
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

/* Goals */
export const RingFormSchema = Type.Object({ ring: Type.Enum([...RING_KEYS]) });

/* Palette */
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

/* Binders */
export const NewBinderFormSchema = Type.Object({
	goal: idOf('goals', 'Choose a goal for the binder.'),
	name: Name
});
export const BinderFormSchema = Type.Object({
	...Type.Omit(LayoutChangeSchema, ['ownOrder', 'blocks', 'goals']).properties,
	name: Type.Optional(Name)
});
/** Line by line: a goal and the order in which it is laid by itself, or nothing. */
export const HeldGoalsFormSchema = Type.Object({
	goal: list(Type.String({ pattern: '^\\d{1,15}$', description: 'Choose goals.' }), 100),
	order: list(Type.Enum(['', ...GOAL_ORDERS]), 100)
});
export const JoinBinderFormSchema = Type.Object({
	binder: idOf('binders', 'Reload the page.'),
	goal: idOf('goals', 'Choose a goal for the binder.')
});
/** Line by line: a block and the order inside it, or nothing. */
export const BlocksFormSchema = Type.Object({
	block: list(Key, 10_000),
	order: list(Type.Enum(['', ...BLOCK_ORDERS]), 10_000)
});
/** What a collector wants to tell of a block while its pages are shown. */
export const BlockNoteFormSchema = Type.Object({ block: Key, note: asTyped(5000) });
const Pocket = Type.String({ pattern: '^\\d{1,6}/\\d{1,4}$', description: 'Name two pockets.' });
export const SwapFormSchema = Type.Object({ first: Pocket, second: Pocket });
export const CorrectFormSchema = Type.Object({ first: Key, second: Key });
export const StepsDoneFormSchema = Type.Object({
	count: Type.Integer({ minimum: 1, maximum: 1_000_000, description: 'Say how many are done.' }),
	last: Type.String({ maxLength: 2000 })
});
export const PricesFormSchema = Type.Object({
	currency: Key,
	key: lines,
	price: lines,
	packOf: lines
});
export const KindSortFormSchema = Type.Object({ sort: Type.Enum(['page', 'binder']) });
export const PageKindFormSchema = Type.Omit(PageKindSchema, ['key']);
export const BinderKindFormSchema = Type.Omit(BinderKindSchema, ['key', 'hasSewnLeaves']);
export const KindIdFormSchema = Type.Object({ ...KindSortFormSchema.properties, key: Key });

/* Boxes */
export const BoxFormSchema = Type.Object({
	name: Name,
	kind: Key,
	use: Name,
	shelfId,
	/** "12/3": in row 3 of a larger box; empty: in none. */
	inside: Type.String({
		pattern: '^(\\d{1,15}/\\d{1,3})?$',
		description: 'Choose a box and a row.'
	})
});
export const ShiftFormSchema = Type.Object({ by: Type.Enum(['left', 'right']) });
export const NewDividerFormSchema = Type.Object({
	row: Type.Integer({ minimum: 1, maximum: 50, description: 'Name a row of the box.' }),
	label: Name,
	release: Key
});
export const DividerFormSchema = Type.Object({ divider: idOf('dividers', 'Reload the page.') });
export const RenameFormSchema = Type.Object({ ...DividerFormSchema.properties, label: Name });
export const RespaceFormSchema = Type.Object({ step: Type.String({ maxLength: 2000 }) });
export const CheckFormSchema = Type.Object({
	...DividerFormSchema.properties,
	release: Type.Optional(orNull(Key)),
	line: Type.Optional(orNull(Line))
});
export const MovesFormSchema = Type.Object({
	move: list(Type.String({ pattern: '^\\d{1,15} \\d{1,15}$' }), 10_000, {
		minItems: 1,
		description: 'Name a box and a shelf.'
	})
});
export const ShelfFormSchema = Type.Object({
	id: Type.Optional(orNull(idOf('shelves', 'Reload the page.'))),
	...Type.Omit(ShelfSchema, ['ratingG']).properties,
	ratingKg: orNull(Type.Number({ minimum: 0.001, maximum: 5000, description: 'Up to 5,000 kg.' }))
});
export const ShelfIdFormSchema = Type.Object({ id: idOf('shelves', 'Reload the page.') });
export const PlaceBinderFormSchema = Type.Object({
	binder: idOf('binders', 'Reload the page.'),
	shelfId
});
export const BoxKindFormSchema = Type.Omit(BoxKindSchema, ['key', 'isForHolders', 'isSmall']);
export const BoxKindIdFormSchema = Type.Object({ key: Key });
export const ThemeFormSchema = Type.Object({ release: Key, theme: Name });
export const NewSlipFormSchema = Type.Object({
	sort: Type.Enum(['put away', 'pull']),
	of: Type.Enum(['homeless', 'to sell', 'binder', 'line']),
	name: Type.Optional(Name),
	binder: Type.Optional(orNull(idOf('binders', 'Choose a binder.'))),
	release: Type.Optional(Key),
	line: Type.Optional(Line)
});
export type NewSlip = Omit<Static<typeof NewSlipFormSchema>, 'sort' | 'name'>;
export const SlipIdFormSchema = Type.Object({ slip: idOf('slips', 'Reload the page.') });
export const SlipAnswerFormSchema = Type.Object({
	line: idOf('slip_lines', 'Reload the page.'),
	state: Type.Enum([...SLIP_STATES], { description: 'Say done, skipped or not there.' }),
	divider: Type.Optional(orNull(idOf('dividers', 'Reload the page.')))
});
export const SortingFormSchema = Type.Object({
	slip: asTyped(2_000_000),
	finished: Type.Optional(orNull(Type.Integer({ minimum: 0, maximum: 10_000 })))
});
export const AnswerFormSchema = Type.Object({
	question: idOf('discrepancies', 'Reload the page.'),
	key: Key
});
export const TiersFormSchema = Type.Object({
	currency: Type.Optional(Type.String({ maxLength: 10 })),
	tier: lines,
	from: lines,
	holder: lines,
	word: lines,
	named: lines
});
export const RatesFormSchema = Type.Object({ rates: asTyped(20_000) });
export const HolderMovesFormSchema = Type.Object({
	all: Type.Optional(Type.String()),
	copy: list(idOf('copies', 'Reload the page.'), 10_000)
});
export const SuppliesFormSchema = Type.Object({
	...PricesFormSchema.properties,
	onHand: lines
});
/** Line by line: how many are there, and from which number on they are few; empty: not counted, never few. */
export const StockFormSchema = Type.Object({ key: lines, count: lines, least: lines });
export const AsideFormSchema = Type.Object({
	holder: Key,
	count: Type.Integer({ minimum: 1, maximum: 1_000_000, description: 'Say how many.' })
});
export const HolderKindFormSchema = Type.Object({
	...Type.Omit(HolderKindSchema, ['key', 'addsUm']).properties,
	/** What it adds to the thickness of a card. */
	addsMm: Type.Number({ minimum: 0, maximum: 100, description: 'Up to 100 mm.' })
});
