import type { Release } from '../../checklist/release.ts';
import type { FoundVersion } from '../../checklist/versions/find-version.ts';
import type { KeptCard } from './storage-class.ts';

/** What the checklist, and a serial number, say of a version for storage classes. */
export function keptCard(
	release: Release,
	{ section, card, version }: FoundVersion,
	serial?: string
): KeptCard {
	const finish = release.parallels.find(({ key }) => key === version.parallelKey)?.name;
	return {
		release: release.key,
		maker: release.maker,
		year: release.year,
		sectionKind: section.kind,
		subjects: card.subjects,
		...(card.group === undefined ? {} : { group: card.group }),
		...(card.tags === undefined ? {} : { tags: card.tags }),
		marks: card.marks,
		...(finish === undefined ? {} : { finish }),
		isVariant: version.variantKey !== null,
		isNumbered: version.printRun !== null || serial !== undefined
	};
}
