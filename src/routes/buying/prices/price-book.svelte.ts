import { flagPrices } from '$lib/core/buying/prices/price-flags';
import { middleOf } from '$lib/core/buying/prices/price';
import { neighbourhoodOf } from '$lib/core/buying/prices/sheet-want';
import type { Problem } from '$lib/core/problem';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';
import { createPriceReader, type PriceReaderOptions } from '../price-reader.svelte';

interface PriceBookOptions extends PriceReaderOptions {
	readonly goal: () => number;
}

/** The line of prices as it is typed: what it would say, what looks wrong, and what was said by now. */
export function createPriceBook(options: PriceBookOptions) {
	let source = $state('');
	let problems = $state.raw<readonly Problem[]>([]);
	let told = $state('');
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
			return problems;
		},
		get told() {
			return told;
		},
		async apply() {
			const taken = reader.line;
			reader.line = '';
			const outcome = await send<{ prices: number; lumps: number }>(
				'POST',
				`/api/goals/${options.goal()}/prices`,
				{ release: options.release().key, line: taken, source }
			);
			problems = outcome.ok ? [] : outcome.problems;
			told = outcome.ok ? `Kept: ${taken}` : '';
			if (!outcome.ok) reader.line = [taken, reader.line].filter(Boolean).join('; ');
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
