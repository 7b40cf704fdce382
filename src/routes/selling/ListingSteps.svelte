<script lang="ts">
	import { resolve } from '$app/paths';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { ListingStep } from '$lib/core/selling/listings/listing';
	import type { ListingsView } from '$lib/server/selling/listings/listings-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';

	/** What can be done with a listing next, the usual first, and what is said with it. */
	let { listing }: { listing: ListingsView['done'][number] } = $props();
	const NAMES: Readonly<Record<ListingStep, string>> = {
		list: 'It is listed',
		unlist: 'Take it off',
		sell: 'It is sold',
		unsell: 'Not sold after all',
		pay: 'It is paid',
		send: 'It is sent',
		return: 'It came back'
	};
	const asks = (step: ListingStep) => listing.steps.includes(step);
	const amount = (minor: number | null) =>
		minor === null ? '' : formatMinor(minor, listing.currency);
	const isOpen = $derived(listing.sentOn === null);
</script>

{#snippet money(name: string, label: string, value: number | null)}
	<Field {label}
		><input
			{name}
			class="input w-24 input-sm"
			inputmode="decimal"
			value={amount(value)}
			aria-label="{label}, {listing.title}"
		/></Field
	>
{/snippet}

<form method="POST" action="?/step" class="mt-2 flex flex-wrap items-end gap-3" use:enhance>
	<input type="hidden" name="listing" value={listing.id} />
	{#if asks('sell')}
		<Field label="Buyer"
			><input name="buyer" class="input w-40 input-sm" aria-label="Buyer, {listing.title}" /></Field
		>
		{@render money('price', 'Sold for', listing.askingMinor)}
		{@render money('charged', 'Postage charged', null)}
	{:else}
		<input type="hidden" name="buyer" value="" />
		<input type="hidden" name="price" value="" />
		<input type="hidden" name="charged" value="" />
	{/if}
	{#if asks('send')}
		{@render money('postage', 'Postage paid', listing.postageMinor)}
		{@render money('supplies', 'Supplies', listing.suppliesMinor)}
	{:else}
		<input type="hidden" name="postage" value="" />
		<input type="hidden" name="supplies" value="" />
	{/if}
	{#if asks('pay')}
		{@render money('fee', 'Fee taken', listing.feeMinor)}
	{:else}
		<input type="hidden" name="fee" value="" />
	{/if}
	{#each listing.steps as step, i (step)}
		<button
			class={['btn btn-sm', i > 0 && 'btn-ghost']}
			name="step"
			value={step}
			aria-label="{NAMES[step]}: {listing.title}">{NAMES[step]}</button
		>
	{/each}
	{#if listing.soldOn !== null}
		<a
			class="text-sm prose-link"
			href="{resolve('/api/selling/packing-slip')}?listing={listing.id}"
			download>Packing slip</a
		>
	{/if}
	{#if listing.slipId !== null && isOpen}
		<a
			class="text-sm prose-link"
			href={resolve('/boxes/slips/[slip=id]', { slip: `${listing.slipId}` })}>Pull slip</a
		>
	{/if}
</form>
{#if isOpen && listing.soldOn === null}
	<form method="POST" action="?/remove" class="mt-1" use:enhance>
		<input type="hidden" name="listing" value={listing.id} />
		<button class="btn btn-ghost btn-xs" aria-label="Remove {listing.title}">Remove</button>
	</form>
{/if}
