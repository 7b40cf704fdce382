<script lang="ts">
	import { amountOf } from '$lib/core/money/minor-units';
	import { resolve } from '$app/paths';
	import type { LadderView } from '$lib/server/worth/ladder-view';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { formatMoney, formatMonth } from '$lib/ui/numerals';
	import Word from '$lib/ui/Word.svelte';
	import GradeOrNot from './GradeOrNot.svelte';

	interface Props {
		close: NonNullable<LadderView['close']>;
		row: LadderView['rows'][number];
		data: LadderView;
		/** The address without it. */
		closed: string;
	}
	/** A card looked at closely: how its price rises, what is the wrong way round, its population, its other printings. */
	let { close, row, data, closed }: Props = $props();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const times = (ratio: number) => `${ratio < 10 ? ratio.toFixed(1) : Math.round(ratio)} ×`;
	function populationText(known: NonNullable<typeof close.population>): string {
		const { finest, graded, qualified, authentic, shareAtLeast, atLeast } = known;
		const share = shareAtLeast === null ? '' : ` (${Math.round(100 * shareAtLeast)} %)`;
		return [
			[
				`${graded} graded`,
				...(qualified > 0 ? [`${qualified} of them with a qualifier`] : []),
				...(authentic > 0 ? [`${authentic} authentic`] : [])
			].join(', '),
			`; ${atLeast} at 8 or better${share}.`,
			finest
				? ` Finest known: ${finest.count} at ${finest.grade} (${finest.houses.join(', ')}).`
				: ''
		].join('');
	}
	const curve = $derived(
		close.curves.find(({ scale, points }) => scale === 'grades' && points.length > 1)
	);
</script>

<section class="mt-6 border-t-2 border-base-300 pt-3" aria-labelledby="close-head">
	<div class="flex flex-wrap items-baseline gap-x-4">
		<h2 id="close-head" class="font-serif text-2xl">{close.name} {close.title}</h2>
		<a
			class="link"
			href={resolve('/releases/[release]/cards/[card]', {
				release: data.release ?? '',
				card: close.cardKey
			})}>The card</a
		>
		<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved by the page -->
		<a class="link" href={closed} data-sveltekit-noscroll>Close</a>
	</div>
	<div class="mt-2 grid gap-6 lg:grid-cols-2">
		<div>
			{#if row.steps.length > 0}
				<h3 class="font-serif text-lg">Step by step</h3>
				<table class="table w-auto table-sm">
					<thead
						><tr
							><th>Step</th><th class="text-right">adds</th><th class="text-right">times</th><th
							></th></tr
						></thead
					>
					<tbody>
						{#each row.steps as step (step.to)}
							<tr>
								<td>{step.from} to {step.to}</td>
								<td class="text-right tabular-nums">{money(step.addsMinor)}</td>
								<td class="text-right tabular-nums"
									>{step.factor === null ? '' : times(step.factor)}</td
								>
								<td class="text-sm"
									>{[step.isJump ? 'a jump' : '', step.isThin ? 'thin: a lone sale' : '']
										.filter(Boolean)
										.join('; ')}</td
								>
							</tr>
						{/each}
					</tbody>
				</table>
			{/if}
			{#if row.bestToBuy !== null}
				<p class="mt-1">
					Best to buy: <strong>{row.bestToBuy}</strong>, the last grade before a step costs
					{data.kept.jump} times as much.
				</p>
			{/if}
			{#each close.curves.flatMap( ({ house, inversions }) => inversions.map( (each) => ({ house, ...each }) ) ) as each, i (i)}
				<p class="mt-1">
					<span class="badge badge-sm badge-warning">wrong way round</span>
					{each.house ?? ''}
					{each.better} at {money(each.betterMinor)} ({formatMonth(each.betterOn)}) is below
					{each.worse} at {money(each.worseMinor)} ({formatMonth(each.worseOn)}).
				</p>
			{/each}
			{#each close.slips as slip, i (i)}
				<p class="mt-1">
					<span class="badge badge-sm badge-error">ten-fold</span>
					{slip.label} at {money(slip.lowMinor)} on {slip.on}: others like it sold for {money(
						slip.againstMinor
					)}.
				</p>
			{/each}
			{#if curve}
				<LineChart
					lines={[
						{
							name: 'as sold',
							points: curve.points.map(({ grade = 0, typicalMinor }) => ({
								x: grade,
								y: amountOf(typicalMinor, data.currency)
							}))
						},
						{
							name: 'a better one never cheaper',
							points: curve.points.map(({ grade = 0, monotoneMinor }) => ({
								x: grade,
								y: amountOf(monotoneMinor, data.currency)
							}))
						}
					]}
					x="Grade{curve.house ? `, ${curve.house}` : ''}"
					y={data.currency}
					isNamed
					class="mt-2 h-52"
				/>
			{/if}
		</div>
		<div>
			{#if close.population}
				<h3 class="font-serif text-lg"><Word of="population">Population</Word></h3>
				<p>{populationText(close.population)}</p>
			{/if}
			{#if close.printings.length > 0}
				<h3 class="mt-3 font-serif text-lg">Other printings</h3>
				<ul>
					{#each close.printings as printing (printing.against)}
						<li>
							Against {printing.name}:
							{#if printing.ratio === null}never sold at the same grade{:else}costs {times(
									printing.ratio
								)}
								({printing.qualities.join(', ')}){/if}{#if printing.scarcer?.times}, {times(
									printing.scarcer.times
								)} scarcer ({times(printing.scarcer.low)} to {printing.scarcer.high === null
									? 'any'
									: times(printing.scarcer.high)}){/if}
						</li>
					{/each}
				</ul>
			{/if}
			<GradeOrNot {close} {row} currency={data.currency} />
		</div>
	</div>
</section>
