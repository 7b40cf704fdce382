<script lang="ts">
	import { resolve } from '$app/paths';
	import { formatMinor } from '$lib/core/money/minor-units';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import PackCurves from './PackCurves.svelte';
	import PackKinds from './PackKinds.svelte';
	import PackGroups from './PackGroups.svelte';
	import SimulationPane from './SimulationPane.svelte';
	import StopVerdict from './StopVerdict.svelte';

	let { data } = $props();
	const inUnits = (minor: number | null) =>
		minor === null ? '' : formatMinor(minor, data.currency);
</script>

<svelte:head><title>Packs · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-2">Packs</h1>
{#if data.goal === null}
	<p class="text-lg">
		There is no goal yet. <a class="prose-link" href={resolve('/goals/new')}
			>Say what complete means</a
		> first; then what packs promise is worked out from what is missing.
	</p>
{:else}
	<ProblemAlert problems={[...data.misread, ...data.problems]} class="mb-3" />
	<AskForm path={resolve('/packs')} class="mb-5">
		<Field label="Goal">
			<select name="goal" class="select w-64 max-w-full select-sm" value={data.goal.id}>
				{#each data.goals as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select>
		</Field>
		{#if data.kind}
			<Field label="Packs of">
				<select name="pack" class="select w-64 max-w-full select-sm" value={data.kind.key}>
					{#each data.kinds as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
			<Field label="Packs to open"
				><input
					name="packs"
					class="input w-24 input-sm"
					inputmode="numeric"
					value={data.kind.packs}
				/></Field
			>
			<Field label="A pack costs"
				><input
					name="price"
					class="input w-24 input-sm"
					inputmode="decimal"
					placeholder={data.kind.priceMinor === null ? 'not known' : inUnits(data.kind.priceMinor)}
					value={inUnits(data.ask.priceMinor)}
				/></Field
			>
			<Field label="Postage of a single"
				><input
					name="postage"
					class="input w-24 input-sm"
					inputmode="decimal"
					value={inUnits(data.ask.postageMinor)}
				/></Field
			>
			<Field label="A double brings, %"
				><input
					name="extra"
					class="input w-20 input-sm"
					inputmode="decimal"
					value={data.ask.extraPercent}
				/></Field
			>
			<Field label="if it costs"
				><input
					name="from"
					class="input w-20 input-sm"
					inputmode="decimal"
					value={inUnits(data.ask.extraFromMinor)}
				/></Field
			>
		{/if}
	</AskForm>
	{#if !data.kind || !data.plan}
		<p class="max-w-2xl text-lg">
			{#if data.kind}
				Nothing is known of what {data.kind.packName} packs hold: say how many cards a pack has, and the
				odds of its inserts.
			{:else}
				No kinds of packs are recorded of the releases of this goal.
			{/if}
			<a class="prose-link" href={resolve('/releases')}>Where a release is edited</a> they can be said.
		</p>
	{:else}
		{@const { plan, kind, currency } = data}
		<StopVerdict {plan} {currency} />
		<PackCurves {plan} {currency} />
		<PackGroups {plan} packs={kind.packs} />
		{#if data.compared && data.compared.kinds.length > 0}
			<PackKinds compared={data.compared} goal={data.goal.id} {currency} />
		{/if}
		{#key `${data.goal.id} ${kind.key}`}
			<SimulationPane
				goal={data.goal.id}
				packs={[kind, ...(data.compared?.kinds ?? []).filter(({ isFormat }) => isFormat)]}
			/>
		{/key}
		{#if plan.unstated.length > 0 || plan.elsewhere > 0 || plan.unpriced > 0}
			<ul class="mt-3 max-w-3xl list-disc pl-5 text-sm quiet">
				{#if plan.unstated.length > 0}<li>
						Nobody states the odds of {plan.unstated
							.map(({ name, lacking }) => `${name} (${lacking} missing)`)
							.join(', ')}.
					</li>{/if}
				{#if plan.elsewhere > 0}<li>
						{countOf(plan.elsewhere, 'missing card')} that such packs are not known to hold
						{plan.elsewhere === 1 ? 'comes' : 'come'} on top of every sum.
					</li>{/if}
				{#if plan.unpriced > 0}<li>
						{countOf(plan.unpriced, 'missing card')} without a price
						{plan.unpriced === 1 ? 'counts' : 'count'} as nothing:
						<a class="prose-link" href={resolve(`/buying/prices?goal=${data.goal.id}`)}
							>price them</a
						>.
					</li>{/if}
			</ul>
		{/if}
	{/if}
{/if}
