<script lang="ts">
	import { resolve } from '$app/paths';
	import { nameGap } from '$lib/core/storage/slips/slip-walk';
	import type { SlipAnswer } from './slip-book.svelte';
	import type { SlipLine } from '$lib/server/storage/slips/slips';

	interface Answer {
		readonly state: SlipAnswer;
		readonly name: string;
		readonly key: string;
		readonly look: string;
	}
	interface Props {
		line: SlipLine;
		isPull: boolean;
		isSkipped: boolean;
		answer: (state: SlipAnswer) => unknown;
	}
	let { line, isPull, isSkipped, answer }: Props = $props();
	const place = $derived(line.place);
	const ANSWERS = $derived<readonly Answer[]>([
		{ state: 'done', name: isPull ? 'Got it' : 'Put away', key: 'd', look: 'btn-primary flex-2' },
		{ state: 'skipped', name: 'Skip', key: 'k', look: 'flex-1' },
		{ state: 'not there', name: 'Not there', key: 'n', look: 'flex-1' }
	]);
</script>

<section class="border-t-4 border-primary bg-base-200 p-4" aria-label="Now">
	<p class="text-sm quiet">
		{line.release}{isSkipped ? ' · skipped before' : ''}
	</p>
	<p class="font-serif text-3xl leading-tight wrap-anywhere">
		{line.card}{#if line.quantity > 1}<span class="text-accent">&nbsp;× {line.quantity}</span>{/if}
	</p>
	{#if place}
		<p class="mt-3 text-xl">
			<a class="prose-link" href={resolve('/boxes/[box=id]', { box: String(place.boxId) })}
				>{place.box}</a
			>, row
			{place.row}{#if place.divider !== place.box}, {place.divider}{/if}: {nameGap(place)}
		</p>
		<p class="quiet">{place.shelf ?? 'on no shelf'}</p>
	{/if}
	<div class="mt-4 flex gap-2">
		{#each ANSWERS as { state, name, key, look } (state)}
			{#if !(isSkipped && state === 'skipped')}
				<button
					class="btn min-h-14 text-lg {look}"
					data-answer={state}
					onclick={() => answer(state)}
					title="{name} ({key})">{name}</button
				>
			{/if}
		{/each}
	</div>
</section>
