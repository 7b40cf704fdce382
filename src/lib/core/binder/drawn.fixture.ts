import type { LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { planBinder } from './plan-binder.ts';

export const usual: LayoutChoice = { pageKind: '3x3', order: 'number', blockStart: 'new-page' };
export const slot = (key: string, rest: Partial<BinderSlot> = {}): BinderSlot => ({
	key,
	number: /\d+/.exec(key)?.[0] ?? null,
	title: key,
	block: 'a',
	...rest
});
export const run = (block: string, count: number, rest: Partial<BinderSlot> = {}): BinderSlot[] =>
	Array.from({ length: count }, (_, i) => slot(`${block}${i + 1}`, { block, ...rest }));

/** A page as text: slot keys, T for a title, r reserved, f free, "." for nothing. */
export function drawn(slots: readonly BinderSlot[], choice: Partial<LayoutChoice>) {
	return planBinder(slots, { ...usual, ...choice }).pages.map((page) =>
		page.use === 'cards'
			? page.pockets
					.map((key, i) => key ?? page.marks.find(({ pocket }) => pocket === i)?.use[0] ?? '.')
					.map((kind) => (kind === 't' ? 'T' : kind))
					.join(' ')
			: page.use
	);
}
