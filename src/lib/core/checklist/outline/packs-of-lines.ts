import type { PackTypeDraft, ReleaseDraft } from '../draft/draft.ts';
import { slug } from '../slug.ts';
import type { PlacedLine } from './parse-outline.ts';

type PackLine = PlacedLine & { readonly kind: 'pack' };

/** The pack type that a line of an outline says. */
export function packOfLine(
	{ name, cards, packs, price, form, madeOf }: PackLine,
	before: ReleaseDraft | null
): PackTypeDraft {
	const keyOfPack = (wanted: string) =>
		before?.packTypes?.find((pack) => slug(pack.name) === slug(wanted))?.key ?? slug(wanted);
	return {
		key: keyOfPack(name),
		name,
		...(cards ? { cardsPerPack: cards } : {}),
		...(packs ? { packsPerBox: packs } : {}),
		...(price ? { priceMinor: price.minor, currency: price.currency } : {}),
		...(form ? { form } : {}),
		...(madeOf
			? { packs: madeOf.map(({ count, pack }) => ({ packType: keyOfPack(pack), count })) }
			: {})
	};
}

/** Pack types that are there, with what lines say of them, then the new ones. */
export function joinPacks(
	before: readonly PackTypeDraft[],
	said: readonly PackTypeDraft[]
): readonly PackTypeDraft[] {
	const isNew = (pack: PackTypeDraft) => !before.some(({ key }) => key === pack.key);
	return [
		...before.map((pack) =>
			said
				.filter(({ key }) => key === pack.key)
				.reduce((all, { name: _, ...more }) => ({ ...all, ...more }), pack)
		),
		...said.filter(isNew)
	];
}
