<script lang="ts">
	import type { SimulationTold, SimulationView } from '$lib/server/packs/simulate-goal';
	import Field from '$lib/ui/Field.svelte';
	import { followWork } from '$lib/ui/follow-work.svelte';
	import { formQuery } from '$lib/ui/form-query';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import LineChart from '$lib/ui/LineChart.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		goal: number;
		/** The kind of pack, and formats that hold it. */
		packs: readonly { readonly key: string; readonly name: string }[];
	}
	/** Collectors who open such packs until nothing is missing: how long it takes them, one like the other. */
	let { goal, packs: choices }: Props = $props();
	const work = followWork<SimulationTold, SimulationView>({
		path: '/api/packs/simulation',
		stopped: 'It was stopped.'
	});
	let form: HTMLFormElement;
	const result = $derived(work.view?.result ?? null);
	const packs = (value: number | null) => (value === null ? '–' : formatCount(Math.round(value)));
	const doubles = $derived((work.view?.doubles ?? []).filter(({ copies }) => copies >= 0.5));
</script>

<section class="mt-8" aria-labelledby="simulation">
	<h2 id="simulation" class="mb-1 font-serif text-xl">How it goes for one collector or another</h2>
	<form
		bind:this={form}
		class="flex flex-wrap items-end gap-x-4 gap-y-2"
		onsubmit={(event) => {
			event.preventDefault();
			void work.run(formQuery(form));
		}}
	>
		<input type="hidden" name="goal" value={goal} />
		{#if choices.length > 1}
			<Field label="They open">
				<select name="pack" class="select w-56 max-w-full select-sm">
					{#each choices as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
		{:else}
			<input type="hidden" name="pack" value={choices[0]?.key} />
		{/if}
		<Field label="Collectors">
			<select name="runs" class="select w-32 select-sm">
				<option value="1000">1,000</option>
				<option value="10000" selected>10,000</option>
				<option value="100000">100,000</option>
			</select>
		</Field>
		<label class="flex min-h-8 items-center gap-2">
			<input type="checkbox" name="friends" value="yes" class="checkbox checkbox-sm" />
			friends trade one for one within a group
		</label>
		<Field label="Doubles for a harder card">
			<input
				name="harder"
				class="input w-28 input-sm"
				inputmode="numeric"
				placeholder="not traded"
			/>
		</Field>
		<Field label="Seed"
			><input name="seed" class="input w-20 input-sm" inputmode="numeric" value="1" /></Field
		>
		{#if work.isRunning}
			<button type="button" class="btn btn-sm" onclick={work.cancel}>Stop</button>
		{:else}
			<button class="btn btn-sm">Let them open</button>
		{/if}
	</form>
	<p role="status" class="my-1 min-h-6 text-sm quiet">
		{work.isRunning
			? work.told
				? `${formatCount(work.told.done)} of ${formatCount(work.told.total)}`
				: 'They begin.'
			: ''}
	</p>
	{#if work.problem}<ProblemAlert problems={[{ message: work.problem }]} />{/if}
	{#if result}
		<div data-testid="simulation">
			{#if result.mean === null}
				<p>Nobody of {countOf(result.runs, 'collector')} was complete in the end.</p>
			{:else}
				<p class="text-lg">
					Half are complete by <strong>{packs(result.median)}</strong> packs, one in twenty by
					{packs(result.low)}, nineteen by {packs(result.high)}; on average
					{packs(result.mean)}
					<span class="text-sm quiet"
						>± {(result.standardError ?? 0).toFixed(1)} (standard error, {countOf(
							result.runs,
							'collector'
						)}, seed {work.view?.seed})</span
					>.
				</p>
				{#if result.complete < result.runs}
					<p class="text-sm">
						{countOf(result.runs - result.complete, 'collector')} gave up unfinished, and count in no
						figure.
					</p>
				{/if}
				{#if work.view?.formula}
					{@const { packsToComplete, agrees, errorsOff, isExact } = work.view.formula}
					<p class={agrees || !isExact ? 'quiet' : 'text-accent'}>
						The formula says {packs(packsToComplete)}: {agrees
							? 'they agree'
							: isExact
								? 'they do not agree'
								: 'it reckons groups that share a place as if they did not'}, {Math.abs(
							errorsOff
						).toFixed(1)} standard errors apart.
					</p>
				{/if}
				<LineChart
					lines={[]}
					bars={result.histogram.map(({ from, to, runs }) => ({ x: (from + to) / 2, y: runs }))}
					x="packs until nothing is missing"
					y="collectors"
					class="h-40 max-w-3xl"
				/>
				<ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="Collectors by packs opened">
					{#each result.histogram.filter((_, i) => i % 4 === 0) as { from, to, runs } (from)}
						<li><span class="quiet">{from}–{to}</span> {formatCount(runs)}</li>
					{/each}
				</ul>
			{/if}
			{#if doubles.length > 0}
				<p class="mt-1 text-sm">
					Doubles in the end, on average: {doubles
						.map(({ name, copies }) => `${name} ${packs(copies)}`)
						.join(', ')}.
				</p>
			{/if}
		</div>
	{/if}
</section>
