import { tick } from 'svelte';

interface HeldKey extends Pick<KeyboardEventInit, 'ctrlKey' | 'metaKey' | 'shiftKey'> {
	readonly key: string;
}
/** What was held before the view was ready (the script in `app.html` holds it). */
type HeldInput = { readonly target: HTMLElement } & (
	| ({ readonly type: 'keydown' } & HeldKey)
	| { readonly type: 'click' }
	| { readonly type: 'submit' }
	| {
			readonly type: 'input' | 'change';
			readonly value: string;
			readonly checked: boolean | undefined;
	  }
);

declare global {
	interface Window {
		/** Gone once it was played again. */
		jadeEarly?: {
			readonly held: HeldInput[];
			isPlaying: boolean;
			isActing: boolean;
			readonly stop: () => void;
		};
	}
}

/** Plays again what was pressed, clicked or chosen before the view was ready, in its order; what comes meanwhile waits. */
export async function playEarlyInput(): Promise<void> {
	const early = window.jadeEarly;
	if (!early || early.isPlaying) return;
	early.isPlaying = true;
	for (let next = early.held.shift(); next; next = early.held.shift()) {
		early.isActing = true;
		play(next);
		early.isActing = false;
		await settled();
	}
	early.stop();
	delete window.jadeEarly;
}

/** What a key opened last, where it needs its time. */
let opening: Promise<unknown> = Promise.resolve();

/** Keys that come while something opens wait for it, and are played again when it has the focus. */
export async function holdKeysUntil(open: Promise<unknown>): Promise<void> {
	const held: HeldKey[] = [];
	const hold = (event: KeyboardEvent) => {
		if (!event.isTrusted || event.key === 'Tab' || event.altKey) return;
		event.preventDefault();
		event.stopPropagation();
		held.push(event);
	};
	opening = open;
	window.addEventListener('keydown', hold, true);
	await open.catch(() => {});
	for (let next = held.shift(); next; next = held.shift()) {
		press(next);
		await tick();
	}
	window.removeEventListener('keydown', hold, true);
}

/** What a key opens takes the focus a moment later. */
async function settled() {
	await tick();
	await opening.catch(() => {});
	await new Promise((done) => setTimeout(done));
}

function play(input: HeldInput) {
	if (input.type === 'keydown') press(input);
	else if (!input.target.isConnected) return;
	else if (input.type === 'click') input.target.click();
	else if (input.type === 'submit') (input.target as HTMLFormElement).requestSubmit();
	else fill(input);
}

function fill(input: HeldInput & { type: 'input' | 'change' }) {
	const field = input.target as HTMLInputElement;
	if (input.checked !== undefined) field.checked = input.checked;
	if (field.type !== 'file') field.value = input.value;
	field.dispatchEvent(new Event(input.type, { bubbles: true }));
}

/** A key that a script presses has no effect of its own: what the browser would do is done here. */
function press({ key, ctrlKey, metaKey, shiftKey }: HeldKey) {
	const target = document.activeElement ?? document.body;
	const event = new KeyboardEvent('keydown', {
		...{ key, ctrlKey, metaKey, shiftKey },
		bubbles: true,
		cancelable: true
	});
	if (!target.dispatchEvent(event) || ctrlKey || metaKey) return;
	if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) {
		if (key === 'Enter') target.form?.requestSubmit();
		else if (key.length === 1) typeInto(target, key);
		else if (key === 'Backspace') typeInto(target, '');
	} else if (target instanceof HTMLElement && target.matches('a[href], button, summary')) {
		if (key === 'Enter' || key === ' ') target.click();
	}
}

/** Puts text at the caret; nothing takes the letter before it away. */
function typeInto(field: HTMLInputElement | HTMLTextAreaElement, text: string) {
	const end = field.selectionEnd ?? field.value.length;
	const start = field.selectionStart ?? end;
	const from = text === '' && start === end ? Math.max(0, start - 1) : start;
	field.setRangeText(text, from, end, 'end');
	field.dispatchEvent(new Event('input', { bubbles: true }));
}
