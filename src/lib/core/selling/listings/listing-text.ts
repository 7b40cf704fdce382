import { rollup, sum } from 'd3-array';
import { foldRuns } from '../../checklist/fold-runs.ts';
import type { ListingKind } from './listing.ts';

/** A card of a listing as a buyer is told of it. */
export interface ListedCard {
	readonly number: string | null;
	readonly title: string;
	/** The section, and the finish and variant: "Base", "Fresnel, Brass". */
	readonly group: string;
	/** "8.5", "near mint", "raw" where nothing is said. */
	readonly quality: string;
	readonly house: string | null;
	readonly certificate: string | null;
	/** As printed: "14/65" */
	readonly serial: string | null;
	readonly quantity: number;
}

export interface ListingText {
	/** At most 80 letters. */
	readonly title: string;
	/** Lines. */
	readonly text: string;
}

/** Portals and printed lists cut longer titles off. Common practice, no source. */
const MOST_TITLE = 80;

/**
 * What a buyer reads: a title, then what it is, in which condition, and which numbers.
 *
 * @throws RangeError for no card
 */
export function listingText(
	kind: ListingKind,
	release: string,
	cards: readonly ListedCard[]
): ListingText {
	const [first] = cards;
	if (!first) throw new RangeError('listingText: no card');
	const count = sum(cards, ({ quantity }) => quantity);
	if (kind === 'single') {
		const quality = qualityOf(first);
		const card = [first.number, first.title].filter(Boolean).join(' ');
		return {
			title: cut([release, card, first.group === 'Base' ? '' : first.group, quality]),
			text: [
				`${card}, from ${release} (${first.group}).`,
				quality === '' ? '' : `State: ${quality}.`,
				first.serial === null ? '' : `Serial number ${first.serial}.`,
				first.certificate === null ? '' : `Certificate ${first.certificate}.`
			]
				.filter(Boolean)
				.join('\n')
		};
	}
	const groups = [...rollup(cards, textOfGroup, ({ group }) => group)];
	const states = [
		...rollup(
			cards,
			(same) => sum(same, ({ quantity }) => quantity),
			(card) => qualityOf(card) || 'state not said'
		)
	].sort((a, b) => b[1] - a[1]);
	const [[state] = ['']] = states;
	const only = states.length === 1 && state !== 'state not said' ? state : '';
	const names = groups.map(([name]) => name).join(' and ');
	const cardsOf = `${count} card${count === 1 ? '' : 's'}`;
	const what = `${kind} of ${cardsOf}`;
	return {
		title: cut([release, what, groups.length <= 2 ? names : '', only]),
		text: [
			`A ${what} from ${release}.`,
			...groups.map(([name, numbers]) => `${name}: ${numbers}.`),
			`State: ${states.map(([word, many]) => (states.length === 1 ? word : `${many} ${word}`)).join(', ')}.`
		].join('\n')
	};
}

/** "Lantern Room 8.5"; empty where nothing is said. */
function qualityOf({ quality, house }: ListedCard): string {
	return quality === 'raw' ? '' : [house, quality].filter(Boolean).join(' ');
}

/** Numbers folded, doubles said, titles where there is no number. */
function textOfGroup(cards: readonly ListedCard[]): string {
	const numbers = cards.flatMap(({ number }) => number ?? []);
	const titles = cards.flatMap(({ number, title }) => (number === null ? [title] : []));
	const counts = rollup(
		cards,
		(same) => sum(same, ({ quantity }) => quantity),
		({ number, title }) => number ?? title
	);
	const doubles = [...counts].flatMap(([name, many]) => (many > 1 ? [`${name} × ${many}`] : []));
	return [foldRuns(numbers), ...new Set(titles)]
		.filter(Boolean)
		.join(', ')
		.concat(doubles.length > 0 ? ` (${doubles.join(', ')})` : '');
}

/** Parts of a title as far as they go. */
function cut(parts: readonly string[]): string {
	const whole = parts.filter(Boolean).join(', ');
	return whole.length <= MOST_TITLE ? whole : `${whole.slice(0, MOST_TITLE - 1).trimEnd()}…`;
}
