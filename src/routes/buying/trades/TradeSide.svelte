<script lang="ts">
	import type { TradeOption } from '$lib/server/buying/trades/trades-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	interface Props {
		title: string;
		options: readonly TradeOption[];
		/** Keys of those that change hands. */
		chosen: ReadonlySet<string>;
		sumMinor: number;
		currency: string;
		/** By key: it has to be part of it, or is left out. */
		ways: Record<string, string>;
		choose: () => void;
	}
	/** What one side could give: those that change hands first. */
	let { title, options, chosen, sumMinor, currency, ways = $bindable(), choose }: Props = $props();
	const sorted = $derived(
		[...options].sort((a, b) => Number(chosen.has(b.key)) - Number(chosen.has(a.key)))
	);
	const id = $props.id();
</script>

<section class="min-w-0 flex-1" aria-labelledby={id}>
	<h2 {id} class="flex items-baseline justify-between border-b border-base-300 pb-1">
		<span class="font-serif text-xl">{title}</span>
		<span
			><strong>{countOf(chosen.size, 'card')}</strong> of {options.length}, {formatMoney(
				sumMinor,
				currency
			)}</span
		>
	</h2>
	<ul>
		{#each sorted as option (option.key)}
			{@const isIn = chosen.has(option.key)}
			<li
				class={[
					'flex items-center gap-3 border-t border-base-300 py-1',
					!isIn && 'text-base-content/70'
				]}
				data-testid={isIn ? 'traded' : 'not-traded'}
			>
				<span class="w-4 text-primary" aria-hidden="true">{isIn ? '✓' : ''}</span>
				<span class="min-w-0 flex-1 truncate" title="{option.name}, {option.release}"
					>{option.name} <span class="text-sm quiet">{option.release}</span></span
				>
				<span class="text-right whitespace-nowrap"
					>{option.minor === null
						? 'no price'
						: `${option.isEstimated ? '≈ ' : ''}${formatMoney(option.minor, currency)}`}</span
				>
				<select
					class="select w-24 select-xs"
					aria-label="{option.name} in the trade"
					bind:value={() => ways[option.key] ?? '', (way) => (ways[option.key] = way)}
					onchange={choose}
				>
					<option value="">may be</option>
					<option value="fixed">in</option>
					<option value="without">out</option>
				</select>
			</li>
		{:else}
			<li class="py-2 quiet">Nothing of it.</li>
		{/each}
	</ul>
</section>
