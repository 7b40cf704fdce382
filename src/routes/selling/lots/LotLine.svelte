<script lang="ts">
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { LotsView } from '$lib/server/selling/lots/lots-view';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	interface Props {
		lot: LotsView['lots'][number];
		i: number;
		currency: string;
		ticked: readonly number[];
	}
	/** A lot or single as it was dealt: part of the form that makes listings of it. */
	let { lot, i, currency, ticked = $bindable() }: Props = $props();
	const isTicked = $derived(ticked.includes(i));
	const cards = $derived(lot.cards.map(({ key, quantity }) => `${key} ${quantity}`).join(', '));
</script>

<div
	class="flex flex-wrap items-end gap-x-4 gap-y-1 border-b border-base-300 py-2"
	data-testid="lot"
>
	<label class="flex min-w-64 flex-1 items-start gap-3 self-center">
		<input
			type="checkbox"
			name="lot"
			value={i}
			class="checkbox mt-1 checkbox-sm"
			checked={isTicked}
			onchange={() => (ticked = isTicked ? ticked.filter((each) => each !== i) : [...ticked, i])}
		/>
		<span
			>{lot.title}
			<span class="block text-sm quiet"
				>{lot.as === 'lot' ? `a lot of ${countOf(lot.count, 'card')}` : 'a single'}, {lot.channel};
				<span class={lot.assumedMinor > 0 ? 'estimate' : ''}
					>{formatMoney(lot.worthMinor, currency)}</span
				>
				{lot.as === 'lot' ? 'one by one' : 'worth'}{lot.assumedMinor > 0
					? `, of it ${formatMoney(lot.assumedMinor, currency)} assumed`
					: ''}</span
			></span
		>
	</label>
	<input type="hidden" name="as" value={lot.as} />
	<input type="hidden" name="channel" value={lot.channel} />
	<input type="hidden" name="cards" value={cards} />
	<Field label="Asked"
		><input
			name="asking"
			class="input w-24 input-sm"
			inputmode="decimal"
			value={formatMinor(lot.askMinor, currency)}
			aria-label="Asked for {lot.title}"
		/></Field
	>
	<Field label="Not under"
		><input
			name="floor"
			class="input w-24 input-sm"
			inputmode="decimal"
			value={formatMinor(lot.floorMinor, currency)}
			aria-label="{lot.title} not under"
		/></Field
	>
</div>
