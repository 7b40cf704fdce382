<script lang="ts">
	import { formatMoney } from '$lib/ui/numerals';

	/** The worth of the whole set as one bar: what is there, and what is still to be paid for. */
	interface Props {
		nowMinor: number;
		wholeMinor: number;
		/** Slots whose worth nobody knows, of how many. */
		unpriced: number;
		need: number;
		currency: string;
	}
	let { nowMinor, wholeMinor, unpriced, need, currency }: Props = $props();
	const part = $derived(wholeMinor === 0 ? 0 : (100 * nowMinor) / wholeMinor);
</script>

{#if wholeMinor > 0}
	<div class="mt-1 flex items-center gap-3">
		<!-- With half of it unknown, no bar would be true. -->
		{#if 2 * unpriced < need}
			<div class="h-3 min-w-0 flex-1 bg-base-300" aria-hidden="true">
				<div class="h-full bg-primary" style:width="{part}%"></div>
			</div>
		{/if}
		<p class="shrink-0 text-sm">
			{formatMoney(nowMinor, currency)} here
			<span class="quiet"
				>of {unpriced > 0 ? 'at least ' : ''}{formatMoney(wholeMinor, currency)} whole</span
			>
		</p>
	</div>
{/if}
