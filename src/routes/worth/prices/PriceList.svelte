<script lang="ts">
	import type { PriceBookView } from '$lib/server/worth/prices/price-book-view';
	import { enhance } from '$lib/ui/form-actions';
	import { formatPriceRange } from '$lib/ui/money';
	import { countOf, formatDay } from '$lib/ui/numerals';

	interface Props {
		listed: PriceBookView['listed'];
		count: number;
		release: string;
	}
	/** What was noted, the last first. */
	let { listed, count, release }: Props = $props();
	const KINDS = { sale: 'sold', asking: 'asked', estimate: 'estimated' } as const;
</script>

<section class="mt-5">
	<h2 class="font-serif text-lg">{countOf(count, 'price')} of this release</h2>
	{#if listed.length === 0}
		<p>
			Nothing is noted yet. Write above what a card was sold for: its number, its grade, the sum.
		</p>
	{:else}
		<div class="overflow-x-auto">
			<table class="table w-auto table-sm">
				<thead
					><tr
						><th>On</th><th>Card</th><th>Grade</th><th class="text-right">Price</th><th></th><th
							>House, where</th
						><th></th></tr
					></thead
				>
				<tbody>
					{#each listed as price (price.id)}
						<tr data-testid="price-point">
							<td class="whitespace-nowrap">{formatDay(price.on)}</td>
							<td class="max-w-64"
								>{price.name} {price.name.startsWith(price.title) ? '' : price.title}</td
							>
							<td>{price.label}</td>
							<td class={['text-right tabular-nums', price.kind !== 'sale' && 'estimate']}
								>{formatPriceRange(price, price.currency)}</td
							>
							<td>{KINDS[price.kind]}</td>
							<td class="text-sm quiet"
								>{[price.house, price.source, price.reason].filter(Boolean).join(', ')}</td
							>
							<td>
								<form method="POST" action="?/drop&release={release}" use:enhance>
									<input type="hidden" name="price" value={price.id} />
									<button
										class="btn btn-ghost btn-xs"
										aria-label="Take out the price of {price.name}, {price.label}">Take out</button
									>
								</form>
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		{#if count > listed.length}<p class="text-sm quiet">
				The last {listed.length} are listed.
			</p>{/if}
	{/if}
</section>
