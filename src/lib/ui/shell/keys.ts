/** What keys do, by view; `?` shows the list of the view that is open. */
export interface KeyHint {
	readonly keys: string;
	readonly does: string;
}

const EVERYWHERE: readonly KeyHint[] = [
	{ keys: '/', does: 'go to the entry line' },
	{ keys: 's', does: 'search everything' },
	{ keys: 'Ctrl Z', does: 'undo the last change' },
	{ keys: 'Ctrl Shift Z', does: 'redo it' },
	{ keys: '?', does: 'show these keys, and what words mean' }
];

const WALL: readonly KeyHint[] = [
	{ keys: '← → ↑ ↓', does: 'move on the wall' },
	{ keys: 'Shift + arrow', does: 'choose a run of tiles' },
	{ keys: 'Space', does: 'have it, or have it not' },
	{ keys: '+  −', does: 'one copy more, one less' },
	{ keys: 'Home  End', does: 'first tile, last tile' },
	{ keys: 'o', does: 'open the card' },
	{ keys: 'Esc', does: 'let go of the run' }
];

const SHEET: readonly KeyHint[] = [
	{ keys: '↑ ↓  Enter', does: 'move in a column' },
	{ keys: 'Shift + click', does: 'choose a run of cards' },
	{ keys: 'Ctrl S', does: 'save' }
];

const PILE: readonly KeyHint[] = [
	{ keys: 'Enter', does: 'take the card off the pile' },
	{ keys: '↓ ↑', does: 'choose what it is' },
	{ keys: 'Alt 2 … 9', does: 'take that choice' },
	{ keys: '↓', does: 'in the empty line: it was another one' },
	{ keys: 'Alt 1 … 9', does: 'in the empty line: answer what to look at' },
	{ keys: 'Backspace', does: 'in the empty line: take the last one back' }
];

const BENCH: readonly KeyHint[] = [
	{ keys: 'Tab', does: 'go to the next guide' },
	{ keys: '← → ↑ ↓', does: 'move the guide by a pixel' },
	{ keys: 'Shift + arrow', does: 'move it by ten' }
];

const SECOND_PASS: readonly KeyHint[] = [
	{ keys: '1 … 9', does: 'it is that printing' },
	{ keys: 'k', does: 'skip it: it cannot be told now' }
];

const TRAINER: readonly KeyHint[] = [
	{ keys: '1  2', does: 'it is that one' },
	{ keys: 'Enter', does: 'go on to the next' }
];

const SPREAD: readonly KeyHint[] = [
	{ keys: '← →', does: 'leaf back, leaf on' },
	{ keys: 'PgUp PgDn', does: 'the same, from a pocket too' },
	{ keys: 'Home  End', does: 'first page, last page' },
	{ keys: 'Tab  arrows', does: 'to the pockets, from pocket to pocket' },
	{ keys: 'Space', does: 'pick a card up, put it down: they change places' },
	{ keys: 'Enter', does: 'open the card of a pocket' },
	{ keys: 'Esc', does: 'let go' }
];

const SHOW: readonly KeyHint[] = [
	{ keys: '← →  Space', does: 'page by page' },
	{ keys: 't', does: 'what there is to tell, or not' },
	{ keys: 'f', does: 'full screen' },
	{ keys: 'Esc', does: 'leave the show' }
];

const SLIP: readonly KeyHint[] = [
	{ keys: 'd', does: 'done: put away, or got it' },
	{ keys: 'k', does: 'skip it for now' },
	{ keys: 'n', does: 'it is not there' }
];

const QUESTIONS: readonly KeyHint[] = [
	{ keys: 'f  o  g', does: 'not there: found, out, gone' },
	{ keys: 'l  h  n', does: 'not recorded: log it, it is here now, no' }
];

export function keysOf(pathname: string): readonly KeyHint[] {
	if (/^\/log$/.test(pathname)) {
		return [{ keys: 'Enter', does: 'apply the entry line' }, ...WALL, ...EVERYWHERE];
	}
	if (/^\/goals\/\d/.test(pathname)) return [...WALL, ...EVERYWHERE];
	if (/^\/releases\/[^/]+\/edit$/.test(pathname)) return [...SHEET, ...EVERYWHERE];
	if (/^\/releases\/(?!import|outline|compare)[^/]+$/.test(pathname))
		return [...WALL, ...EVERYWHERE];
	if (/^\/releases\/[^/]+\/cards\//.test(pathname)) {
		return [{ keys: 'x', does: 'take one card off a pile' }, ...EVERYWHERE];
	}
	if (/^\/tell-apart\/second-pass$/.test(pathname)) return [...SECOND_PASS, ...EVERYWHERE];
	if (/^\/tell-apart\/trainer$/.test(pathname)) return [...TRAINER, ...EVERYWHERE];
	if (/^\/log\/pile/.test(pathname)) return [...PILE, ...EVERYWHERE];
	if (/^\/binders\/\d+\/show$/.test(pathname)) return [...SHOW, ...EVERYWHERE];
	if (/^\/binders\/(\d+|side-by-side)$/.test(pathname)) return [...SPREAD, ...EVERYWHERE];
	if (/^\/boxes\/slips\/\d+$/.test(pathname)) return [...SLIP, ...EVERYWHERE];
	if (/^\/bench$/.test(pathname)) return [...BENCH, ...EVERYWHERE];
	if (/^\/boxes\/questions$/.test(pathname)) return [...QUESTIONS, ...EVERYWHERE];
	return EVERYWHERE;
}
