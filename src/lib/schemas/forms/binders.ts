import { BLOCK_ORDERS, GOAL_ORDERS } from '../../core/binder/binder-layout.ts';
import { BinderKindSchema, LayoutChangeSchema, PageKindSchema } from '../binder.ts';
import { Type } from 'typebox';
import { idOf, list } from '../vocabulary.ts';
import { Key, Name, asTyped, lines } from './fields.ts';

/* Forms of binders. */

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
