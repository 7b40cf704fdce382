<script lang="ts">
	import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
	import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
	import type { LastCards, LastCardsAsked } from '$lib/core/packs/player/last-cards';
	import { playPacks } from '$lib/core/packs/player/play-packs';
	import Field from '$lib/ui/Field.svelte';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { countOf, formatCount } from '$lib/ui/numerals';

	interface Props {
		name: string;
		/** The set is complete: it is played from nothing. */
		isComplete: boolean;
		packName: string;
		packsPerBox: number | null;
		asked: LastCardsAsked;
		told: LastCards;
	}
	/** Guess first, then the curve; and packs to open, as often as one likes. */
	let { name, isComplete, packName, packsPerBox, asked, told }: Props = $props();
	let typed = $state('');
	let guess = $state<number | null>(null);
	/** Packs that are opened in the game; the run is drawn once and shown as far. */
	let opened = $state(0);
	let seed = $state(1);
	const MOST = 100_000;
	const run = $derived.by(() => {
		const generator = xoroshiro128plus(seed);
		return playPacks(asked, () => uniformFloat64(generator), MOST);
	});
	const end = $derived(run.length - 1);
	const here = $derived(run[opened] ?? 0);
	const missing = $derived(asked.cards - asked.owned);
	const round = (packs: number) => formatCount(Math.round(packs));
	/** A run of thousands of packs is drawn by some of them. */
	const path = $derived.by(() => {
		const step = Math.max(1, Math.ceil(opened / 400));
		return run
			.slice(0, opened + 1)
			.flatMap((y, x) => (x % step === 0 || x === opened ? [{ x, y }] : []));
	});
	const average = $derived(told.curve.map(({ packs, missing: y }) => ({ x: packs, y })));

	function say(event: SubmitEvent) {
		event.preventDefault();
		const value = Number(typed);
		if (Number.isInteger(value) && value > 0) guess = value;
	}
	const open = (packs: number) => (opened = Math.min(end, opened + packs));
	function again() {
		seed += 1;
		opened = 0;
	}
</script>

<p class="mb-3 max-w-3xl text-lg">
	{name}: {isComplete
		? `all ${formatCount(asked.cards)} are here; begin once more from nothing.`
		: `${countOf(missing, 'card')} of ${formatCount(asked.cards)} missing.`}
	How many packs of {packName} until there are all?
</p>
{#if guess === null}
	<form class="mb-4 flex flex-wrap items-end gap-3" onsubmit={say}>
		<Field label="Your guess, packs"
			><input class="input w-32 text-xl input-lg" inputmode="numeric" bind:value={typed} /></Field
		>
		<button class="btn btn-lg btn-primary" disabled={!/^[1-9]\d{0,6}$/.test(typed)}
			>That is my guess</button
		>
		<button type="button" class="btn btn-ghost btn-lg" onclick={() => (guess = 0)}
			>I'd rather see it</button
		>
	</form>
{:else}
	<section class="mb-4 max-w-4xl" aria-label="How it is" data-testid="last-cards-answer">
		<p class="font-serif text-2xl">
			{guess > 0 ? `You said ${formatCount(guess)}. ` : ''}On average it takes {round(told.all)} packs{packsPerBox
				? `, ${(told.all / packsPerBox).toFixed(1)} boxes`
				: ''}: the last {countOf(told.lastCards, 'card')} take {(100 * told.lastPart).toFixed(0)} % of
			them.
		</p>
		<p class="mt-1 max-w-3xl">
			If every card were a new one, {round(told.least)} packs would do. But the more is here, the more
			of a pack is here already: the last card waits for itself alone. That is where to trade, or to buy
			singles.
		</p>
	</section>
	<div class="grid gap-x-8 gap-y-4 lg:grid-cols-2">
		<div>
			<LineChart
				lines={[
					{ name: 'on average', points: average },
					{ name: 'your packs', points: path }
				]}
				marks={[
					...(guess > 0 ? [{ x: guess, y: 0 }] : []),
					{ x: told.beforeLast, y: told.lastCards }
				]}
				x="packs opened"
				y="cards missing"
				isNamed
			/>
		</div>
		<table class="table w-auto self-start table-sm" data-testid="last-cards-stages">
			<thead>
				<tr>
					<th scope="col" class="text-right">Missing still</th>
					<th scope="col" class="text-right">After packs</th>
					<th scope="col" class="text-right">More packs</th>
				</tr>
			</thead>
			<tbody>
				{#each told.stages as { missing: left, packs }, i (left)}
					<tr>
						<td class="text-right font-semibold">{formatCount(left)}</td>
						<td class="text-right estimate">{round(packs)}</td>
						<td class="text-right"
							>{i === 0 ? '' : `+ ${round(packs - (told.stages[i - 1]?.packs ?? 0))}`}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<section class="mt-4" aria-label="Open packs for fun">
		<p role="status" class="text-lg" data-testid="last-cards-game">
			{countOf(opened, 'pack')} opened for fun:
			{here === 0
				? `complete, ${formatCount(end)} packs this time`
				: `${countOf(here, 'card')} missing${opened === end ? '; here it was given up' : ''}`}.
		</p>
		<div class="mt-2 flex flex-wrap gap-2">
			{#if opened < end}
				<button class="btn btn-sm" onclick={() => open(1)}>Open a pack</button>
				<button class="btn btn-sm" onclick={() => open(packsPerBox ?? 10)}
					>Open {packsPerBox ? 'a box' : 'ten'}</button
				>
				<button class="btn btn-sm" onclick={() => open(end)}>To the last card</button>
			{/if}
			{#if opened > 0}<button class="btn btn-sm" onclick={again}>Once more</button>{/if}
		</div>
		<p class="mt-1 text-sm quiet">Nothing of it is logged.</p>
	</section>
{/if}
