import { numberingsOf } from '../checklist/numbering.ts';
import { compareTitles } from '../checklist/numbers/compare-card-numbers.ts';
import type { Release } from '../checklist/release.ts';
import { LOOKS, type Tell } from '../checklist/tell.ts';
import { printingsOf, variantFinder } from '../checklist/variant.ts';
import { formatVersionKey, parseVersionKey } from '../checklist/versions/version-key.ts';

/** A copy that is there, and where. */
export interface PassCopy {
	readonly key: string;
	readonly version: string;
	readonly quantity: number;
	readonly isPrintingUnseen: boolean;
	/** Name of its box or binder, with the row; null: it has no place. */
	readonly place: { readonly name: string; readonly row: number | null } | null;
}

/** A printing that a card may be of. */
export interface Printing {
	/** Key of the version. */
	readonly version: string;
	/** "regular", "dusk" */
	readonly name: string;
	/** What to look for: "The sky is red. Turn it over: the line is blue." */
	readonly lookFor: string;
}

/** A card to look at once more. */
export interface PassLine extends PassCopy {
	readonly release: string;
	readonly number: string | null;
	readonly title: string;
	/** Name of its finish; null: base. */
	readonly finish: string | null;
	/** The regular card first. */
	readonly printings: readonly Printing[];
}

/**
 * The second pass over cards already owned: those whose number exists in several printings and of which nobody
 * has looked which it is, in the order in which they stand: by binder or box, row, release and number; what
 * has no place comes last. With `all`, those that were looked at come as well, but for known variants.
 */
export function secondPass(
	releases: readonly Release[],
	copies: readonly PassCopy[],
	{ all = false }: { readonly all?: boolean } = {}
): readonly PassLine[] {
	const places = new Map(releases.map((release) => [release.key, placesIn(release)]));
	const lines = copies.flatMap((copy) => {
		const name = parseVersionKey(copy.version);
		if (!name || name.variant !== null || (!all && !copy.isPrintingUnseen)) return [];
		const found = places.get(name.release)?.get(name.card);
		if (!found) return [];
		const { release, order, card, printingsIn } = found;
		const variants = printingsIn(name.parallel);
		if (variants.length === 0) return [];
		const regular = {
			version: copy.version,
			name: variants.find(({ regularName }) => regularName)?.regularName ?? 'regular',
			lookFor: tellsOf(variants, ({ otherwise }) => otherwise)
		};
		const line: PassLine = {
			...copy,
			release: release.name,
			number: card.number,
			title: card.title,
			finish: release.parallels.find(({ key }) => key === name.parallel)?.name ?? null,
			printings: [
				regular,
				...variants.map((variant) => ({
					version: formatVersionKey({ ...name, variant: variant.key }),
					name: variant.name,
					lookFor: [variant.howToTell, tellsOf([variant], ({ value }) => value)]
						.filter(Boolean)
						.join(' ')
				}))
			]
		};
		return [{ line, order }];
	});
	return lines
		.sort(
			(a, b) =>
				Number(a.line.place === null) - Number(b.line.place === null) ||
				compareTitles(a.line.place?.name ?? '', b.line.place?.name ?? '') ||
				(a.line.place?.row ?? 0) - (b.line.place?.row ?? 0) ||
				compareTitles(a.line.release, b.line.release) ||
				a.order - b.order
		)
		.map(({ line }) => line);
}

function placesIn(release: Release) {
	const find = variantFinder(release.variants);
	let order = 0;
	return new Map(
		numberingsOf(release).flatMap((numbering) =>
			numbering.cards.map(({ section, card }) => [
				card.key,
				{
					release,
					order: order++,
					card,
					printingsIn: (parallel: string | null) => printingsOf(find(section, card), parallel)
				}
			])
		)
	);
}

/** "Sky: red. Turn it over: line, blue." */
function tellsOf(
	variants: readonly { readonly tells?: readonly Tell[] }[],
	of: (tell: Tell) => string | undefined
): string {
	return variants
		.flatMap(({ tells = [] }) => tells)
		.flatMap((tell) => {
			const value = of(tell);
			if (value === undefined) return [];
			const { feature, where = 'front' } = tell;
			const words =
				where === 'front'
					? `${feature}: ${value}.`
					: `${LOOKS[where].words}: ${feature}, ${value}.`;
			return [words.charAt(0).toUpperCase() + words.slice(1)];
		})
		.join(' ');
}
