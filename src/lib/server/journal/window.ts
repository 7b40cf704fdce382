import { AsyncLocalStorage } from 'node:async_hooks';
import { requestIdOf } from './repeated-request.ts';
import { WINDOW_NAME } from '../../schemas/window-name.ts';

/** A window of a browser, as it names itself with each change: what it did, it takes back. */
export type WindowId = string;

const WINDOW_ID = /^[\w-]{8,64}$/;

/** Who asks, and how the request names itself. */
interface Asker {
	readonly window: WindowId | null;
	readonly request: string | null;
}

const asking = new AsyncLocalStorage<Asker>();

const FORM = /^(multipart\/form-data|application\/x-www-form-urlencoded)/;

/**
 * Answers a request; changes that are made meanwhile are of its window. A form that says it is read here already: some are answered
 * by what they are, and their fields never asked for.
 */
export async function answerWindow<Answer>(
	request: Request,
	answer: () => Answer | Promise<Answer>
): Promise<Answer> {
	let window = windowOf(request.headers.get(WINDOW_NAME));
	if (window === null && isForm(request)) {
		const reading = request.formData();
		// What cannot be read is told by who asks for it.
		const form = await reading.catch(() => null);
		window = windowOf(form?.get(WINDOW_NAME));
		form?.delete(WINDOW_NAME);
		request.formData = () => reading;
	}
	return asking.run({ window, request: requestIdOf(request.headers) }, answer);
}

/** The API takes no forms: its routes read bodies as they come, whatever they are called. */
const isForm = ({ headers, url }: Request): boolean =>
	FORM.test(headers.get('content-type') ?? '') && !new URL(url).pathname.startsWith('/api/');

const windowOf = (said: unknown): WindowId | null =>
	typeof said === 'string' && WINDOW_ID.test(said) ? said : null;

/** Does what a window asked for somewhere else: in a worker. */
export const inWindow = <Value>(
	window: WindowId | null,
	work: () => Promise<Value>
): Promise<Value> => asking.run({ window, request: null }, work);

/** The window whose request is being answered; null: a program, or the server itself. */
export const theWindow = (): WindowId | null => asking.getStore()?.window ?? null;

/** How the request that is being answered names itself; null: it does not. */
export const theRequest = (): string | null => asking.getStore()?.request ?? null;
