import type { Cookies } from '@sveltejs/kit';
import { THEMES } from '../schemas/forms/page.ts';

export type Theme = (typeof THEMES)[number];

/** The theme a person chose; undefined: as the system has it. */
export function readTheme(cookies: Cookies): Theme | undefined {
	const chosen = cookies.get('theme');
	return THEMES.find((theme) => theme === chosen);
}
