import Archive from '@lucide/svelte/icons/archive';
import BookOpen from '@lucide/svelte/icons/book-open';
import LampDesk from '@lucide/svelte/icons/lamp-desk';
import Library from '@lucide/svelte/icons/library';
import PencilLine from '@lucide/svelte/icons/pencil-line';
import Target from '@lucide/svelte/icons/target';

/** The main menu, in the order in which the work is done. What comes later is not in it yet. */
export const MENU = [
	{ path: '/', name: 'Desk', icon: LampDesk },
	{ path: '/releases', name: 'Releases', icon: Library },
	{ path: '/goals', name: 'Goals', icon: Target },
	{ path: '/log', name: 'Log', icon: PencilLine },
	{ path: '/binders', name: 'Binders', icon: BookOpen },
	{ path: '/boxes', name: 'Boxes', icon: Archive }
] as const;

export function isCurrent(path: string, pathname: string): boolean {
	return path === '/' ? pathname === '/' : pathname === path || pathname.startsWith(`${path}/`);
}
