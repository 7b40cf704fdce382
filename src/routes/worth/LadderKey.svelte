<script lang="ts">
	import LadderCell from './LadderCell.svelte';
	import { resolve } from '$app/paths';

	interface Props {
		oldMonths: number;
		mostSales: number;
	}
	/** What the cells of the ladder mean. */
	let { oldMonths, mostSales }: Props = $props();
	const cell = {
		...{ label: '', priceMinor: null, lowMinor: null, highMinor: null, sales: 0, isLone: false },
		...{ lastSale: null, askingMinor: null, graded: null, isMixed: false, rank: null }
	};
</script>

<p class="mt-2 max-w-4xl text-sm quiet">
	A price is the median of the last {mostSales} sales of cards like it, a lone sale is drawn as an estimate.
	No price where the last sale lies further back than {oldMonths} months: it stands there in italics,
	struck through. <a class="link" href={resolve('/worth/prices')}>Change these rules</a>.
</p>
<table class="mt-1 text-sm" aria-label="What empty cells mean">
	<tbody>
		<tr>
			<LadderCell
				cell={{ ...cell, empty: 'none graded', graded: 0 }}
				currency="EUR"
				isRanked={false}
			/>
			<td class="pr-6 pl-2">none graded</td>
			<LadderCell
				cell={{ ...cell, empty: 'never sold', graded: 3 }}
				currency="EUR"
				isRanked={false}
			/>
			<td class="pr-6 pl-2">graded, never sold</td>
			<LadderCell cell={{ ...cell, empty: 'not known' }} currency="EUR" isRanked={false} />
			<td class="pl-2">nothing is known</td>
		</tr>
	</tbody>
</table>
