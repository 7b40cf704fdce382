import type { PageKind } from './page-kind.ts';

/** A pocket of a binder: where a hand finds it. */
export interface PocketAddress {
	readonly volume: number;
	/** From 1, in its volume. */
	readonly pageInVolume: number;
	/** Key of the page kind: on other pages it would be another pocket. */
	readonly kind: string;
	/** From 0, row by row. */
	readonly pocket: number;
}

/** "2/17/3x3/4": volume 2, page 17, of three by three, the fourth pocket. */
export function pocketName({ volume, pageInVolume, kind, pocket }: PocketAddress): string {
	return `${volume}/${pageInVolume}/${kind}/${pocket + 1}`;
}

/**
 * Reads what `pocketName` writes; null where the text is none.
 *
 * @example parsePocketName('0/1/3x3/1') // null
 */
export function parsePocketName(name: string): PocketAddress | null {
	const [, volume, page, kind, nth] =
		/^(\d{1,6})\/(\d{1,6})\/([\p{Ll}\p{Lo}\p{Lm}\p{M}\p{N}.-]+)\/(\d{1,4})$/u.exec(name) ?? [];
	if (!Number(volume) || !Number(page) || !Number(nth) || kind === undefined) return null;
	return { volume: Number(volume), pageInVolume: Number(page), kind, pocket: Number(nth) - 1 };
}

/** "page 17, row 2, pocket 1", with the volume where there are several. */
export function describePocketName(
	name: string,
	kinds: readonly PageKind[],
	volumes: number
): string {
	const address = parsePocketName(name);
	if (!address) return name;
	const columns = kinds.find(({ key }) => key === address.kind)?.columns ?? 1;
	const volume = volumes > 1 ? `volume ${address.volume}, ` : '';
	const row = Math.floor(address.pocket / columns) + 1;
	return `${volume}page ${address.pageInVolume}, row ${row}, pocket ${(address.pocket % columns) + 1}`;
}
