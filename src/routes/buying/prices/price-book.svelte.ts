import { flagPrices } from '$lib/core/buying/prices/price-flags';
import { middleOf } from '$lib/core/worth/prices/price';
import { neighbourhoodOf } from '$lib/core/buying/prices/sheet-want';
import { createReport } from '$lib/ui/change-report.svelte';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';
import { createPriceReader, type PriceReaderOptions } from '../price-reader.svelte';

interface PriceBookOptions extends PriceReaderOptions {
	readonly goal: () => number;
}

/** The line of prices as it is typed: what it would say, what looks wrong, and what was said by now. */
export function createPriceBook(options: PriceBookOptions) {
	let source = $state('');
	const report = createReport();
	const reader = createPriceReader(options);
	/** What is typed looks wrong beside what is on the sheet. */
	const flags = $derived.by(() => {
		const said = new Map(reader.reading.prices.map((price) => [price.version, price]));
		const lines = reader.wants.flatMap((want) => {
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
			reader.wants.flatMap(({ key, versions }) =>
				versions.some((version) => said.has(version)) ? [key] : []
			)
		);
		return [...flagPrices(lines)].flatMap(([key, flag]) =>
			isTyped.has(key) ? [{ key, flag }] : []
		);
	});

	return {
		get line() {
			return reader.line;
		},
		set line(text: string) {
			reader.line = text;
		},
		get source() {
			return source;
		},
		set source(text: string) {
			source = text;
		},
		get reading() {
			return reader.reading;
		},
		get flags() {
			return flags;
		},
		get problems() {
			return report.problems;
		},
		get told() {
			return report.told;
		},
		async apply() {
			const taken = reader.line;
			reader.line = '';
			const outcome = await report.of(
				send('POST', `/api/goals/${options.goal()}/prices`, {
					release: options.release().key,
					line: taken,
					source
				}),
				{ said: () => `Kept: ${taken}` }
			);
			if (!outcome.ok) reader.line = [taken, reader.line].filter(Boolean).join('; ');
			await refreshCopies();
		},
		async forget(what: { readonly version: string } | { readonly lump: number }) {
			await report.of(send('DELETE', `/api/goals/${options.goal()}/prices`, what), {
				said: () => 'Forgotten; undo brings it back.'
			});
			await refreshCopies();
		}
	};
}
