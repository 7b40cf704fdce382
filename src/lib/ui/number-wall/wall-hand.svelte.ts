import type { WallTile } from '$lib/core/goal/wall';

/** How a hand chooses tiles: by click, drag, shift-click and keys. What it does with them is the view's. */
export interface WallHand {
	/** The tile that takes the keys. */
	readonly focus: number;
	isChosen(index: number): boolean;
	/** Focus came to a tile by other means than these. */
	focusOn(index: number): void;
	press(index: number, extend: boolean): void;
	over(index: number): void;
	release(): void;
	cancel(): void;
	/** Handles a key; true where it meant something. `below` finds the tile in the next row. */
	key(event: KeyboardEvent, below: (from: number, rows: 1 | -1) => number): boolean;
}

interface HandOptions {
	readonly tiles: () => readonly WallTile[];
	/** Make the chosen tiles alike: had, or not had. */
	readonly fill: (chosen: readonly WallTile[], fill: boolean) => void;
	readonly step: (chosen: readonly WallTile[], step: 1 | -1) => void;
	readonly moved: (index: number) => void;
}

export function createWallHand({ tiles, fill, step, moved }: HandOptions): WallHand {
	let focus = $state(0);
	let anchor = $state(0);
	/**
	 * Tiles under a drag, or of a run chosen by keys; null: only the one in focus. `like`: a
	 * shift-click makes the run like its first tile is; everything else turns the first one over.
	 */
	let run = $state<{ from: number; to: number; dragging: boolean; like: boolean } | null>(null);

	const runOf = () => {
		const { from, to } = run ?? { from: focus, to: focus };
		return tiles().slice(Math.min(from, to), Math.max(from, to) + 1);
	};
	const act = () => {
		const first = tiles()[run?.from ?? focus];
		if (first) fill(runOf(), run?.like ? first.owned > 0 : first.owned === 0);
	};
	const go = (index: number, extend: boolean) => {
		const to = Math.max(0, Math.min(tiles().length - 1, index));
		if (extend) run = { from: run?.from ?? focus, to, dragging: false, like: false };
		else {
			run = null;
			anchor = to;
		}
		focus = to;
		moved(to);
	};

	return {
		get focus() {
			return Math.min(focus, Math.max(0, tiles().length - 1));
		},
		isChosen: (index) =>
			run !== null && index >= Math.min(run.from, run.to) && index <= Math.max(run.from, run.to),
		focusOn(index) {
			focus = index;
		},
		press(index, extend) {
			run = { from: extend ? anchor : index, to: index, dragging: true, like: extend };
			if (!extend) anchor = index;
			focus = index;
		},
		over(index) {
			if (run?.dragging) run = { ...run, to: index };
		},
		release() {
			if (!run?.dragging) return;
			act();
			run = null;
		},
		cancel() {
			run = null;
		},
		key(event, below) {
			const extend = event.shiftKey;
			switch (event.key) {
				case 'ArrowRight':
					go(focus + 1, extend);
					return true;
				case 'ArrowLeft':
					go(focus - 1, extend);
					return true;
				case 'ArrowDown':
					go(below(focus, 1), extend);
					return true;
				case 'ArrowUp':
					go(below(focus, -1), extend);
					return true;
				case 'Home':
					go(0, extend);
					return true;
				case 'End':
					go(tiles().length - 1, extend);
					return true;
				case ' ':
				case 'Enter':
					act();
					run = null;
					return true;
				case '+':
				case '=':
					step(runOf(), 1);
					return true;
				case '-':
				case '−':
					step(runOf(), -1);
					return true;
				case 'Escape':
					run = null;
					return true;
				default:
					return false;
			}
		}
	};
}
