<script lang="ts">
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf, formatCount, formatDay, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Openings · Jade Binder</title></svelte:head>

<h1 class="mb-2">Openings</h1>
<ProblemAlert problems={form?.problems} class="mb-3" />
{#if data.kinds.length === 0}
	<p class="max-w-2xl text-lg">
		No kinds of packs are recorded yet: say in a <a class="prose-link" href={resolve('/releases')}
			>release</a
		> how it was sold, then what its packs held is written down here.
	</p>
{:else}
	<form
		method="POST"
		action="?/begin"
		use:enhance
		class="mb-6 flex flex-wrap items-end gap-x-4 gap-y-2"
	>
		<Field label="Packs of">
			<select name="pack" class="select w-72 max-w-full select-sm">
				{#each data.kinds as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="Called"
			><input
				name="name"
				class="input w-56 max-w-full input-sm"
				placeholder="after the packs"
			/></Field
		>
		<Field label="A pack cost"
			><input
				name="price"
				class="input w-28 input-sm"
				inputmode="decimal"
				placeholder="not known"
			/></Field
		>
		<button class="btn btn-primary btn-sm">Begin to open</button>
	</form>
	{#if data.openings.length === 0}
		<p class="max-w-2xl text-lg">
			Nothing was opened yet. Begin an opening, lay the cards of each pack down, and the page tells
			whether the odds hold, what a new card costs by now, and who gets what of a group opening.
		</p>
	{:else}
		<div class="overflow-x-auto">
			<table class="table w-auto table-sm" data-testid="openings">
				<thead>
					<tr>
						<th scope="col">Opening</th>
						<th scope="col">On</th>
						<th scope="col" class="text-right">Packs</th>
						<th scope="col" class="text-right">Cards</th>
						<th scope="col" class="text-right">New</th>
						<th scope="col" class="text-right">Cost</th>
						<th scope="col" class="text-right">A new card</th>
					</tr>
				</thead>
				<tbody>
					{#each data.openings as opening (opening.id)}
						{@const { packs, cards, fresh, costMinor, currency } = opening}
						<tr>
							<th scope="row" class="font-normal">
								<a
									class="text-base prose-link"
									href={resolve('/packs/openings/[opening=id]', { opening: String(opening.id) })}
									>{opening.name}</a
								>
								<span class="block text-sm quiet"
									>{opening.release}: {opening.pack}{opening.isShared ? ', shared out' : ''}</span
								>
							</th>
							<td>{formatDay(opening.openedOn)}</td>
							<td class="text-right">{formatCount(packs)}</td>
							<td class="text-right">{formatCount(cards)}</td>
							<td class="text-right font-semibold">{formatCount(fresh)}</td>
							<td class="text-right"
								>{costMinor === null ? '' : formatMoney(costMinor, currency)}</td
							>
							<td class="text-right"
								>{costMinor === null || fresh === 0
									? ''
									: formatMoney(Math.round(costMinor / fresh), currency)}</td
							>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p class="mt-2 text-sm quiet">
			{countOf(data.openings.length, 'opening')}. A card is new if it was the first of its kind in
			the collection when it came.
		</p>
	{/if}
{/if}
