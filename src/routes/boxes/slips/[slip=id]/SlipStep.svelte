<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { nameGap } from '$lib/core/storage/slips/slip-walk';
	import type { SlipLine } from '$lib/server/storage/slips/slips';

	interface Props {
		line: SlipLine;
		isPull: boolean;
		isSkipped: boolean;
		onAnswer: SubmitFunction;
	}
	let { line, isPull, isSkipped, onAnswer }: Props = $props();
	const place = $derived(line.place);
	const ANSWERS = $derived([
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
	<form method="POST" action="?/answer" use:enhance={onAnswer} class="mt-4 flex gap-2">
		<input type="hidden" name="line" value={line.id} />
		<input type="hidden" name="divider" value={place?.dividerId ?? ''} />
		{#each ANSWERS as { state, name, key, look } (state)}
			{#if !(isSkipped && state === 'skipped')}
				<button
					class="btn min-h-14 text-lg {look}"
					name="state"
					value={state}
					data-answer={state}
					title="{name} ({key})">{name}</button
				>
			{/if}
		{/each}
	</form>
</section>
