import { numberingsOf } from '$lib/core/checklist/numbering';
import type { Release } from '$lib/core/checklist/release';
import type { Price } from '$lib/core/worth/prices/price';
import { readPriceLine } from '$lib/core/buying/prices/read-price-line';
import type { SheetWant } from '$lib/core/buying/prices/sheet-want';
import { indexCards } from '$lib/core/shorthand/card-index';
import { normalPhrase, vocabularyOf } from '$lib/core/shorthand/vocabulary';

export interface PriceReaderOptions {
	readonly release: () => Release;
	/** What is missing of that release, and others. */
	readonly wants: () => readonly (SheetWant & { readonly price: Price | null })[];
	readonly synonyms: () => readonly (readonly [string, string])[];
	readonly currency: () => string;
	/** Whether "5x3" says that there are three. */
	readonly takesCounts?: boolean;
}

/** A line of prices as it is typed, with what it would say. */
export function createPriceReader(options: PriceReaderOptions) {
	let line = $state('');
	const release = $derived(options.release());
	const wants = $derived(options.wants().filter((want) => want.release === release.key));
	const ground = $derived({
		release,
		index: indexCards(release),
		vocabulary: vocabularyOf(release),
		numberingKey: numberingsOf(release)[0]?.key ?? null,
		parallelKey: null,
		owned: new Map<string, number>(),
		synonyms: new Map(options.synonyms().map(([word, means]) => [normalPhrase(word), means])),
		wants,
		priced: new Set(wants.flatMap(({ price, versions }) => (price ? versions : []))),
		currency: options.currency(),
		takesCounts: options.takesCounts ?? false
	});
	const reading = $derived(readPriceLine(line, ground));
	return {
		get line() {
			return line;
		},
		set line(text: string) {
			line = text;
		},
		get wants() {
			return wants;
		},
		get reading() {
			return reading;
		}
	};
}
