<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { countOf } from '$lib/ui/numerals';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';

	let { data } = $props();
	const packs = $derived(data.packTypes ?? []);
	const nameOf = (key: string) => packs.find((pack) => pack.key === key)?.name ?? key;
	/** "1:6", or that it may. */
	const oddsText = (odds: { readonly cards: number; readonly packs: number } | null) =>
		odds === null ? 'may' : odds.cards === 1 ? `1:${odds.packs}` : `${odds.cards} in ${odds.packs}`;
	const oneIn = (chance: number | null) =>
		chance === null ? 'not stated' : `1 in ${(1 / chance).toFixed(chance > 0.1 ? 1 : 0)}`;
</script>

<svelte:head><title>What packs hold · Jade Binder</title></svelte:head>

{#if data.release}
	<h1 class="mb-2">What packs hold</h1>
	<label class="mb-4 block w-72"
		><span class="block text-sm quiet">Packs of</span>
		<ReleaseSelect
			chosen={data.release}
			class="w-full select-sm"
			choose={(key) =>
				// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
				void goto(`${resolve('/tell-apart/packs')}?release=${encodeURIComponent(key)}`, {
					keepFocus: true
				})}
		/></label
	>
	{#if packs.length === 0}
		<p class="max-w-xl">
			No kinds of packs are recorded of {data.release.name}. Say them where the release is edited.
		</p>
	{:else}
		<section class="mb-8 overflow-x-auto" aria-labelledby="holds">
			<h2 id="holds" class="mb-1">Which finishes each can hold</h2>
			<table class="table w-auto table-sm">
				<thead>
					<tr>
						<th scope="col">Section</th>
						<th scope="col">Finish</th>
						<th scope="col" class="text-right">Cards</th>
						{#each packs as { key, name } (key)}<th scope="col">{name}</th>{/each}
					</tr>
				</thead>
				<tbody>
					{#each data.finishes as { section, finish, cards, packs: held, channel }, i (i)}
						<tr>
							<th scope="row" class="font-normal">{section}</th>
							<td>{finish}</td>
							<td class="text-right">{cards}</td>
							{#if held.length === 0}
								<td colspan={packs.length} class="quiet">{channel ?? 'in no pack'}</td>
							{:else}
								{#each packs as { key } (key)}
									{@const found = held.find(({ pack }) => pack === key)}
									<td class={found ? (found.odds ? 'font-semibold' : '') : 'quiet'}
										>{found ? oddsText(found.odds) : '–'}</td
									>
								{/each}
							{/if}
						</tr>
					{/each}
				</tbody>
			</table>
		</section>
		<section class="max-w-3xl" aria-labelledby="lack">
			<h2 id="lack" class="mb-1">Which can hold what you lack</h2>
			{#if data.open === 0}
				<p>Nothing is missing here, as far as your goals go.</p>
			{:else}
				<p class="mb-3">{countOf(data.open, 'slot')} of your goals are open.</p>
				<ul class="mb-4">
					{#each data.prospects as { pack, slots, stated, expected } (pack)}
						<li class="flex flex-wrap gap-x-4 border-t border-base-300 py-1.5">
							<strong class="w-40">{nameOf(pack)}</strong>
							<span class="flex-1">may fill {slots}</span>
							<span class="quiet"
								>{stated === 0
									? 'no odds are stated'
									: `on average ${expected.toFixed(2)} a pack, of ${stated} with stated odds`}</span
							>
						</li>
					{/each}
				</ul>
				<ul class="columns-1 gap-8 sm:columns-2">
					{#each data.slots as { key, name, packs: from } (key)}
						<li class="flex break-inside-avoid justify-between gap-3 border-t border-base-300 py-1">
							<span class="min-w-0 truncate">{name}</span>
							<span class="shrink-0 text-sm quiet"
								>{from.length === 0
									? 'in no pack'
									: `${nameOf(from[0]?.pack ?? '')}, ${oneIn(from[0]?.chance ?? null)}`}</span
							>
						</li>
					{/each}
				</ul>
				{#if data.open > data.slots.length}
					<p class="mt-2 quiet">and {data.open - data.slots.length} more.</p>
				{/if}
			{/if}
		</section>
	{/if}
{:else}
	<EmptyCollection title="No packs to look into yet" />
{/if}
