<script lang="ts">
	import { formatParcelLine } from '$lib/core/selling/parcels/parcel-line';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import LinesField from '$lib/ui/LinesField.svelte';
	import { formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import BoxRows from './BoxRows.svelte';
	import PackedParcel from './PackedParcel.svelte';

	let { data, form } = $props();
	const kinds = $derived(answerOf(form, 'kinds'));
	const money = (minor: number) => formatMoney(minor, data.currency);
	const problems = $derived([...data.misread, ...data.problems]);
</script>

<svelte:head><title>Parcels · Jade Binder</title></svelte:head>

<h1 class="mb-2">Parcels</h1>
<BoxRows rows={data.rows} boxKinds={data.boxKinds} staysUpright={data.staysUpright} />
<ProblemAlert {problems} class="mb-3" />
{#if data.plans.length === 0 && problems.length === 0}
	<p class="max-w-2xl text-lg">
		Say which boxes go out: the cheapest parcels for them are worked out, and how each box lies is
		drawn to follow.
	</p>
{:else if data.plans.length > 0}
	<p class="mb-3" data-testid="parcel-total">
		<strong class="font-serif text-3xl font-medium">{money(data.totalMinor)}</strong>
		<span class="quiet"
			>{data.isProven
				? 'no other way is cheaper'
				: 'the search was given up: a cheaper way may exist'}</span
		>
	</p>
{/if}
{#each data.plans as plan (plan.buyer)}
	<section class="mb-6 max-w-5xl" aria-label={plan.buyer || 'To one buyer'}>
		{#if data.plans.length > 1 || plan.buyer}
			<h2 class="mb-1">
				{plan.buyer || 'Without a name'} <span class="text-sm quiet">{money(plan.totalMinor)}</span>
			</h2>
		{/if}
		{#each plan.left as { name, quantity } (name)}
			<p class="text-error">
				{quantity} × {name}: into no parcel, by size or by weight. Fill it less, or keep a larger
				kind.
			</p>
		{/each}
		{#each plan.parcels as parcel, i (i)}
			<PackedParcel {parcel} number={i + 1} currency={data.currency} />
		{/each}
	</section>
{/each}
{#if data.plans.length > 0}
	<p class="mb-4 max-w-3xl text-sm quiet">
		Sizes are of the boxes outside and the parcels inside; leave room for padding. Lift heavy
		parcels with both hands and a straight back, and keep to your carrier’s limits.
	</p>
{/if}
<details class="max-w-4xl" open={kinds.isAnswered}>
	<summary class="cursor-pointer font-serif text-lg">Kinds of parcel and what they cost</summary>
	<form
		method="POST"
		action="?/kinds"
		class="mt-2"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<Field label="A line each: inner size, weight, price flat or by weight"
			><LinesField
				name="kinds"
				rows={5}
				value={data.parcels.map((kind) => formatParcelLine(kind, data.currency)).join('\n')}
			/></Field
		>
		<button class="btn mt-2 btn-sm">Keep</button>
		<span class="text-sm text-primary" role="status">{kinds.told}</span>
		<p class="mt-1 text-sm quiet">
			“by weight: 600 x 400 x 300 mm, up to 20 kg, 450 g empty; 2 kg 9.00, 5 kg 14.00”. Sizes and
			prices that came with the program are made up: write your carrier’s.
		</p>
		<ProblemAlert problems={kinds.problems} class="mt-2" />
	</form>
</details>
