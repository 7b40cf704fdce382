import { numberingsOf } from '$lib/core/checklist/numbering';
import type { Release } from '$lib/core/checklist/release';
import { flagPrices } from '$lib/core/buying/prices/price-flags';
import { middleOf, type Price } from '$lib/core/buying/prices/price';
import { readPriceLine } from '$lib/core/buying/prices/read-price-line';
import { neighbourhoodOf, type SheetWant } from '$lib/core/buying/prices/sheet-want';
import type { Problem } from '$lib/core/problem';
import { indexCards } from '$lib/core/shorthand/card-index';
import { normalPhrase, vocabularyOf } from '$lib/core/shorthand/vocabulary';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';

interface PriceBookOptions {
	readonly goal: () => number;
	readonly release: () => Release;
	readonly wants: () => readonly (SheetWant & { readonly price: Price | null })[];
	readonly synonyms: () => readonly (readonly [string, string])[];
	readonly currency: () => string;
}

/** The line of prices as it is typed: what it would say, what looks wrong, and what was said by now. */
export function createPriceBook(options: PriceBookOptions) {
	let line = $state('');
	let source = $state('');
	let problems = $state.raw<readonly Problem[]>([]);
	let told = $state('');
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
		currency: options.currency()
	});
	const reading = $derived(readPriceLine(line, ground));
	/** What is typed looks wrong beside what is on the sheet. */
	const flags = $derived.by(() => {
		const said = new Map(reading.prices.map((price) => [price.version, price]));
		const lines = wants.flatMap((want) => {
			const typed = want.versions.map((version) => said.get(version)).find(Boolean);
			const price = typed?.price ?? want.price;
			if (!price) return [];
			return {
				key: want.key,
				neighbourhood: neighbourhoodOf(want),
				minor: middleOf(price),
				...(typed && want.price ? { beforeMinor: middleOf(want.price) } : {}),
				...(typed?.reason === undefined ? {} : { reason: typed.reason })
			};
		});
		const isTyped = new Set(
			wants.flatMap(({ key, versions }) =>
				versions.some((version) => said.has(version)) ? [key] : []
			)
		);
		return [...flagPrices(lines)].flatMap(([key, flag]) =>
			isTyped.has(key) ? [{ key, flag }] : []
		);
	});

	return {
		get line() {
			return line;
		},
		set line(text: string) {
			line = text;
		},
		get source() {
			return source;
		},
		set source(text: string) {
			source = text;
		},
		get reading() {
			return reading;
		},
		get flags() {
			return flags;
		},
		get problems() {
			return problems;
		},
		get told() {
			return told;
		},
		async apply() {
			const taken = line;
			line = '';
			const outcome = await send<{ prices: number; lumps: number }>(
				'POST',
				`/api/goals/${options.goal()}/prices`,
				{ release: release.key, line: taken, source }
			);
			problems = outcome.ok ? [] : outcome.problems;
			told = outcome.ok ? `Kept: ${taken}` : '';
			if (!outcome.ok) line = [taken, line].filter(Boolean).join('; ');
			await refreshCopies();
		},
		async forget(what: { readonly version: string } | { readonly lump: number }) {
			const outcome = await send('DELETE', `/api/goals/${options.goal()}/prices`, what);
			problems = outcome.ok ? [] : outcome.problems;
			told = outcome.ok ? 'Forgotten; undo brings it back.' : '';
			await refreshCopies();
		}
	};
}
