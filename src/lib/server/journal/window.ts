import { AsyncLocalStorage } from 'node:async_hooks';
import { WINDOW_NAME } from '../../schemas/window-name.ts';

/** A window of a browser, as it names itself with each change: what it did, it takes back. */
export type WindowId = string;

const WINDOW_ID = /^[\w-]{8,64}$/;

interface Asking {
	window: WindowId | null;
}
const asking = new AsyncLocalStorage<Asking>();

/** Answers a request; changes that are made meanwhile are of its window. A form says it when it is read. */
export function answerWindow<Answer>(request: Request, answer: () => Answer): Answer {
	const by: Asking = { window: windowOf(request.headers.get(WINDOW_NAME)) };
	const readForm = request.formData.bind(request);
	request.formData = async () => {
		const form = await readForm();
		by.window ??= windowOf(form.get(WINDOW_NAME));
		form.delete(WINDOW_NAME);
		return form;
	};
	return asking.run(by, answer);
}

const windowOf = (said: unknown): WindowId | null =>
	typeof said === 'string' && WINDOW_ID.test(said) ? said : null;

/** The window whose request is being answered; null: a program, or the server itself. */
export const theWindow = (): WindowId | null => asking.getStore()?.window ?? null;
