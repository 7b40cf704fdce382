import { getContext, setContext } from 'svelte';

/** What a choice of releases shows. */
export interface ReleaseName {
	readonly key: string;
	readonly name: string;
}

export interface ReleaseNames {
	/** In order of year and name; empty until they were loaded. */
	readonly all: readonly ReleaseName[];
	/** Asks for them anew, or goes on with what is asked for already. */
	readonly load: () => Promise<void>;
}

const KEY = Symbol('release names');

/**
 * The names of all releases, for every choice on every page: they are many, so that no page carries
 * them along. Called once, by the layout of all pages.
 */
export function provideReleaseNames(): void {
	let all = $state.raw<readonly ReleaseName[]>([]);
	let running: Promise<void> | null = null;

	async function fetchAll() {
		const response = await fetch('/api/release-names');
		if (response.ok) all = (await response.json()) as readonly ReleaseName[];
	}
	const names: ReleaseNames = {
		get all() {
			return all;
		},
		load() {
			running ??= fetchAll()
				// Without an answer a choice goes on showing what it shows.
				.catch(() => undefined)
				.finally(() => (running = null));
			return running;
		}
	};
	setContext(KEY, names);
}

export const releaseNames = (): ReleaseNames => getContext<ReleaseNames>(KEY);
