<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const slip = $derived(data.slip);
	/** Lines on the screen at a time: a slip is worked from the top. */
	const SHOWN = 100;
	const lines = $derived(slip.lines.slice(0, SHOWN));
	let list = $state<HTMLElement>();
	/** The step that is done leaves the list: the hand goes on to the next one. */
	const onToNext: SubmitFunction =
		() =>
		async ({ update }) => {
			await update();
			list?.querySelector('button')?.focus();
		};
	const WORDS = {
		move: 'Move',
		'take out': 'Take out',
		hold: 'Hold',
		'put in': 'Put in',
		'lay down': 'Lay down'
	} as const;
	const sheet = $derived(`${resolve('/')}api/binders/${data.binder.id}/sheets/moves.pdf`);
</script>

<ProblemAlert problems={form?.problems} />

{#if slip.lines.length === 0}
	<p class="max-w-xl text-lg">
		{slip.hasLying
			? 'Every card lies where it should. When cards arrive, or the order changes, the moves stand here.'
			: 'No card of this binder is there yet: log some, and this slip says where to put them.'}
	</p>
{:else}
	<div class="mb-5 max-w-3xl">
		<p class="text-lg">
			<strong class="text-2xl font-semibold">{formatCount(slip.lines.length)}</strong>
			{slip.lines.length === 1 ? 'step' : 'steps'}:
			{[
				slip.misplaced > 0 && `${countOf(slip.misplaced, 'card')} in the wrong pocket`,
				slip.putIn > 0 && `${countOf(slip.putIn, 'card')} to put in`,
				slip.takenOut > 0 && `${countOf(slip.takenOut, 'card')} to take out`,
				slip.cycles > 0 && `${countOf(slip.cycles, 'closed ring')} with one card in the hand`
			]
				.filter(Boolean)
				.join(', ')}; {countOf(slip.stays, 'card')}
			{slip.stays === 1 ? 'stays' : 'stay'}.
		</p>
		<p class="quiet">
			No way takes fewer. You may stop after any step; what is ticked off is kept, and undo takes it
			back.
		</p>
		<div class="mt-3 flex flex-wrap items-center gap-3">
			<form method="POST" action="?/planned" use:enhance>
				<button
					class="btn btn-sm"
					title="Records that every card lies in its planned pocket. Undo takes it back."
					>{slip.hasLying ? 'All of it is done' : 'It lies like this already'}</button
				>
			</form>
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- a file of the API -->
			<a class="prose-link" href={sheet}>Slip as PDF</a>
		</div>
	</div>
	<ol class="max-w-3xl" aria-label="Move plan" bind:this={list}>
		{#each lines as { name, does, card, from, to }, i (name)}
			<li class="flex items-center gap-3 border-t border-base-300 py-2">
				<span class="w-10 shrink-0 text-right font-serif text-xl quiet">{i + 1}</span>
				<p class="min-w-0 flex-1">
					<span
						class={[
							'mr-1 font-semibold',
							does === 'hold' || does === 'lay down' ? 'text-accent' : 'text-primary'
						]}>{WORDS[does]}</span
					>
					<span class="wrap-anywhere">{card}</span>
					<span class="block text-sm quiet">
						{#if from}from {from}{/if}
						{#if does === 'take out'}to the tray{:else if does === 'hold'}into the hand{:else if to}{from
								? 'to'
								: 'into'}
							{to}{/if}
					</span>
				</p>
				<form method="POST" action="?/done" use:enhance={onToNext} class="shrink-0">
					<input type="hidden" name="count" value={i + 1} />
					<input type="hidden" name="last" value={name} />
					<button
						class={['btn btn-sm', i === 0 && 'btn-primary']}
						aria-label={i === 0 ? `Done: ${WORDS[does]} ${card}` : `Done up to step ${i + 1}`}
						>{i === 0 ? 'Done' : 'Up to here'}</button
					>
				</form>
			</li>
		{/each}
	</ol>
	{#if slip.lines.length > SHOWN}
		<p class="mt-3 quiet">and {formatCount(slip.lines.length - SHOWN)} more, after these.</p>
	{/if}
{/if}
