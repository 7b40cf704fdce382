import { formatOfCard, type CardFormat } from '../checklist/card-format.ts';
import { wholeSections } from '../checklist/edition.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import type { Candidate, Tell } from '../checklist/tell.ts';
import { versionMaker } from '../checklist/versions/expand.ts';
import { parseVersionKey } from '../checklist/versions/version-key.ts';
import { candidatesOf } from './candidates-of.ts';
import { featureName } from './features.ts';

/** Something that a card may be mistaken for: a release, a section in a finish, or a version. */
export interface LookAlike extends Candidate {
	/** "27 Quiet Harbour Light, Brass", "Sister issue", "Harbour Lights 1995" */
	readonly name: string;
	readonly release: string;
	readonly releaseKey: string;
	/** Key of its card; null: it is no single card. */
	readonly card: string | null;
	/** Key of its finish; null: base. */
	readonly finish: string | null;
}

/**
 * What a key names: a release ("lights"), a section in a finish ("lights/base", "lights/base~brass"), or
 * a version of a card ("lights/base-27~brass!dusk"), with all its tells. A release is told by the tells of
 * its first base section, by its year and maker; size and thickness are tells where the checklist
 * says them. Null where the release has no such thing.
 */
export function lookAlike(release: Release, key: string): LookAlike | null {
	const at = { release: release.name, releaseKey: release.key };
	const issue: readonly Tell[] = [
		{ feature: 'year', value: release.year, where: 'back', reliability: 'good' },
		{ feature: 'maker', value: release.maker, where: 'back', reliability: 'good' }
	];
	const sections = wholeSections(release);
	if (key === release.key) {
		const main = sections.find(({ kind }) => kind === 'base') ?? sections[0];
		const tells = [...(main ? sectionTells(main) : []), ...issue];
		return { ...at, key, name: release.name, tells: eachOnce(tells), card: null, finish: null };
	}
	const name = parseVersionKey(key);
	if (name?.release !== release.key) return null;
	const parallel = release.parallels.find((each) => each.key === name.parallel);
	if (name.parallel !== null && !parallel) return null;
	const section = sections.find((each) => each.key === name.card);
	if (section && name.variant === null) {
		const tells = [...(parallel?.tells ?? []), ...sectionTells(section), ...issue];
		const called = [section.name, parallel?.name].filter(Boolean).join(', ');
		return { ...at, key, name: called, tells: eachOnce(tells), card: null, finish: name.parallel };
	}
	for (const numbering of numberingsOf(release)) {
		const found = numbering.cards.find(({ card }) => card.key === name.card);
		if (!found) continue;
		const version = versionMaker(release)(numbering.key, found.section, found.card).find(
			(each) => each.key === key
		);
		if (!version) return null;
		const [candidate] = candidatesOf([{ release, ...found, version }]);
		const variant = release.variants.find((each) => each.key === version.variantKey);
		const { number, title } = found.card;
		const called = [
			[number, title].filter(Boolean).join(' '),
			parallel?.name,
			variant?.name,
			found.section.kind === 'base' ? '' : found.section.name
		];
		return {
			...at,
			key,
			name: called.filter(Boolean).join(', '),
			...(candidate?.weight === undefined ? {} : { weight: candidate.weight }),
			tells: eachOnce([
				...(candidate?.tells ?? []),
				...madeTells(formatOfCard(found.section, found.card)),
				...issue
			]),
			card: found.card.key,
			finish: name.parallel
		};
	}
	return null;
}

const sectionTells = (section: Section): readonly Tell[] => [
	...(section.tells ?? []),
	...madeTells(section.format)
];

/** What a ruler and a gauge show; of a standard card nothing is said. */
function madeTells({ widthMm, heightMm, stockPt }: CardFormat = {}): readonly Tell[] {
	return [
		...(widthMm === undefined || heightMm === undefined
			? []
			: [
					{
						feature: 'size',
						value: `${widthMm} × ${heightMm} mm`,
						where: 'ruler',
						reliability: 'good'
					} as const
				]),
		...(stockPt === undefined
			? []
			: [
					{
						feature: 'thickness',
						value: `${stockPt} pt`,
						where: 'gauge',
						reliability: 'good'
					} as const
				])
	];
}

/** What stands first counts. */
const eachOnce = (tells: readonly Tell[]): readonly Tell[] =>
	tells.filter(
		({ feature }, i) =>
			tells.findIndex((other) => featureName(other.feature) === featureName(feature)) === i
	);
