<script lang="ts">
	import type { ListedChange } from '$lib/server/checklists/import-card-list';
	import { changeFigures } from '$lib/ui/change-figures';
	import { countOf } from '$lib/ui/numerals';

	/** What a list of cards comes to, release by release. */
	let { listed }: { listed: readonly ListedChange[] } = $props();
	const SHOWN = 200;
	const fresh = $derived(listed.filter(({ isNew }) => isNew).length);
	const cards = $derived(listed.reduce((sum, each) => sum + each.cards, 0));
</script>

<h2 class="mb-1">{countOf(cards, 'card')} of {countOf(listed.length, 'release')}</h2>
<p class="mb-4">
	{fresh > 0
		? `${countOf(fresh, 'release')} would begin with these cards; the rest of their checklists can follow.`
		: 'All of them are in the collection.'}
	Nothing that is there goes.
</p>
<div class="overflow-x-auto">
	<table class="table">
		<thead>
			<tr>
				<th>Release</th><th>Maker</th><th>Year</th><th class="text-right">Cards in the list</th>
				<th>What changes</th>
			</tr>
		</thead>
		<tbody>
			{#each listed.slice(0, SHOWN) as { name, maker, year, isNew, cards: count, changes }, i (i)}
				<tr>
					<th scope="row">{name}</th>
					<td>{maker}</td>
					<td>{year}</td>
					<td class="text-right">{count}</td>
					<td>{isNew ? 'new' : changeFigures(changes)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if listed.length > SHOWN}<p class="mt-2 quiet">and {listed.length - SHOWN} more</p>{/if}
