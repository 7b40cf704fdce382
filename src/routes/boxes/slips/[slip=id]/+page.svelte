<script lang="ts">
	import { resolve } from '$app/paths';
	import { tick } from 'svelte';
	import { nameGap } from '$lib/core/storage/slips/slip-walk';
	import { createTurns } from '$lib/ui/in-turn';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import { createSlipBook, type SlipAnswer } from './slip-book.svelte';
	import SlipStep from './SlipStep.svelte';
	import WholeSlip from './WholeSlip.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** Lines after the present one that are shown. */
	const SHOWN = 25;
	let { data } = $props();
	const { slip, placeless } = $derived(data);
	const isPull = $derived(slip.sort === 'pull');
	const book = createSlipBook({ slip: () => slip.id, lines: () => data.todo });
	const left = $derived(data.left - book.kept.gone);
	const [now, ...rest] = $derived(data.isWhole ? data.todo : book.todo);
	const next = $derived(rest.slice(0, SHOWN));
	const done = $derived(slip.done + book.kept.done);
	/** "Long box 4, row 2, Harbour Lights 1994: after 112, before 118"; a box that bears its set's name is named once. */
	const placeLine = (place: NonNullable<(typeof next)[number]['place']>) =>
		`${[place.box, `row ${place.row}`, place.divider]
			.filter((word, i, all) => all.indexOf(word) === i)
			.join(', ')}: ${nameGap(place)}`;
	let big = $state<HTMLElement>();
	const inTurn = createTurns();
	/** The step that is done goes; the hand stays on the same button. */
	const answer = (state: SlipAnswer) =>
		inTurn(async () => {
			if (!now) return;
			await book.answer(now, state);
			await tick();
			big?.querySelector<HTMLElement>(`[data-answer="${state}"]`)?.focus();
		});

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, select, textarea'))
			return;
		const state = ({ d: 'done', k: 'skipped', n: 'not there' } as const)[event.key];
		if (state) void answer(state);
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{slip.name} · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-3">
	<div class="min-w-0">
		<h1 class="text-2xl wrap-anywhere">{slip.name}</h1>
		<p class="quiet">
			{formatCount(done)} of {countOf(slip.lines, 'line')} done{slip.skipped > 0
				? `, ${formatCount(slip.skipped)} skipped`
				: ''}{slip.notThere > 0 ? `, ${formatCount(slip.notThere)} not there` : ''}
		</p>
	</div>
	{#if data.isWhole}
		<button class="btn btn-sm print:hidden" onclick={() => print()}>Print</button>
	{:else}
		<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- this page, with a query -->
		<a class="btn btn-sm max-sm:hidden" href="?whole">Whole slip, to print</a>
	{/if}
</header>
<ProblemAlert problems={book.problems} />
{#if data.missing > 0}
	<p class="mb-3 border-l-3 border-accent pl-4">
		{countOf(data.missing, 'card')} of the line {data.missing === 1 ? 'is' : 'are'} not among those {isPull
			? 'that stand in boxes'
			: 'without a place'}.
	</p>
{/if}
{#if slip.notThere > 0}
	<p class="mb-3">
		<a class="prose-link" href={resolve('/boxes/questions')}>Answer what is not there</a>
	</p>
{/if}

{#if data.isWhole}
	<WholeSlip lines={data.todo} />
{:else if now}
	<div bind:this={big} class="max-w-2xl">
		<SlipStep line={now} {isPull} {answer} isSkipped={now.state === 'skipped'} />
	</div>
	{#if next.length > 0}
		<h2 class="mt-6 mb-1 text-base">After that</h2>
		<ol class="max-w-2xl" aria-label="Next on the slip">
			{#each next as { id, card, quantity, place, state } (id)}
				<li class="border-t border-base-300 py-1.5">
					<span class="font-semibold wrap-anywhere">{card}</span>{quantity > 1
						? ` × ${quantity}`
						: ''}
					<span class="block text-sm quiet"
						>{place ? placeLine(place) : ''}{state === 'skipped' ? ' · skipped' : ''}</span
					>
				</li>
			{/each}
		</ol>
		{#if left > next.length + 1}
			<p class="quiet">and {formatCount(left - next.length - 1)} more.</p>
		{/if}
	{/if}
{:else}
	<p class="text-lg">
		{#if left > 0}
			The {countOf(left, 'line')} after these come with the network.
		{:else if placeless.count > 0}
			Nothing more can be done with this slip now.
		{:else}
			All done.
		{/if}
	</p>
{/if}
{#if placeless.count > 0}
	<section class="mt-8 max-w-2xl" aria-labelledby="placeless">
		<h2 id="placeless" class="mb-1 text-base">
			{countOf(placeless.count, 'line')}
			{isPull ? 'that stand in no box now' : 'without a divider yet'}
		</h2>
		<p class="quiet">
			{placeless.some
				.map(({ card, release }) => `${card} (${release})`)
				.join(', ')}{placeless.count > placeless.some.length ? ' …' : ''}
			{#if !isPull}<a class="prose-link" href={resolve('/boxes/plan')}
					>The plan finds them a place</a
				>.{/if}
		</p>
	</section>
{/if}
