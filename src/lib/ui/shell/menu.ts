import Archive from '@lucide/svelte/icons/archive';
import BookOpen from '@lucide/svelte/icons/book-open';
import HandCoins from '@lucide/svelte/icons/hand-coins';
import LampDesk from '@lucide/svelte/icons/lamp-desk';
import Library from '@lucide/svelte/icons/library';
import PackageOpen from '@lucide/svelte/icons/package-open';
import PencilLine from '@lucide/svelte/icons/pencil-line';
import ScanSearch from '@lucide/svelte/icons/scan-search';
import Ruler from '@lucide/svelte/icons/ruler';
import Scale from '@lucide/svelte/icons/scale';
import Tag from '@lucide/svelte/icons/tag';
import Target from '@lucide/svelte/icons/target';

/**
 * The main menu, in the order in which the work is done. What comes later is not in it yet. On the phone
 * the most frequent stand in the bar, the others behind "More".
 */
export const MENU = [
	{ path: '/', name: 'Desk', icon: LampDesk, isFrequent: true },
	{ path: '/releases', name: 'Releases', icon: Library, isFrequent: false },
	{ path: '/goals', name: 'Goals', icon: Target, isFrequent: true },
	{ path: '/log', name: 'Log', icon: PencilLine, isFrequent: true },
	{ path: '/tell-apart', name: 'Tell apart', icon: ScanSearch, isFrequent: false },
	{ path: '/binders', name: 'Binders', icon: BookOpen, isFrequent: true },
	{ path: '/boxes', name: 'Boxes', icon: Archive, isFrequent: true },
	{ path: '/buying', name: 'Buying', icon: HandCoins, isFrequent: false },
	{ path: '/packs', name: 'Packs', icon: PackageOpen, isFrequent: false },
	{ path: '/worth', name: 'Worth', icon: Scale, isFrequent: false },
	{ path: '/selling', name: 'Selling', icon: Tag, isFrequent: false },
	{ path: '/bench', name: 'Bench', icon: Ruler, isFrequent: false }
] as const;

export function isCurrent(path: string, pathname: string): boolean {
	return path === '/' ? pathname === '/' : pathname === path || pathname.startsWith(`${path}/`);
}
