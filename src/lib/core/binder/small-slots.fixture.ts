import type { BinderSlot } from './binder-slot.ts';

/** So many slots of one block: s1, s2 … */
export const smallSlots = (count: number, rest: Partial<BinderSlot> = {}): BinderSlot[] =>
	Array.from({ length: count }, (_, i) => ({
		key: `s${i + 1}`,
		number: String(i + 1),
		title: '',
		block: 'a',
		...rest
	}));

/** Four pockets a page, by number. */
export const SMALL_LAYOUT = { pageKind: '2x2', order: 'number', blockStart: 'new-page' } as const;
