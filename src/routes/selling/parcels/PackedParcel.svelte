<script lang="ts">
	import type { ParcelsView } from '$lib/server/selling/parcels/parcels-view';
	import { formatMoney, formatSize, formatWeight } from '$lib/ui/numerals';
	import ParcelPicture from './ParcelPicture.svelte';

	interface Props {
		parcel: ParcelsView['plans'][number]['parcels'][number];
		number: number;
		currency: string;
	}
	/** A parcel as it is packed: drawn, and step by step. */
	let { parcel, number, currency }: Props = $props();
</script>

<article
	class="mb-4 flex flex-wrap items-start gap-x-8 gap-y-2 border-t border-base-300 py-3"
	data-testid="parcel"
>
	<ParcelPicture {parcel} />
	<div class="min-w-64 flex-1">
		<h3 class="font-serif text-lg">
			{number}. {parcel.parcel}
			<span class="text-sm quiet"
				>{formatMoney(parcel.priceMinor, currency)}, {formatWeight(parcel.grams)}, {formatSize(
					parcel.lengthMm,
					parcel.widthMm,
					parcel.heightMm
				)}</span
			>
		</h3>
		<ol class="mt-1">
			{#each parcel.steps as step (step.step)}
				<li class="flex gap-3 border-t border-base-300/60 py-1">
					<strong class="w-6 text-right">{step.step}</strong>
					<span
						>{step.name}, {step.lies}<span class="quiet"
							>{step.at === '' ? '' : `, ${step.at}`}{step.layer === 0
								? ', on the bottom'
								: `, ${step.layer + 1}${step.layer === 1 ? 'nd' : step.layer === 2 ? 'rd' : 'th'} layer`}</span
						></span
					>
				</li>
			{/each}
		</ol>
	</div>
</article>
