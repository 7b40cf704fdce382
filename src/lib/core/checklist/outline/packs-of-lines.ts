import type { PackTypeDraft, ReleaseDraft } from '../draft/draft.ts';
import type { Problem } from '../../problem.ts';
import type { NamedKey } from '../rule-sheet/column.ts';
import { readGuarantee } from '../rule-sheet/guarantees-column.ts';
import { slug } from '../slug.ts';
import type { PlacedLine } from './parse-outline.ts';

type PackLine = PlacedLine & { readonly kind: 'pack' };

/** The pack type that a line of an outline says. */
export function packOfLine(
	{ line, name, cards, packs, boxes, guarantees = [], price, form, madeOf }: PackLine,
	before: ReleaseDraft | null,
	names: { readonly sections: readonly NamedKey[]; readonly parallels: readonly NamedKey[] },
	problems: Problem[]
): PackTypeDraft {
	const guaranteed = guarantees.flatMap((entry) => {
		const read = readGuarantee(entry, names);
		if (!read.ok) problems.push(...read.problems.map((problem) => ({ ...problem, line })));
		return read.ok ? read.value : [];
	});
	const keyOfPack = (wanted: string) =>
		before?.packTypes?.find((pack) => slug(pack.name) === slug(wanted))?.key ?? slug(wanted);
	return {
		key: keyOfPack(name),
		name,
		...(cards ? { cardsPerPack: cards } : {}),
		...(packs ? { packsPerBox: packs } : {}),
		...(boxes ? { boxesPerCase: boxes } : {}),
		...(guaranteed.length > 0 ? { guarantees: guaranteed } : {}),
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
