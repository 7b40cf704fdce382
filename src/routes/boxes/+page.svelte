<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import OpenBox from '$lib/ui/shelf/OpenBox.svelte';
	import Shelf from '$lib/ui/shelf/Shelf.svelte';

	let { data } = $props();
	let chosen = $state(1);
	const { boxes } = $derived(data.plan);
	const open = $derived(boxes.find(({ box }) => box === chosen) ?? boxes[0]);
	const weight = $derived(data.weights.find(({ box }) => box === open?.box));
	const kind = $derived(data.kinds.find(({ key }) => key === open?.kind));
	const names = $derived(new Map(data.sets.map((set) => [set.key, set])));
	const cards = $derived(data.sets.reduce((sum, set) => sum + set.cards, 0));
	const nameOfKind = (key: string) => data.kinds.find((one) => one.key === key)?.name ?? key;
	const fields = $derived([
		{ name: 'fill', label: 'An own box fills at least', value: data.options.fill },
		{ name: 'have', label: 'and the set is there to', value: data.options.have },
		{ name: 'growth', label: 'Room kept for missing cards', value: data.options.growth }
	]);
	const broken = $derived([...data.plan.brokenOverBoxes, ...data.plan.brokenOverRows]);
</script>

<svelte:head><title>Boxes · Jade Binder</title></svelte:head>

{#if data.sets.length === 0}
	<EmptyCollection title="No box yet" />
{:else}
	<div class="mt-4 mb-4 flex flex-wrap items-end gap-x-6 gap-y-2">
		<h1>Boxes</h1>
		<a class="prose-link" href={resolve('/boxes/sorting')}>Sort a pile</a>
	</div>
	<p class="mb-4 max-w-3xl text-lg">
		<strong class="text-2xl font-semibold">{formatCount(cards)}</strong> cards that lie in no binder
		and have no place of their own stand in {countOf(boxes.length, 'box', 'boxes')}.
	</p>
	<form
		method="GET"
		class="mb-6 flex flex-wrap items-end gap-4"
		onchange={(event) => event.currentTarget.requestSubmit()}
	>
		<label class="block"
			><span class="block text-sm quiet">Ordered first by</span>
			<select class="select w-40 select-sm" name="school" value={data.options.school}>
				<option value="year">year</option><option value="maker">maker</option>
			</select></label
		>
		{#each fields as { name, label, value } (name)}
			<label class="block"
				><span class="block text-sm quiet">{label}, %</span>
				<input class="input w-24 input-sm" type="number" min="0" max="100" {name} {value} /></label
			>
		{/each}
		<noscript><button class="btn btn-sm">Plan</button></noscript>
	</form>
	{#if boxes.length === 0}
		<p class="max-w-xl text-lg">Every card lies in a binder or elsewhere: no box is needed.</p>
	{:else}
		<Shelf {boxes} kinds={data.kinds} open={open?.box ?? 0} choose={(box) => (chosen = box)} />
		{#if open && kind && weight}<OpenBox box={open} {kind} {weight} />{/if}
		{#if broken.length > 0}
			<p class="mt-4 max-w-3xl border-l-3 border-accent pl-4">
				Over a border of rows or boxes: {broken.join(', ')}.
			</p>
		{/if}
		<section class="mt-8" aria-labelledby="choices">
			<h2 id="choices" class="mb-2">Why each set stands where it does</h2>
			<div class="overflow-x-auto">
				<table class="table max-w-4xl table-sm [&_td]:text-base [&_th]:text-base">
					<thead
						><tr
							><th scope="col">Set</th><th scope="col" class="text-right">Cards</th><th scope="col"
								>Stands in</th
							><th scope="col">Because</th></tr
						></thead
					>
					<tbody>
						{#each data.plan.choices as { set, choice, kind: own, rule } (set)}
							<tr>
								<th scope="row" class="font-normal">{names.get(set)?.name ?? set}</th>
								<td class="text-right">{formatCount(names.get(set)?.cards ?? 0)}</td>
								<td
									>{own !== null
										? nameOfKind(own)
										: choice === 'stray'
											? 'strays of its year'
											: 'a shared long box'}</td
								>
								<td class="quiet">{rule}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
		</section>
		<p class="mt-6 max-w-2xl text-sm quiet">
			A plan from what is logged: thickness of the stock (18 pt where none is stated) against the
			length of the rows. Keep heavy boxes low, and a board between boxes that stand on each other.
		</p>
	{/if}
{/if}
