<script lang="ts">
	import { middleOf, type Price } from '$lib/core/worth/prices/price';
	import { formatMoney } from '$lib/ui/numerals';
	import { formatPriceRange } from '$lib/ui/money';
	import type { PageData } from './$types';

	type Sheet = NonNullable<PageData['view']>['sheet'];
	interface Props {
		sheet: Sheet;
		currency: string;
		postageMinor: number;
		/** Puts the cards of a line into the entry line. */
		price: (line: Sheet['lines'][number]) => void;
		forget: (line: Sheet['lines'][number]) => void;
	}
	let { sheet, currency, postageMinor, price, forget }: Props = $props();
	const BASES = {
		sale: 'sold',
		asking: 'said',
		estimate: 'guessed',
		lump: 'one sum',
		neighbours: 'by its neighbours',
		unknown: ''
	} as const;
	const middle = (price: Price) => formatMoney(middleOf(price), currency);
</script>

<table
	class="table table-sm max-sm:[&_td]:px-1 max-sm:[&_th]:px-1"
	aria-label="Missing cards from cheap to dear"
>
	<thead>
		<tr>
			<th>Card</th>
			<th class="text-right">Price</th>
			<th class="max-sm:hidden">Known by</th>
			<th class="text-right max-sm:hidden">Running</th>
			<th class="w-8"><span class="sr-only">Take away</span></th>
		</tr>
	</thead>
	<tbody>
		{#each sheet.lines as line (line.key)}
			<tr data-testid="sheet-line">
				<td class="max-w-72">
					<button class="text-left hover:underline" onclick={() => price(line)}>
						<strong class="font-serif text-lg font-medium">{line.name}</strong>
						<span class="quiet">{line.title === line.name ? '' : line.title}</span>
					</button>
					{#if line.quantity > 1}<span class="quiet">× {line.quantity}</span>{/if}
					{#if line.isKey}<span class="text-accent" title="key card">◆ key</span>{/if}
					<span class="block text-xs quiet"
						>{line.group}{#if line.reason}
							· {line.reason}{/if}</span
					>
					{#if line.flag}
						<span class="block text-sm text-accent" data-testid="sheet-flag"
							>{line.flag.kind === 'ten-fold'
								? '! A slip of the decimal mark?'
								: '! Fits no neighbour'}
							({formatMoney(line.flag.againstMinor, currency)}
							{line.flag.against === 'before' ? 'before' : 'beside it'})</span
						>
					{/if}
				</td>
				<td class="text-right text-lg sm:whitespace-nowrap">
					{#if line.basis === 'unknown'}
						<span class="quiet">?</span>
					{:else}
						<span class={[line.basis === 'neighbours' && 'estimate']}
							>{formatPriceRange(line, currency)}</span
						>
						{#if line.isDearByPost}
							<span class="block text-xs text-accent" data-testid="dear-by-post"
								>✉ alone {formatMoney(postageMinor, currency)} more</span
							>
						{/if}
					{/if}
				</td>
				<td class="text-sm quiet max-sm:hidden"
					>{BASES[line.basis]}{line.on ? `, ${line.on}` : ''}</td
				>
				<td class="text-right whitespace-nowrap max-sm:hidden"
					>{line.basis === 'unknown' ? '' : middle(line.running)}</td
				>
				<td>
					{#if line.basis !== 'unknown' && line.basis !== 'neighbours'}
						<button
							class="btn btn-square btn-ghost btn-sm"
							aria-label="Take away the price of {line.name}"
							title="Take this price away"
							onclick={() => forget(line)}>✕</button
						>
					{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</table>
