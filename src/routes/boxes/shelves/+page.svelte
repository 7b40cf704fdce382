<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { BOX_KINDS, LONGEST_SMALL_MM } from '$lib/core/storage/kinds/box-kind';
	import { nameShelf } from '$lib/core/storage/shelves/shelf';
	import { formatCount, formatWeight } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import BoxForm from '$lib/ui/shelf/BoxForm.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data, form } = $props();
	const last = $derived(data.shelves.at(-1));
	const kindFields = [
		{ name: 'rows', label: 'Rows', value: '1' },
		{ name: 'rowMm', label: 'Inner length of a row, mm', value: '360' },
		{ name: 'nominalCount', label: 'Its maker says, cards', value: '800' },
		{ name: 'countStockPt', label: 'of stock, pt', value: '18' },
		{ name: 'lengthMm', label: 'Outer length, mm', value: '370' },
		{ name: 'widthMm', label: 'Width, mm', value: '80' },
		{ name: 'heightMm', label: 'Height, mm', value: '98' },
		{ name: 'tareG', label: 'Empty, g', value: '120' }
	];
</script>

<svelte:head><title>Shelves and box kinds · Jade Binder</title></svelte:head>

{#snippet problems(of: string)}
	{#if form && 'problems' in form && form.problems && form.form === of}
		<ProblemAlert problems={form.problems} class="mb-3" />
	{/if}
{/snippet}

{#snippet field(name: string, label: string, value: string, width: string, hint = '')}
	<Field {label}>
		<input class="input {width} input-sm" {name} {value} placeholder={hint} required={!hint} />
	</Field>
{/snippet}

<h1 class="mb-4">Shelves and box kinds</h1>
<section class="mb-8" aria-labelledby="shelves">
	<h2 id="shelves" class="mb-2">Shelves</h2>
	{@render problems('shelf')}
	<ul class="max-w-5xl">
		{#each data.shelves as shelf (shelf.id)}
			<li class="flex flex-wrap items-end gap-3 border-t border-base-300 py-2">
				<form method="POST" action="?/shelf" use:enhance class="flex flex-wrap items-end gap-3">
					<input type="hidden" name="id" value={shelf.id} />
					{@render field('room', 'Room', shelf.room, 'w-36')}
					{@render field('unit', 'Shelf unit', shelf.unit, 'w-56')}
					{@render field('level', 'Level', String(shelf.level), 'w-16')}
					{@render field('lengthMm', 'Length, mm', String(shelf.lengthMm), 'w-24')}
					{@render field(
						'ratingKg',
						'Bears, kg',
						shelf.ratingG === null ? '' : String(shelf.ratingG / 1000),
						'w-24',
						'not known'
					)}
					<button class="btn btn-sm" aria-label="Save {shelf.room}: {nameShelf(shelf)}">Save</button
					>
				</form>
				<form method="POST" action="?/dropShelf" use:enhance>
					<input type="hidden" name="id" value={shelf.id} />
					<button
						class="btn btn-ghost btn-sm"
						aria-label="Take away {shelf.room}: {nameShelf(shelf)}">Take away</button
					>
				</form>
				<span class={shelf.isOver ? 'text-error' : 'quiet'}
					>{formatWeight(shelf.grams)}{shelf.isOver ? ', too heavy' : ''}</span
				>
			</li>
		{:else}
			<li class="quiet">None yet. A level is counted from the floor: 1 is the lowest.</li>
		{/each}
	</ul>
	<form
		method="POST"
		action="?/shelf"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
		class="mt-3 flex flex-wrap items-end gap-3 bg-base-200 p-3"
	>
		{@render field('room', 'Room of a new shelf', last?.room ?? 'Basement', 'w-36')}
		{@render field('unit', 'Shelf unit', last?.unit ?? 'Rack A', 'w-56')}
		{@render field('level', 'Level, 1 is the lowest', '1', 'w-16')}
		{@render field('lengthMm', 'Length, mm', String(last?.lengthMm ?? 1500), 'w-24')}
		{@render field('ratingKg', 'Bears, kg', '', 'w-24', 'not known')}
		<button class="btn btn-primary btn-sm">Add shelf</button>
	</form>
	<p class="mt-2 max-w-2xl text-sm quiet">
		What a shelf bears is what its maker says, screwed to the wall as its maker says. Without a
		rating no load is called safe.
	</p>
</section>

<section class="mb-8" aria-labelledby="new-box">
	<h2 id="new-box" class="mb-2">A box of your own choice</h2>
	{@render problems('box')}
	<BoxForm
		box={null}
		kinds={data.kinds}
		uses={data.uses}
		hosts={data.hosts}
		shelves={data.shelves}
		action="?/box"
	/>
</section>

{#if data.binders.length > 0}
	<section class="mb-8" aria-labelledby="binders">
		<h2 id="binders" class="mb-2">Where binders stand</h2>
		{@render problems('binder')}
		<ul class="max-w-3xl">
			{#each data.binders as { id, name, shelfId } (id)}
				<li class="border-t border-base-300 py-2">
					<form
						method="POST"
						action="?/binder"
						use:enhance
						class="flex flex-wrap items-center gap-3"
					>
						<input type="hidden" name="binder" value={id} />
						<span class="min-w-48 flex-1">{name}</span>
						<select
							class="select w-80 select-sm"
							name="shelfId"
							value={String(shelfId ?? '')}
							aria-label="Shelf of {name}"
						>
							<option value="">no shelf</option>
							{#each data.shelves as shelf (shelf.id)}
								<option value={String(shelf.id)}>{shelf.room}: {nameShelf(shelf)}</option>
							{/each}
						</select>
						<button class="btn btn-sm" aria-label="Save where {name} stands">Save</button>
					</form>
				</li>
			{/each}
		</ul>
	</section>
{/if}

<section aria-labelledby="kinds">
	<h2 id="kinds" class="mb-2">Box kinds</h2>
	{@render problems('kind')}
	<div class="overflow-x-auto">
		<table class="table max-w-4xl table-sm [&_td]:text-base [&_th]:text-base">
			<thead
				><tr
					><th scope="col">Kind</th><th scope="col" class="text-right">Rows</th><th
						scope="col"
						class="text-right">of mm</th
					><th scope="col" class="text-right">Cards</th><th scope="col" class="text-right">at pt</th
					><th scope="col" class="text-right">Outside, mm</th><th scope="col" class="text-right"
						>Empty</th
					><th scope="col"></th></tr
				></thead
			>
			<tbody>
				{#each data.kinds as kind, i (kind.key)}
					<tr>
						<th scope="row" class="font-normal">{kind.name}</th>
						<td class="text-right">{kind.rows}</td>
						<td class="text-right">{Math.round(kind.rowMm)}</td>
						<td class="text-right">{formatCount(kind.nominalCount)}</td>
						<td class="text-right">{kind.countStockPt}</td>
						<td class="text-right"
							>{Math.round(kind.lengthMm)} × {kind.widthMm} × {kind.heightMm}</td
						>
						<td class="text-right">{kind.tareG} g</td>
						<td>
							{#if i >= BOX_KINDS.length}
								<form method="POST" action="?/dropKind" use:enhance>
									<input type="hidden" name="key" value={kind.key} />
									<button class="btn btn-ghost btn-xs" aria-label="Take away {kind.name}"
										>Take away</button
									>
								</form>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<form
		method="POST"
		action="?/kind"
		use:enhance
		class="mt-3 flex flex-wrap items-end gap-3 bg-base-200 p-3"
	>
		<Field label="Name of a kind of your own">
			<input class="input w-52 input-sm" name="name" maxlength="60" required />
		</Field>
		{#each kindFields as { name, label, value } (name)}
			{@render field(name, label, value, 'w-28')}
		{/each}
		<button class="btn btn-primary btn-sm">Add kind</button>
	</form>
	<p class="mt-2 max-w-2xl text-sm quiet">
		A maker's count is for the stock it names: thinner cards stand closer. Outer sizes and weights
		of the kinds that come with the program are assumptions. What is no longer than {LONGEST_SMALL_MM}
		mm, and goes into a row of a long box, is a small box: it stands there.
	</p>
</section>
