<script lang="ts">
	import type { PriceFlag } from '$lib/core/buying/prices/price-flags';
	import type { PriceReading } from '$lib/core/buying/prices/read-price-line';
	import MarkedLine from '$lib/ui/entry-line/MarkedLine.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import { formatPriceRange } from '$lib/ui/money';

	interface Props {
		line: string;
		/** Who said it; left out: it is not asked. */
		source?: string;
		label?: string;
		placeholder?: string;
		reading: PriceReading;
		/** What of it looks wrong, by name. */
		flags: readonly { readonly name: string; readonly flag: PriceFlag }[];
		currency: string;
		told: string;
		apply: () => void;
	}
	let {
		line = $bindable(),
		source = $bindable(),
		label = 'Prices as you hear them',
		placeholder = '5 24 nm; 7 4–4.50; all commons 30',
		reading,
		flags,
		currency,
		told,
		apply
	}: Props = $props();
	let input: HTMLInputElement;
	const isEmpty = $derived(line.trim() === '');
	const isBad = $derived(reading.problems.length > 0 && !isEmpty);
	const summary = $derived.by(() => {
		const { problems, prices, lumps } = reading;
		if (isEmpty) return told;
		if (problems.length > 0) return 'Nothing is kept until the line is mended.';
		const cards = prices.length > 0 ? `prices ${countOf(prices.length, 'card')}` : '';
		const sums = lumps.map(
			({ words, price, cards: count }) =>
				`${formatPriceRange(price, currency)} for ${words} together, ${countOf(count, 'card')}`
		);
		return `Enter ${[cards, ...sums].filter(Boolean).join('; ')}.`;
	});

	function submit(event: SubmitEvent) {
		event.preventDefault();
		if (isEmpty) return;
		const [first] = reading.problems;
		if (!first) return apply();
		input.focus();
		input.setSelectionRange(first.start ?? 0, first.end ?? line.length);
	}
</script>

<form onsubmit={submit} class="mb-4">
	<label for="entry-line" class="mb-1 block font-semibold">{label}</label>
	<div class="flex flex-wrap gap-2">
		<input
			id="entry-line"
			bind:this={input}
			bind:value={line}
			class="input min-w-0 flex-1 basis-60 text-xl input-lg focus:outline-primary"
			{placeholder}
			autocomplete="off"
			autocapitalize="off"
			spellcheck="false"
			aria-describedby="price-summary"
			aria-invalid={isBad}
		/>
		{#if source !== undefined}
			<input
				bind:value={source}
				class="input input-lg max-sm:hidden sm:w-44"
				placeholder="said by"
				maxlength="200"
				aria-label="Who said it"
			/>
		{/if}
		<button class="btn btn-lg btn-primary" disabled={isEmpty}>Keep</button>
	</div>
	<p
		id="price-summary"
		role="status"
		class={['mt-1.5 min-h-7 text-lg', isBad ? 'text-error' : 'text-primary']}
	>
		{summary}
	</p>
	{#if !isEmpty && reading.problems.length + reading.notes.length > 0}
		<MarkedLine {line} problems={reading.problems} notes={reading.notes} />
		<ul class="mt-1 space-y-0.5" data-testid="price-problems">
			{#each reading.problems as { start = 0, end = 0, message, remedy }, i (i)}
				<li><strong class="text-error">“{line.slice(start, end)}”</strong>: {message}. {remedy}</li>
			{/each}
			{#each reading.notes as { start = 0, end = 0, message }, i (i)}
				<li class="quiet">“{line.slice(start, end)}”: {message}.</li>
			{/each}
		</ul>
	{/if}
	{#if !isEmpty && flags.length > 0}
		<ul class="mt-1" data-testid="price-flags">
			{#each flags as { name, flag }, i (i)}
				<li class="text-accent">
					{flag.kind === 'ten-fold' ? 'A slip of the decimal mark?' : 'Fits no neighbour:'}
					{name}, beside {formatMoney(flag.againstMinor, currency)}
					{flag.against === 'before' ? 'said before' : 'of its neighbours'}. A reason behind it, in
					brackets, says that it is meant.
				</li>
			{/each}
		</ul>
	{/if}
</form>
