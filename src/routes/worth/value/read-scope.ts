import { rowId } from '$lib/core/row-id';
import type { WorthScope } from '$lib/server/worth/value/read-worth-copies';

/**
 * Whose worth an address asks for: "release KEY", "goal 3", "binder 2", "box 7"; anything else: everything.
 */
export function readScope(text: string): WorthScope {
	const [, sort = '', of = ''] = /^(release|goal|binder|box) (.+)$/.exec(text) ?? [];
	if (sort === 'release') return { sort, key: of };
	if (!/^[1-9]\d{0,14}$/.test(of)) return { sort: 'all' };
	const id = Number(of);
	if (sort === 'goal') return { sort, id: rowId<'goals'>(id) };
	if (sort === 'binder') return { sort, id: rowId<'binders'>(id) };
	return sort === 'box' ? { sort, id: rowId<'boxes'>(id) } : { sort: 'all' };
}

/** The text that `readScope` reads. */
export function scopeText(scope: WorthScope): string {
	if (scope.sort === 'all') return '';
	return scope.sort === 'release' ? `release ${scope.key}` : `${scope.sort} ${scope.id}`;
}
