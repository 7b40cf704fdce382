import type { Problem } from '../../problem.ts';
import { parseCardNumber } from '../numbers/card-number.ts';
import type { Evidence } from '../confidence.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { repeatedKeys } from './repeated-keys.ts';

/** What details of a release name wrongly, or contradict in themselves. */
export function checkDetails(release: Release): readonly Problem[] {
	return [
		...release.sections.flatMap((section, s) => {
			const pointer = `/sections/${s}`;
			return [
				...checkPacks(release, section.onlyIn, `${pointer}/onlyIn`),
				...checkPlace(release, section, pointer),
				...checkEvidence(section, pointer),
				...checkCount(section.edition?.from, `${pointer}/edition/from`),
				...section.cards.flatMap((card, c) => [
					...checkPacks(release, card.onlyIn, `${pointer}/cards/${c}/onlyIn`),
					...checkEvidence(card, `${pointer}/cards/${c}`)
				])
			];
		}),
		...release.variants.flatMap((variant, v) => [
			...checkEvidence(variant, `/variants/${v}`),
			...checkBelieved(variant.believed, `/variants/${v}/believed`)
		]),
		...release.parallels.flatMap(({ runs }, p) =>
			runs.flatMap((rule, r) => checkEvidence(rule, `/parallels/${p}/runs/${r}`))
		),
		...repeatedKeys('collectibles', release.collectibles ?? []),
		...repeatedKeys('hunts', release.hunts ?? []),
		...checkMixedPacks(release),
		...checkGuarantees(release),
		...checkHunts(release)
	];
}

/** Where a release names no pack types, any key may be one. */
function checkPacks(
	{ packTypes }: Release,
	keys: readonly string[] | undefined,
	pointer: string
): Problem[] {
	if (packTypes.length === 0) return [];
	return (keys ?? []).flatMap((key): Problem[] =>
		packTypes.some((known) => known.key === key)
			? []
			: [
					{
						pointer,
						field: 'onlyIn',
						message: `no pack type has the key "${key}"`,
						remedy: `Use one of: ${packTypes.map((known) => known.key).join(', ')}.`
					}
				]
	);
}

function checkEvidence({ lookedAt, found }: Evidence, pointer: string): Problem[] {
	if (found === undefined || (lookedAt !== undefined && found <= lookedAt)) return [];
	return [
		{
			pointer: `${pointer}/found`,
			field: 'found',
			message:
				lookedAt === undefined
					? `${found} were found, and it is not said among how many`
					: `${found} were found among ${lookedAt}`,
			remedy: 'Say how many were looked at; no more than these can be found.'
		}
	];
}

function checkCount(from: string | undefined, pointer: string): Problem[] {
	if (from === undefined || parseCardNumber(from).digits !== null) return [];
	return [
		{
			pointer,
			field: 'from',
			message: `"${from}" is no number to count on from`,
			remedy: 'Write the number of the first card: 89, or F1.'
		}
	];
}

function checkBelieved(
	believed: { readonly least: number; readonly most?: number } | undefined,
	pointer: string
): Problem[] {
	if (believed?.most === undefined || believed.most >= believed.least) return [];
	return [
		{
			pointer,
			field: 'believed',
			message: `${believed.least} at least and ${believed.most} at the most exclude each other`,
			remedy: 'Put the smaller number first.'
		}
	];
}

/** A format is made of packs that are themselves no mixtures. */
function checkMixedPacks({ packTypes }: Release): Problem[] {
	return packTypes.flatMap(({ packs = [] }, t) =>
		packs.flatMap(({ packType }, p): Problem[] => {
			const part = packTypes.find(({ key }) => key === packType);
			if (part && part.packs === undefined) return [];
			const plain = packTypes.filter((known) => known.packs === undefined);
			return [
				{
					pointer: `/packTypes/${t}/packs/${p}/packType`,
					field: 'packType',
					message: part
						? `"${part.name}" is itself made of packs`
						: `no pack type has the key "${packType}"`,
					remedy: `Use one of: ${plain.map(({ key }) => key).join(', ')}.`
				}
			];
		})
	);
}

/** What every box holds is named, once, and fits into the box. */
function checkGuarantees({ packTypes, sections, parallels }: Release): Problem[] {
	return packTypes.flatMap(({ name, packsPerBox, packs, guarantees = [] }, t) => {
		const seen = new Set<string>();
		return guarantees.flatMap((guarantee, g): Problem[] => {
			const pointer = `/packTypes/${t}/guarantees/${g}`;
			const tell = (at: string, message: string, remedy: string) => ({
				...{ pointer: `${pointer}${at}`, field: 'guarantees', message, remedy }
			});
			const named = [
				...(guarantee.sections ?? []).map((key) => ['sections', key, sections] as const),
				...(guarantee.parallels ?? []).map((key) => ['parallels', key, parallels] as const)
			];
			const twice = named.filter(([list, key]) => {
				const isTwice = seen.has(`${list}/${key}`);
				seen.add(`${list}/${key}`);
				return isTwice;
			});
			return [
				...(named.length === 0
					? [tell('', 'it is not said of what a box holds so many', 'Name sections or parallels.')]
					: []),
				...named.flatMap(([list, key, things]) =>
					things.some((thing) => thing.key === key)
						? []
						: [
								tell(
									`/${list}`,
									`no ${list === 'sections' ? 'section' : 'parallel'} has the key "${key}"`,
									`Use one of: ${things.map((thing) => thing.key).join(', ')}.`
								)
							]
				),
				...twice.map(([list, key]) =>
					tell(`/${list}`, `"${key}" is guaranteed twice in ${name}`, 'Name it once.')
				),
				...(packs === undefined && packsPerBox === undefined
					? [tell('', `it is not said how many packs a box of ${name} has`, 'Say it.')]
					: []),
				...(packsPerBox !== undefined && guarantee.count > packsPerBox
					? [
							tell(
								'/count',
								`${guarantee.count} cards cannot come in ${packsPerBox} packs, one each`,
								'State so many a pack instead: Hobby 2 a pack.'
							)
						]
					: []),
				...(packs === undefined
					? []
					: [tell('', `${name} is made of other packs`, 'Say it of these.')])
			];
		});
	});
}

/** A card takes the place of one of another section. */
function checkPlace({ sections }: Release, section: Section, pointer: string): Problem[] {
	const { takesPlaceOf } = section;
	if (takesPlaceOf === undefined || takesPlaceOf === null) return [];
	const others = sections.filter(({ key }) => key !== section.key);
	if (others.some(({ key }) => key === takesPlaceOf)) return [];
	const message =
		takesPlaceOf === section.key
			? 'it cannot take its own place in a pack'
			: `no section has the key "${takesPlaceOf}"`;
	const remedy = `Use one of: ${others.map(({ key }) => key).join(', ')}.`;
	return [{ pointer: `${pointer}/takesPlaceOf`, field: 'takesPlaceOf', message, remedy }];
}

function checkHunts({ hunts = [], sections }: Release): Problem[] {
	return hunts.flatMap(({ section }, h): Problem[] =>
		section === undefined || sections.some(({ key }) => key === section)
			? []
			: [
					{
						pointer: `/hunts/${h}/section`,
						field: 'section',
						message: `no section has the key "${section}"`,
						remedy: `Use one of: ${sections.map(({ key }) => key).join(', ')}.`
					}
				]
	);
}
