import type { BinderPage } from './binder-page.ts';
import { pageKindOf, pocketsOf, type PageKind } from './page-kind.ts';
import { parsePocketName, pocketName } from './pocket-name.ts';

/**
 * The pages of a plan with what physically lies in them. Cards that lie on leaves the plan does not
 * have, or has of another kind, are shown on pages of their own behind all others.
 *
 * @param lying pockets by name, with the slot their card was put in for
 */
export function pagesAsTheyLie(
	pages: readonly BinderPage[],
	lying: readonly { readonly pocket: string; readonly slot: string }[],
	kinds: readonly PageKind[]
): readonly BinderPage[] {
	const slots = new Map(lying.map(({ pocket, slot }) => [pocket, slot]));
	const shown = pages.map((page): BinderPage => {
		const pockets = page.pockets.map((_, pocket) => {
			const name = pocketName({ ...page, pocket });
			const slot = slots.get(name) ?? null;
			slots.delete(name);
			return slot;
		});
		return { ...page, pockets, marks: [] };
	});
	const others = new Map<string, { page: BinderPage; pockets: (string | null)[] }>();
	for (const [name, slot] of slots) {
		const address = parsePocketName(name);
		if (!address) continue;
		const { volume, pageInVolume, kind, pocket } = address;
		const place = `${volume}/${pageInVolume}/${kind}`;
		const size = pocketsOf(pageKindOf(kind, kinds));
		const known = others.get(place) ?? {
			page: {
				page: shown.length + others.size + 1,
				volume: (pages.at(-1)?.volume ?? 0) + 1,
				pageInVolume,
				kind,
				use: 'cards',
				blocks: [`former page ${pageInVolume}`],
				opens: [0],
				pockets: [],
				marks: []
			},
			pockets: Array<string | null>(size).fill(null)
		};
		known.pockets[pocket] = slot;
		others.set(place, known);
	}
	return [...shown, ...[...others.values()].map(({ page, pockets }) => ({ ...page, pockets }))];
}
