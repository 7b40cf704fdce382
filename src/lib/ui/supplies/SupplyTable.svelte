<script lang="ts">
	import type { SupplyList, SupplyPrice } from '$lib/core/binder/supplies';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { formatCount, formatMoney } from '../numerals';
	import { totalOf } from './total-of';

	interface Props {
		list: SupplyList;
		prices: readonly SupplyPrice[];
		/** What the counts are called; `onHand`: a column to write in what is there. */
		heads: { readonly count: string; readonly today?: string; readonly onHand?: string };
		/** By key. */
		onHand?: Readonly<Record<string, number>>;
	}
	let { list, prices, heads, onHand = {} }: Props = $props();
	const priceOf = $derived(new Map(prices.map((price) => [price.key, price])));
	const columns = $derived(5 + (heads.today ? 1 : 0) + (heads.onHand ? 1 : 0));
</script>

<div class="overflow-x-auto">
	<table class="table max-w-4xl table-sm [&_td]:text-base [&_th]:text-base">
		<thead
			><tr>
				<th scope="col">Supply</th>
				{#if heads.onHand}<th scope="col">{heads.onHand}</th>{/if}
				<th scope="col" class="text-right">{heads.count}</th>
				{#if heads.today}<th scope="col" class="text-right">{heads.today}</th>{/if}
				<th scope="col">A pack costs</th>
				<th scope="col">Holds</th>
				<th scope="col" class="text-right">Packs</th>
				<th scope="col" class="text-right">Cost</th>
			</tr></thead
		>
		<tbody>
			{#each list.lines as { key, name, count, today, packs, costMinor, currency: of } (key)}
				{@const price = priceOf.get(key)}
				<tr>
					<th scope="row" class="font-normal"
						>{name}<input type="hidden" name="key" value={key} /></th
					>
					{#if heads.onHand}
						<td
							><input
								class="input w-20 text-right input-sm"
								name="onHand"
								inputmode="numeric"
								aria-label="On hand: {name}"
								value={onHand[key] ?? 0}
							/></td
						>
					{/if}
					<td class="text-right text-lg font-semibold">{formatCount(count)}</td>
					{#if heads.today}<td class="text-right"
							>{today === undefined ? '' : formatCount(today)}</td
						>{/if}
					<td
						><input
							class="input w-20 text-right input-sm"
							name="price"
							inputmode="decimal"
							aria-label="Price of a pack: {name}"
							value={price ? formatMinor(price.priceMinor, price.currency) : ''}
						/></td
					>
					<td
						><input
							class="input w-16 text-right input-sm"
							name="packOf"
							inputmode="numeric"
							aria-label="In a pack: {name}"
							value={price?.packOf ?? 1}
						/></td
					>
					<td class="text-right">{packs ?? ''}</td>
					<td class="text-right"
						>{costMinor === undefined || of === undefined ? '' : formatMoney(costMinor, of)}</td
					>
				</tr>
			{/each}
		</tbody>
		<tfoot
			><tr>
				<th scope="row" colspan={columns} class="text-right font-normal"
					>{list.unpriced.length > 0
						? list.totals.length === 0
							? 'Type what a pack costs, and the cost stands here.'
							: `Without ${list.unpriced.join(', ')}, which ${list.unpriced.length === 1 ? 'has' : 'have'} no price`
						: 'In all'}</th
				>
				<td class="text-right text-lg font-semibold text-base-content">{totalOf(list)}</td>
			</tr></tfoot
		>
	</table>
</div>
