import { FEW_RELEASES } from '$lib/ui/release-names.svelte';
import { theCollection } from '$lib/server/collection';
import { localeOf } from '$lib/server/locale';
import { nextSteps } from '$lib/server/journal/undo';
import { readHolderKinds } from '$lib/server/places/keeping';
import { listReleaseNames } from '$lib/server/releases/list-releases';
import { readTheme } from '$lib/server/theme';

export const load = async ({ cookies, depends, request, locals: { role } }) => {
	depends('jade:journal');
	const theme = readTheme(cookies);
	const locale = localeOf(request.headers.get('accept-language'));
	// Who only knows a link learns nothing of the rest.
	if (role === null) {
		return {
			theme,
			role,
			locale,
			servedAt: Date.now(),
			undo: null,
			redo: null,
			holders: [],
			releaseNames: []
		};
	}
	const { db } = await theCollection();
	const { undo, redo } = await nextSteps(db);
	const releaseNames = await listReleaseNames(db, FEW_RELEASES + 1);
	return {
		theme,
		role,
		/** By which numbers, dates and money are written. */
		locale,
		/** For whoever sees the page later, without a network; ms since 1970. */
		servedAt: Date.now(),
		undo,
		redo,
		/** Kinds of holders of one's own. */
		holders: await readHolderKinds(db),
		/** Of few releases, so that every choice is whole at once; empty: they are many, and loaded when asked for. */
		releaseNames: releaseNames.length > FEW_RELEASES ? [] : releaseNames
	};
};
