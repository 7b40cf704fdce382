<script lang="ts">
	import { resolve } from '$app/paths';
	import { answerOf } from '$lib/ui/form-answer';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ListingEntry from './ListingEntry.svelte';
	import NewListing from './NewListing.svelte';
	import SetListing from './SetListing.svelte';

	let { data, form } = $props();
	const step = $derived(answerOf(form, 'step'));
	const HEADS = {
		ready: 'Ready to be listed',
		listed: 'Listed',
		sold: 'Sold: pack it, wait for the money',
		paid: 'Paid: send it',
		sent: 'Sent: wait for the money',
		done: 'Done',
		returned: 'Returned'
	} as const;
	const toList = $derived(data.groups.some(({ state }) => state === 'ready' || state === 'listed'));
</script>

<svelte:head><title>Listings · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
	<h1>Listings</h1>
	{#if toList}
		<p class="flex flex-wrap gap-x-4 text-sm">
			<a
				class="prose-link"
				href={resolve('/api/selling/listings.[form=listingsform]', { form: 'csv' })}
				download>Ready and listed as CSV</a
			>
			<a
				class="prose-link"
				href={resolve('/api/selling/listings.[form=listingsform]', { form: 'zip' })}
				download>with photos, as zip</a
			>
		</p>
	{/if}
</header>
<ProblemAlert problems={step.problems} class="mb-3" />
<p role="status" class="min-h-6 text-sm text-primary">{step.told}</p>
{#each data.groups as { state, listings } (state)}
	<section class="mb-6" aria-labelledby="state-{state}">
		<h2 id="state-{state}" class="mb-1">
			{HEADS[state]} <span class="text-sm quiet">{countOf(listings.length, 'listing')}</span>
		</h2>
		{#each listings as listing (listing.id)}
			<ListingEntry {listing} channels={data.channels} />
		{/each}
	</section>
{:else}
	<p class="mb-6 max-w-2xl text-lg">
		Nothing is offered. <a class="prose-link" href={resolve('/selling/lots')}>Lots and singles</a>
		deals what is spare or to be sold by your rules; or choose copies below.
	</p>
{/each}
<NewListing {data} answer={answerOf(form, 'make')} />
<SetListing goals={data.goals} channels={data.channels} answer={answerOf(form, 'set')} />
{#if data.sums.length > 0}
	<section class="mt-8 max-w-4xl" aria-labelledby="earned">
		<h2 id="earned" class="mb-1">What it brought</h2>
		<div class="overflow-x-auto">
			<table class="table w-auto table-sm">
				<thead
					><tr
						><th>Channel</th><th class="text-right">Sales</th><th class="text-right">Sold for</th
						><th class="text-right">Fees</th><th class="text-right">After fee, postage, supplies</th
						><th class="text-right">Profit</th></tr
					></thead
				>
				<tbody>
					{#each data.sums as sum (`${sum.currency} ${sum.channel}`)}
						<tr data-testid="earned">
							<td>{sum.channel}</td><td class="text-right">{sum.sales}</td>
							<td class="text-right">{formatMoney(sum.soldMinor, sum.currency)}</td>
							<td class="text-right">{formatMoney(sum.feeMinor, sum.currency)}</td>
							<td class="text-right">{formatMoney(sum.netMinor, sum.currency)}</td>
							<td class="text-right"
								><strong>{formatMoney(sum.profitMinor, sum.currency)}</strong
								>{#if sum.unknown > 0}<span class="block text-xs quiet"
										>without {countOf(sum.unknown, 'sale')} of unknown cost</span
									>{/if}</td
							>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</section>
{/if}
{#if data.done.length > 0}
	<section class="mt-8" aria-labelledby="done">
		<h2 id="done" class="mb-1">Done with</h2>
		{#each data.done as listing (listing.id)}
			<ListingEntry {listing} channels={data.channels} />
		{/each}
		{#if data.doneBefore > 0}<p class="quiet">
				and {countOf(data.doneBefore, 'listing')} before
			</p>{/if}
	</section>
{/if}
