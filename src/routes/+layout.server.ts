import { theCollection } from '$lib/server/collection';
import { nextSteps } from '$lib/server/journal/undo';
import { readTheme } from '$lib/server/theme';

export const load = async ({ cookies, depends }) => {
	depends('jade:journal');
	const { undo, redo } = await nextSteps((await theCollection()).db);
	return { theme: readTheme(cookies), undo, redo };
};
