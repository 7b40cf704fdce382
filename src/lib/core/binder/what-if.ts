import { resolveLayout, type BinderLayout, type LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { STANDARD_CARD } from '../measuring/card-size.ts';
import { fitOf } from './card-fit.ts';
import { PAGE_KINDS } from './page-kind.ts';
import { planBinder, type BinderSetting } from './plan-binder.ts';
import { priceSupplies, suppliesOf, type SupplyList, type SupplyPrice } from './supplies.ts';

/** What a change of layout would take. */
export interface WhatIf {
	readonly change: Partial<BinderLayout>;
	readonly cardPages: number;
	readonly leaves: number;
	readonly volumes: number;
	readonly supplies: SupplyList;
}

/** Free pockets a block that "more slack" tries. */
const MORE_SLACK = 3;

/** Plans a binder under each of some changes, the layout as it is first. */
export function whatIf(
	slots: readonly BinderSlot[],
	layout: LayoutChoice,
	changes: readonly Partial<BinderLayout>[],
	setting: Partial<BinderSetting> = {},
	prices: readonly SupplyPrice[] = []
): readonly [WhatIf, ...WhatIf[]] {
	const tryOut = (change: Partial<BinderLayout>): WhatIf => {
		const changed = { ...layout, ...change };
		const plan = planBinder(slots, changed, setting);
		return {
			change,
			cardPages: plan.cardPages,
			leaves: plan.leaves,
			volumes: plan.volumes.length,
			supplies: priceSupplies(suppliesOf(plan, slots, changed, setting), prices)
		};
	};
	return [tryOut({}), ...changes.map(tryOut)];
}

/** The changes people ask about: each other page kind for standard cards, one card a pocket or two, more slack. */
export function usualChanges(
	choice: LayoutChoice,
	setting: Partial<BinderSetting> = {}
): readonly Partial<BinderLayout>[] {
	const layout = resolveLayout(choice);
	const kinds = [...(setting.pageKinds ?? []), ...PAGE_KINDS];
	return [
		...kinds
			.filter(({ key }) => key !== layout.pageKind)
			.filter((kind) => fitOf(STANDARD_CARD, kind) === 'fits')
			.map(({ key }) => ({ pageKind: key })),
		{ cardsAPocket: layout.cardsAPocket === 1 ? 2 : 1 } as const,
		{ slack: layout.slack + MORE_SLACK }
	];
}
