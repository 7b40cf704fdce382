import { tick } from 'svelte';
import type { BinderPage } from '$lib/core/binder/binder-page';
import type { PagePocket } from '$lib/core/binder/order-by-hand';
import type { PageKind } from '$lib/core/binder/page-kind';
import { neighbour, type Spread } from '$lib/core/binder/spread';

interface HandOptions {
	spread: () => Spread;
	pageAt: (page: number) => BinderPage | undefined;
	kindOf: (page: number) => PageKind;
	open: (slot: string) => void;
	/** Two pockets change places; left out: nothing is moved by hand here. */
	swap?: (first: PagePocket, other: PagePocket) => void;
	say: (words: string) => void;
}

export type PocketHand = ReturnType<typeof createPocketHand>;

/**
 * The hand over the open spread: which pocket has the focus, and which card is picked up. Picked up
 * and put down by dragging, or by Space, arrows and Space.
 */
export function createPocketHand(options: HandOptions) {
	let focused = $state<PagePocket | null>(null);
	let picked = $state<PagePocket | null>(null);
	const isSame = (a: PagePocket | null, b: PagePocket) =>
		a?.page === b.page && a.pocket === b.pocket;
	const slotAt = ({ page, pocket }: PagePocket) => options.pageAt(page)?.pockets[pocket] ?? null;
	const isOpen = ({ page }: PagePocket) => {
		const { left, right } = options.spread();
		return page === left || page === right;
	};
	/** The pocket that Tab reaches: the one in focus, else the first of the spread. */
	const stop = $derived.by((): PagePocket => {
		if (focused && isOpen(focused)) return focused;
		const { left, right } = options.spread();
		const shown = [left, right].find(
			(page) => page !== null && options.pageAt(page)?.use === 'cards'
		);
		return { page: shown ?? 1, pocket: 0 };
	});

	function putDown(at: PagePocket) {
		const from = picked;
		picked = null;
		if (!from || isSame(from, at)) return;
		options.swap?.(from, at);
	}

	function pick(at: PagePocket) {
		if (!options.swap) return;
		if (picked) putDown(at);
		else if (slotAt(at) !== null) {
			picked = at;
			options.say('Picked up. Arrows choose a pocket, Space puts it down there, Esc lets go.');
		}
	}

	async function focus(at: PagePocket) {
		focused = at;
		await tick();
		document.querySelector<HTMLElement>(`[data-testid="spread"] [tabindex="0"]`)?.focus();
	}

	return {
		get picked() {
			return picked;
		},
		letGo() {
			picked = null;
		},
		focus,
		/** What a pocket needs to be worked by hand. */
		of: (at: PagePocket) => ({
			isStop: isSame(stop, at),
			isPicked: isSame(picked, at),
			act(does: 'open' | 'pick' | 'focus') {
				const slot = slotAt(at);
				if (does === 'focus') focused = at;
				else if (does === 'pick') pick(at);
				else if (slot !== null) options.open(slot);
			},
			move(key: string) {
				const next = neighbour(options.spread(), options.kindOf, at, key);
				if (next && options.pageAt(next.page)?.use === 'cards') void focus(next);
			},
			drop: () => putDown(at)
		})
	};
}
