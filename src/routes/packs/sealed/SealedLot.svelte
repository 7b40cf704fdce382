<script lang="ts">
	import type { SealedView } from '$lib/server/packs/sealed/sealed-view';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf, formatDay, formatMoney } from '$lib/ui/numerals';
	import LotForm from './LotForm.svelte';
	import { TRUST_WORDS } from './trust-words';

	interface Props {
		lot: SealedView['lots'][number];
		currency: string;
		goal: string | null;
		kinds: SealedView['kinds'];
	}
	/** Keep, open and sell beside each other, of one of a lot. */
	let { lot, currency, goal, kinds }: Props = $props();
	let isEdited = $state(false);
	const { best, sellMinor, keepMinor, openMinor, aheadMinor, gainMinor, isDoubtful } = $derived(
		lot.compared
	);
	const money = (minor: number) => formatMoney(minor, currency);
	const unit = $derived(
		countOf(lot.quantity, lot.unit, lot.unit === 'box' ? 'boxes' : `${lot.unit}s`)
	);
	const WORDS = { keep: 'Keep it', open: 'Open it', sell: 'Sell it' } as const;
	const choices = $derived([
		{ key: 'keep', name: 'Kept, sold later', minor: keepMinor, unknown: 'say what it sells for' },
		{
			key: 'open',
			name: 'Opened',
			minor: openMinor,
			unknown: lot.isWanted
				? 'the release says too little of its packs'
				: `nothing of it is in ${goal ?? 'a goal'}`
		},
		{ key: 'sell', name: 'Sold now', minor: sellMinor, unknown: 'say what it sells for' }
	] as const);
</script>

<div class="flex flex-wrap items-baseline gap-x-4">
	<h2 class="font-serif text-xl">{unit}, {lot.name}</h2>
	<span class="quiet"
		>{[
			lot.packs !== null && lot.unit !== 'pack' ? `${countOf(lot.packs, 'pack')} each` : '',
			lot.place ?? '',
			lot.acquiredOn ? `since ${formatDay(lot.acquiredOn)}` : '',
			lot.source ?? ''
		]
			.filter(Boolean)
			.join(', ')}</span
	>
</div>
<p class={isDoubtful ? 'text-accent' : 'quiet'}>
	{isDoubtful ? '! ' : ''}{TRUST_WORDS[lot.trust]}{isDoubtful
		? '; it counts for its chance only, and is never sold as certain'
		: ''}
</p>
<div class="mt-2 flex flex-wrap items-end gap-x-8 gap-y-2">
	{#each choices as { key, name, minor, unknown } (key)}
		<div class={key === best ? 'border-l-3 border-primary pl-3' : 'pl-3'}>
			<span class="block text-sm quiet">{name}{key === best ? ': the most' : ''}</span>
			{#if minor === null}<span class="text-sm quiet">{unknown}</span>
			{:else}<span class={['text-lg estimate', key === best && 'font-semibold']}
					>{money(minor)}</span
				>{/if}
		</div>
	{/each}
	<p class="text-lg">
		{#if best === null}{[sellMinor, keepMinor, openMinor].every((minor) => minor === null)
				? 'Nothing is known of what it brings.'
				: 'None of the three brings anything after fee and sending.'}{/if}
		{#if best}{WORDS[best]}{aheadMinor > 0 ? `: ${money(aheadMinor)} more than the next` : ''}.{/if}
		{#if gainMinor !== null}<span class="text-sm quiet"
				>{gainMinor >= 0 ? 'It gained' : 'It lost'} {money(Math.abs(gainMinor))} each.</span
			>{/if}
	</p>
</div>
<div class="mt-2 flex flex-wrap gap-2">
	<form method="POST" action="?/open" use:enhance>
		<input type="hidden" name="lot" value={lot.id} />
		<button class="btn btn-sm" aria-label="Open one: {lot.name}"
			>Open {lot.quantity > 1 ? 'one' : 'it'}</button
		>
	</form>
	<button
		class="btn btn-ghost btn-sm"
		aria-expanded={isEdited}
		onclick={() => (isEdited = !isEdited)}>Change</button
	>
	<form method="POST" action="?/gone" use:enhance>
		<input type="hidden" name="lot" value={lot.id} />
		<button class="btn btn-ghost btn-sm" aria-label="It is gone: {lot.name}">It is gone</button>
	</form>
</div>
{#if isEdited}<LotForm {kinds} {currency} {lot} onKept={() => (isEdited = false)} />{/if}
