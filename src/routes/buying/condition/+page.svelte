<script lang="ts">
	import { formatMinor } from '$lib/core/money/minor-units';
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ConditionPlan from './ConditionPlan.svelte';
	import CostCurve from './CostCurve.svelte';

	let { data } = $props();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const inUnits = (minor: number | undefined) =>
		minor === undefined ? '' : formatMinor(minor, data.currency);
	const PERCENTS = ['excellent', 'very good', 'good'] as const;
	const halved = $derived.by(() => {
		if (data.goal === null) return null;
		const of = (which: string) =>
			data.alike.find(({ condition }) => condition === which)?.minor ?? 0;
		const whole = of('near mint');
		return whole === 0 ? null : Math.round((100 * of('excellent')) / whole);
	});
</script>

<svelte:head><title>In which condition · Jade Binder</title></svelte:head>

<h1 class="mb-2">In which condition</h1>
{#if data.goal === null}
	<p class="text-lg">
		There is no goal yet. <a class="prose-link" href={resolve('/goals/new')}
			>Say what complete means</a
		>
		first.
	</p>
{:else}
	<ProblemAlert problems={[...data.misread, ...data.problems]} class="mb-3" />
	<AskForm path={resolve('/buying/condition')} class="mb-4">
		<Field label="Goal">
			<select name="goal" class="select w-64 max-w-full select-sm" value={data.goal.id}>
				{#each data.goals as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="For at most"
			><input
				name="budget"
				class="input w-24 input-sm"
				inputmode="decimal"
				placeholder="no budget"
				value={inUnits(data.ask.budgetMinor)}
			/></Field
		>
		<Field label="Average of at least"
			><input
				name="average"
				class="input w-20 input-sm"
				inputmode="decimal"
				placeholder="1 to 10"
				value={data.ask.average ?? ''}
			/></Field
		>
		<Field label="An old pack costs"
			><input
				name="pack"
				class="input w-24 input-sm"
				inputmode="decimal"
				placeholder="not asked"
				value={inUnits(data.ask.packMinor)}
			/></Field
		>
		<label class="flex items-center gap-2 text-sm"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				name="pinned"
				value="yes"
				checked={data.ask.arePinned}
			/> Key cards near mint</label
		>
		<label class="flex items-center gap-2 text-sm"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				name="whole"
				value="yes"
				checked={data.ask.isWhole}
			/> The whole set, as if nothing were here</label
		>
		<details class="w-full text-sm">
			<summary>What other conditions cost of one near mint, where nothing is said of them</summary>
			<div class="mt-1 flex flex-wrap gap-4">
				{#each PERCENTS as condition (condition)}
					<Field label="{condition}, %"
						><input
							name={condition}
							class="input w-20 input-sm"
							inputmode="decimal"
							value={data.ask.percents[condition]}
						/></Field
					>
				{/each}
			</div>
		</details>
	</AskForm>
	{#if data.cards === 0}
		<p class="text-lg">
			{data.unknown > 0
				? `Nothing is known of the prices of ${countOf(data.unknown, 'card')}.`
				: 'Nothing is missing.'}
			{#if data.unknown > 0}<a
					class="prose-link"
					href={resolve(`/buying/prices?goal=${data.goal.id}`)}>Price some of them</a
				>.{/if}
		</p>
	{:else}
		<p class="mb-3" data-testid="condition-summary">
			{countOf(data.cards, 'card')}, all
			{#each data.alike as { condition, minor }, i (condition)}{i > 0 ? ', ' : ' '}{condition}
				<strong>{money(minor)}</strong>{/each}.
			{#if halved !== null}<span class="quiet">Excellent costs {halved} % of near mint.</span>{/if}
			{#if data.unknown > 0}<span class="quiet"
					>{countOf(data.unknown, 'card')} without a price come on top.</span
				>{/if}
		</p>
		{#if data.packs !== null}
			<p class="mb-3" data-testid="packs">
				<strong>As singles all of it costs as much as {data.packs.toFixed(1)} old packs.</strong>
				<span class="quiet"
					>{data.packs < 5
						? 'Singles are the cheaper way: no few packs hold a set.'
						: 'What packs would bring is worked out from their odds.'}</span
				>
			</p>
		{/if}
		<CostCurve
			curve={data.curve}
			currency={data.currency}
			marks={[data.best, data.cheapest].filter((plan) => plan !== null)}
		/>
		<div class="mt-5 gap-10 md:flex">
			{#if data.best}<ConditionPlan
					title="The best for {money(data.ask.budgetMinor ?? 0)}"
					plan={data.best}
					currency={data.currency}
				/>{:else if data.ask.budgetMinor !== undefined}<p class="flex-1">
					Not even the cheapest is within {money(data.ask.budgetMinor)}.
				</p>{/if}
			{#if data.cheapest}<ConditionPlan
					title="The cheapest of {data.ask.average} on average"
					plan={data.cheapest}
					currency={data.currency}
				/>{:else if data.ask.average !== undefined}<p class="flex-1">
					No choice of conditions comes to {data.ask.average} on average.
				</p>{/if}
		</div>
	{/if}
{/if}
