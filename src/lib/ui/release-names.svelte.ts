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

/** Of so many releases the names come with the page; of more they are loaded when asked for. */
export const FEW_RELEASES = 100;

const KEY = Symbol('release names');

/**
 * The names of all releases, for every choice on every page: where they are many, no page carries them
 * along. Called once, by the layout of all pages.
 *
 * @param few those that came with the page; empty where they are many
 */
export function provideReleaseNames(few: () => readonly ReleaseName[]): void {
	let many = $state.raw<readonly ReleaseName[]>([]);
	let running: Promise<void> | null = null;

	async function fetchAll() {
		const response = await fetch('/api/release-names');
		if (response.ok) many = (await response.json()) as readonly ReleaseName[];
	}
	const names: ReleaseNames = {
		get all() {
			return few().length > 0 ? few() : many;
		},
		async load() {
			if (few().length > 0) return;
			running ??= fetchAll()
				// Without an answer a choice goes on showing what it shows.
				.catch(() => undefined)
				.finally(() => (running = null));
			await running;
		}
	};
	setContext(KEY, names);
}

export const releaseNames = (): ReleaseNames => getContext<ReleaseNames>(KEY);
