<script lang="ts">
	import { resolve } from '$app/paths';
	import { amountOf } from '$lib/core/money/minor-units';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import BuildForm from './BuildForm.svelte';
	import OutcomeTable from './OutcomeTable.svelte';
	import SetsClose from './SetsClose.svelte';

	let { data, form } = $props();
	const money = (minor: number) =>
		formatMoney(minor, data.release === null ? 'EUR' : data.kept.currency);
	const VERDICTS = {
		build: 'It pays',
		'does not pay': 'It does not pay',
		'price the key cards first': 'Price the key cards first',
		'parts are missing': 'Parts are missing, or nobody buys'
	} as const;
	const goal = $derived(answerOf(form, 'goal'));
</script>

<svelte:head><title>Building to sell · Jade Binder</title></svelte:head>

<h1 class="mb-2">Building to sell</h1>
{#if data.release === null}
	<p class="max-w-2xl text-lg">
		No release is here yet. <a class="prose-link" href={resolve('/releases')}>Bring one in</a>, then
		its sets can be reckoned.
	</p>
{:else}
	<AskForm path={resolve('/selling/building')} class="mb-3">
		<Field label="Release">
			<select name="release" class="select w-64 max-w-full select-sm" value={data.release.key}>
				{#each data.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="Look closely at"
			><input
				name="sets"
				type="number"
				min="1"
				max="200"
				class="input w-24 input-sm"
				value={data.close?.sets ?? ''}
				placeholder="sets"
			/></Field
		>
	</AskForm>
	<ProblemAlert problems={data.misread} class="mb-3" />
	<section class="mb-4 max-w-5xl" aria-live="polite" data-testid="build-verdict">
		<p class="text-lg">
			<strong class="font-serif text-2xl font-medium">{VERDICTS[data.plan.verdict]}</strong>
			{#if data.plan.verdict === 'build' && data.plan.bestSets !== null}
				{@const best = data.plan.outcomes.find(({ sets }) => sets === data.plan.bestSets)}
				{#if best}
					with {countOf(best.sets, 'set')}: <span class="estimate">{money(best.profitMinor)}</span>
					left over in {best.hours} h; nothing is lost from {countOf(
						data.plan.breakEvenSets ?? best.sets,
						'set'
					)} on.
				{/if}
			{/if}
		</p>
		{#if data.plan.missing.length > 0}
			<p class="mt-1 text-accent">
				Nothing is offered of {data.plan.missing.slice(0, 8).join(', ')}{data.plan.missing.length >
				8
					? ` and ${data.plan.missing.length - 8} more`
					: ''}.
			</p>
		{/if}
		<p class="mt-1">
			{#if data.plan.keyShare === null}
				<span class="quiet"
					>The part of the key cards is not known: a price of them, or of the set, is missing.</span
				>
			{:else}
				Key cards make <strong>{Math.round(100 * data.plan.keyShare)} %</strong> of what a set
				brings.
				<span class="quiet">Often it is half; without them a build may not pay.</span>
			{/if}
		</p>
		{#if !data.isKept}
			<p class="text-sm quiet">
				Begun from the price book, for cards near mint; the price of a set is taken as 70 % of its
				cards. Write below what is true of it, and keep it.
			</p>
		{/if}
		{#if data.isForeign}
			<p class="text-sm text-accent">
				It was kept in {data.kept.currency}; you reckon in another currency now.
			</p>
		{/if}
	</section>
	{#if data.plan.outcomes.length > 1}
		<div class="mb-4 max-w-3xl">
			<LineChart
				x="sets"
				y="left over, {data.kept.currency}"
				lines={[
					{
						name: 'left over',
						points: data.plan.outcomes.map(({ sets, profitMinor }) => ({
							x: sets,
							y: amountOf(profitMinor, data.kept.currency)
						}))
					}
				]}
			/>
		</div>
	{/if}
	{#if data.plan.outcomes.length > 0}
		<OutcomeTable
			outcomes={data.plan.outcomes}
			bestSets={data.plan.bestSets}
			bestPerHourSets={data.plan.bestPerHourSets}
			breakEvenSets={data.plan.breakEvenSets}
			currency={data.kept.currency}
		/>
	{/if}
	{#if data.close}
		<SetsClose outcome={data.close} kept={data.kept} />
		<form method="POST" action="?/goal" class="mt-2 mb-4 max-w-3xl" use:enhance>
			<input type="hidden" name="release" value={data.release.key} />
			<input type="hidden" name="sets" value={data.close.sets} />
			<button class="btn btn-sm">Make {countOf(data.close.sets, 'set')} a goal</button>
			<span class="text-sm quiet"
				>Buying then looks for what they lack, and each set gets its own divider and label, apart
				from what you keep.</span
			>
			<ProblemAlert problems={goal.problems} class="mt-2" />
		</form>
	{/if}
	{#key data.release.key}
		<BuildForm
			release={data.release.key}
			kept={data.kept}
			parts={data.parts}
			sales={data.sales}
			isKept={data.isKept}
			answer={answerOf(form, 'keep')}
		/>
	{/key}
{/if}
