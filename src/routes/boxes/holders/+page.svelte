<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { holderName } from '$lib/ui/all-holders.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { formatRateLine } from '$lib/core/money/exchange-rates';
	import SupplyTable from '$lib/ui/supplies/SupplyTable.svelte';
	import Gauge from './Gauge.svelte';
	import HolderKinds from './HolderKinds.svelte';
	import TierForm from './TierForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Word from '$lib/ui/Word.svelte';

	let { data, form } = $props();
	const HEADS = { count: 'To buy', onHand: 'On hand' };
	const nameOf = (key: string | null) => holderName(key) || 'none';
	const onHand = $derived(
		Object.fromEntries(Object.entries(data.onHand).map(([key, count]) => [`holder:${key}`, count]))
	);
	const MARKS = { up: '▲ up', down: '▼ down', refit: '◆ refit' } as const;
</script>

<svelte:head><title>Holders · Jade Binder</title></svelte:head>

{#snippet problems(of: string)}
	{#if form && 'problems' in form && form.problems && form.form === of}
		<ProblemAlert problems={form.problems} class="mb-3" />
	{/if}
{/snippet}

<h1 class="mb-4">Holders</h1>
<section class="mb-8" aria-labelledby="moves">
	<h2 id="moves" class="mb-2">Should move up or down a tier</h2>
	{@render problems('moves')}
	{#each data.otherMoney as { currency, cards } (currency)}
		<p class="mb-3 max-w-xl">
			{countOf(cards, 'card')} valued in {currency}: tiers in {data.rules.currency} say nothing of {cards ===
			1
				? 'it'
				: 'them'}. Value them in {data.rules.currency}, or state the tiers in {currency}.
		</p>
	{/each}
	{#if data.count === 0}
		<p class="max-w-xl">
			Every card is in the holder its value asks for. When values change, or the tiers below, what
			should move stands here.
		</p>
	{:else}
		<form method="POST" action="?/moved" use:enhance>
			<div class="max-h-[34rem] overflow-auto">
				<table class="table max-w-4xl table-sm [&_td]:text-base [&_th]:text-base">
					<thead
						><tr
							><th scope="col"></th><th scope="col">Card</th><th scope="col" class="text-right"
								>Worth</th
							><th scope="col">From</th><th scope="col">To</th><th scope="col">Because</th></tr
						></thead
					>
					<tbody>
						{#each data.moves as move (move.copyId)}
							<tr>
								<td
									><input
										type="checkbox"
										class="checkbox checkbox-sm"
										name="copy"
										value={move.copyId}
										aria-label="Choose {move.name}"
									/></td
								>
								<th scope="row" class="font-normal"
									><a
										class="prose-link"
										href={resolve('/releases/[release]/cards/[card]', {
											release: move.releaseKey,
											card: move.cardKey
										})}>{move.name}</a
									>{move.quantity > 1 ? ` × ${move.quantity}` : ''}
									<span class="block text-sm quiet">{move.release}</span></th
								>
								<td class="text-right"
									>{move.valueMinor === null
										? ''
										: formatMoney(move.valueMinor, move.currency ?? data.currency)}</td
								>
								<td>{nameOf(move.from)}</td>
								<td
									><span class={move.direction === 'up' ? 'text-accent' : 'quiet'}
										>{MARKS[move.direction]}</span
									>
									{nameOf(move.to)}</td
								>
								<td class="quiet">{move.oddity ?? move.caution ?? move.tier}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
			<div class="mt-3 flex flex-wrap items-center gap-3">
				<button class="btn btn-primary btn-sm">The chosen ones are moved</button>
				<button class="btn btn-sm" name="all" value="yes"
					>All {countOf(data.count, 'line')} are moved</button
				>
				{#if data.count > data.moves.length}<span class="quiet"
						>The dearest {data.moves.length} are shown.</span
					>{/if}
			</div>
		</form>
	{/if}
</section>

{#if data.list.lines.length > 0}
	<section class="mb-8" aria-labelledby="supplies">
		<h2 id="supplies" class="mb-2">Holders for that</h2>
		{@render problems('supplies')}
		<form
			method="POST"
			action="?/supplies"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<SupplyTable list={data.list} prices={data.prices} heads={HEADS} {onHand} />
			<div class="mt-3 flex items-end gap-3">
				<Field label="Currency">
					<input class="input w-20 input-sm" name="currency" maxlength="3" value={data.currency} />
				</Field>
				<button class="btn btn-sm">Save</button>
			</div>
		</form>
	</section>
{/if}

<div class="grid gap-8 lg:grid-cols-[5fr_3fr]">
	<section aria-labelledby="tiers">
		<h2 id="tiers" class="mb-2">Tiers</h2>
		{@render problems('rules')}
		<TierForm rules={data.rules} />
	</section>
	<section aria-labelledby="rates" class="lg:order-last">
		<h2 id="rates" class="mb-2">Rates of exchange</h2>
		{@render problems('rates')}
		<p class="mb-2 max-w-xl">
			Values in other money are converted by the rates you keep, a line each; without one they are
			never compared.
		</p>
		<form
			method="POST"
			action="?/rates"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<label class="sr-only" for="rates-lines">Rates, a line each</label>
			<LinesField
				id="rates-lines"
				class="max-w-md"
				name="rates"
				rows={Math.max(2, data.rates.length + 1)}
				placeholder="1 USD = 0.92 EUR"
				value={data.rates.map(formatRateLine).join('\n')}
			/>
			<button class="btn mt-2 block btn-sm">Keep these rates</button>
		</form>
	</section>
	<section aria-labelledby="gauge">
		<h2 id="gauge" class="mb-2">How thick is it, in <Word of="pt" />?</h2>
		<Gauge holders={data.holders} />
		<p class="mt-4 text-sm quiet">
			Scuffed holders serve for shipping: put them aside under
			<a class="prose-link" href={resolve('/boxes/supplies')}>Supplies</a>.
		</p>
	</section>
</div>
<HolderKinds holders={data.holders} problems={form?.form === 'kind' ? form.problems : undefined} />
