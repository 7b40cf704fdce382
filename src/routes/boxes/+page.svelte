<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { group } from 'd3-array';
	import { isTooFull } from '$lib/core/storage/rows/is-too-full';
	import { nameShelf } from '$lib/core/storage/shelves/shelf';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { countOf, formatCount, formatWeight } from '$lib/ui/numerals';
	import ShelfBox from '$lib/ui/shelf/ShelfBox.svelte';
	import ShelfUnit from '$lib/ui/shelf/ShelfUnit.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const { shelves, loose, boxes, advice, overloaded } = $derived(data.room);
	const rooms = $derived([
		...group(
			shelves,
			({ room }) => room,
			({ unit }) => unit
		)
	]);
	const longestMm = $derived(Math.max(1000, ...shelves.map(({ lengthMm }) => lengthMm)));
	const cards = $derived(boxes.reduce((sum, box) => sum + box.cards, 0));
	const grams = $derived(
		boxes.reduce((sum, box) => sum + (box.insideId === null ? box.grams : 0), 0)
	);
	const full = $derived(boxes.filter(isTooFull));
	const boxOf = (key: string) => boxes.find(({ id }) => String(id) === key);
	const shelfOf = (key: string | null) => shelves.find((shelf) => shelf.key === key);
</script>

<svelte:head><title>Boxes · Jade Binder</title></svelte:head>

{#if data.isEmpty && boxes.length === 0 && shelves.length === 0}
	<EmptyCollection title="No box yet" />
{:else}
	<h1 class="mb-1">Boxes</h1>
	{#if boxes.length === 0}
		<p class="mb-4 max-w-2xl text-lg">
			No box stands here yet. <a class="prose-link" href={resolve('/boxes/plan')}
				>The plan says which ones your cards need</a
			>, and records them as standing; begin with
			<a class="prose-link" href={resolve('/boxes/shelves')}>the shelves</a> if you have some.
		</p>
	{:else}
		<p class="mb-5 text-lg">
			<strong class="text-2xl font-semibold">{formatCount(cards)}</strong> cards in {countOf(
				boxes.length,
				'box',
				'boxes'
			)}, {formatWeight(grams)} in all.
		</p>
	{/if}
	<ProblemAlert problems={form?.problems} />
	{#if full.length > 0}
		<p class="mb-4 max-w-3xl border-l-3 border-error pl-4">
			A row is too full in {#each full as { id, name }, i (id)}{i > 0 ? ', ' : ''}<a
					class="prose-link"
					href={resolve('/boxes/[box=id]', { box: String(id) })}>{name}</a
				>{/each}: open it for the re-spacing slip.
		</p>
	{/if}
	{#each overloaded as { shelf: key, overG } (key)}
		{@const shelf = shelfOf(key)}
		{#if shelf}
			<p class="mb-4 max-w-3xl border-l-3 border-error pl-4" role="alert">
				{nameShelf(shelf)} is {formatWeight(overG)} over what its maker says it bears, and no other shelf
				here takes a box of it: take one off, or split it.
			</p>
		{/if}
	{/each}
	{#if advice.length > 0}
		<section class="mb-6 max-w-3xl border-l-3 border-accent pl-4" aria-labelledby="advice">
			<h2 id="advice" class="mb-1">Should stand elsewhere</h2>
			<ul class="mb-2">
				{#each advice as { box, from, to, rule } (box)}
					{@const moved = boxOf(box)}
					{@const target = shelfOf(to)}
					{#if moved && target}
						<li class="flex flex-wrap items-center gap-x-3 py-1">
							<span class="min-w-0 flex-1"
								>{moved.name}, {formatWeight(moved.grams)}: {from === null
									? 'on no shelf'
									: nameShelf(shelfOf(from) ?? target)} → {nameShelf(target)}
								<span class="quiet">({rule})</span></span
							>
							<form method="POST" action="?/move" use:enhance>
								<input type="hidden" name="move" value="{box} {to}" />
								<button class="btn btn-sm" aria-label="Moved: {moved.name}">Moved</button>
							</form>
						</li>
					{/if}
				{/each}
			</ul>
			{#if advice.length > 1}
				<form method="POST" action="?/move" use:enhance class="mb-2">
					{#each advice as { box, to } (box)}<input
							type="hidden"
							name="move"
							value="{box} {to}"
						/>{/each}
					<button class="btn btn-sm">All of them are moved</button>
				</form>
			{/if}
			<p class="text-sm quiet">
				Heavy boxes low. Lift with both hands and a straight back; local rules, and the rating of
				the shelf's maker, take precedence.
			</p>
		</section>
	{/if}
	{#each rooms as [room, units] (room)}
		<section aria-labelledby="room-{room}">
			<h2 id="room-{room}" class="mb-2">{room}</h2>
			{#each units as [unit, unitShelves] (unit)}
				<h3 class="font-semibold">{unit}</h3>
				<ShelfUnit shelves={unitShelves} {longestMm} />
			{/each}
		</section>
	{/each}
	{#if loose.length > 0}
		<section class="mb-6" aria-labelledby="loose">
			<h2 id="loose" class="mb-2">On no shelf</h2>
			<ul class="flex flex-wrap gap-3">
				{#each loose as box (box.id)}
					<li
						style:width="{box.kind.lengthMm * 0.45}px"
						style:height="{box.kind.heightMm * 0.45}px"
					>
						<ShelfBox
							id={box.id}
							name={box.name}
							fill={box.fill}
							cards={box.cards}
							isFull={isTooFull(box)}
						/>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#if data.trays.length > 0}
		<section class="mb-6" aria-labelledby="trays">
			<h2 id="trays" class="mb-2">Trays</h2>
			<ul class="flex flex-wrap gap-3">
				{#each data.trays as { id, tray, name, cards, isEstimate, shelfId, place } (id)}
					{@const shelf = data.room.shelves.find((each) => each.id === shelfId)}
					{@const where = [shelf && `${shelf.room}: ${nameShelf(shelf)}`, place].filter(Boolean)}
					<li class="border-2 border-t-0 border-base-content/45 px-3 py-1.5">
						<span class="quiet">{tray}:</span>
						{#if tray === 'to sort'}
							<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
							<a class="prose-link" href={`${resolve('/boxes/sorting')}?pile=${id}&cards=${cards}`}
								>{name}</a
							>,
						{:else}{name},{/if}
						<strong class={['font-semibold', isEstimate && 'italic']}
							>{isEstimate ? 'about ' : ''}{countOf(cards, 'card')}</strong
						>
						{#if where.length > 0}<span class="block text-sm quiet">{where.join(', ')}</span>{/if}
					</li>
				{/each}
			</ul>
			<p class="mt-2">
				<a class="prose-link" href={resolve('/boxes/sorting')}>Sort a pile</a>, then
				<a class="prose-link" href={resolve('/boxes/slips')}>put it away with a slip</a>.
			</p>
		</section>
	{/if}
{/if}
