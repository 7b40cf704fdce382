import { page } from '$app/state';
import { HOLDER_KINDS, type HolderKind } from '$lib/core/storage/kinds/holder-kind';

/** Kinds of holders: those that come with the program, and one's own, which every page knows. */
export function allHolders(): readonly HolderKind[] {
	return [...HOLDER_KINDS, ...((page.data.holders as readonly HolderKind[] | undefined) ?? [])];
}

/** What a holder is called, in small letters; nothing for none. */
export function holderName(key: string | null | undefined): string {
	return (
		allHolders()
			.find((kind) => kind.key === key)
			?.name.toLowerCase() ?? ''
	);
}
