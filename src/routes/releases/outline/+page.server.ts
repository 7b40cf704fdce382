import { formatOutline } from '$lib/core/checklist/outline/format-outline';
import { linesOfRelease, nextYear } from '$lib/core/checklist/outline/lines-of-release';
import { theCollection } from '$lib/server/collection';
import { loadRelease } from '$lib/server/releases/load-release';

/** The outline of a release on the same model, where the address names one (`?like=key`): the next year's. */
export const load = async ({ url }) => {
	const like = url.searchParams.get('like');
	const stored = like ? await loadRelease((await theCollection()).db, like) : null;
	if (!stored) return { like: null };
	const lines = linesOfRelease(stored.release).map((line) =>
		line.kind === 'release' ? nextYear(line) : line
	);
	return { like: { name: stored.release.name, outline: formatOutline(lines) } };
};
