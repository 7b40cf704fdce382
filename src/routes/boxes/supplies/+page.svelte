<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { STOCK_SORTS } from '$lib/core/storage/supplies/supply';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const HEADS = {
		holder: 'Sleeves, loaders and cases',
		scuffed: 'Scuffed, for shipping',
		box: 'Boxes, not made up yet',
		divider: 'Dividers',
		bag: 'Bags'
	} as const;
	const low = $derived(new Set(data.low.map(({ key }) => key)));
	const scuffed = $derived(data.supplies.filter(({ sort }) => sort === 'scuffed'));
	const problemsOf = (of: string) =>
		form && 'problems' in form && form.form === of ? form.problems : undefined;
</script>

<svelte:head><title>Supplies · Jade Binder</title></svelte:head>

<h1 class="mb-2">Supplies on hand</h1>
<p class="mb-4 max-w-2xl">
	Count what you want to keep count of; the rest stays empty. Cards that change their holder, boxes
	and dividers that are made up take from it, and free loaders come back. Below the number you name,
	the Desk tells you.
</p>
{#if data.low.length > 0}
	<ul class="mb-5 max-w-2xl border-l-3 border-accent pl-4" aria-label="Running low">
		{#each data.low as { key, name, count, enough } (key)}
			<li>
				<strong>{count === 0 ? 'None' : `Only ${count}`}</strong> left, {enough} are enough: {name}
			</li>
		{/each}
	</ul>
{/if}
{#if problemsOf('stock')}<ProblemAlert problems={problemsOf('stock') ?? []} class="mb-3" />{/if}
<form
	method="POST"
	action="?/stock"
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
>
	<div class="columns-1 gap-10 lg:columns-2">
		{#each STOCK_SORTS as sort (sort)}
			<section class="mb-6 break-inside-avoid" aria-labelledby="of-{sort}">
				<h2 id="of-{sort}" class="mb-1 font-serif text-lg">{HEADS[sort]}</h2>
				<ul>
					{#each data.supplies.filter((supply) => supply.sort === sort) as { key, name } (key)}
						{@const stock = data.stock[key]}
						<li
							class="flex items-center gap-x-3 gap-y-1 border-t border-base-300 py-1 max-sm:flex-wrap"
						>
							<input type="hidden" name="key" value={key} />
							<span class="min-w-0 flex-1 max-sm:basis-full sm:truncate" title={name}
								>{#if low.has(key)}<span class="text-accent" aria-label="low">▼</span>{/if}
								{sort === 'scuffed' || sort === 'box'
									? name.replace(/, (scuffed|unmade)$/, '')
									: name}</span
							>
							<input
								class="input w-20 text-right input-sm"
								name="count"
								inputmode="numeric"
								maxlength="6"
								aria-label="On hand: {name}"
								value={stock?.count ?? ''}
							/>
							<label class="flex items-center gap-1 text-sm quiet"
								>warn below
								<input
									class="input w-16 text-right input-sm"
									name="least"
									inputmode="numeric"
									maxlength="6"
									aria-label="Warn below: {name}"
									value={stock?.least ?? ''}
								/></label
							>
						</li>
					{/each}
				</ul>
			</section>
		{/each}
	</div>
	<button class="btn btn-primary btn-sm">Save counts</button>
</form>

<section class="mt-8" aria-labelledby="aside">
	<h2 id="aside" class="mb-2 font-serif text-lg">Put scuffed ones aside</h2>
	{#if problemsOf('aside')}<ProblemAlert problems={problemsOf('aside') ?? []} class="mb-3" />{/if}
	<form method="POST" action="?/aside" use:enhance class="flex flex-wrap items-end gap-3">
		<Field label="Of">
			<select class="select w-56 select-sm" name="holder">
				{#each scuffed as { key, name } (key)}
					<option value={key.replace('scuffed:', '')}>{name.replace(/, scuffed$/, '')}</option>
				{/each}
			</select>
		</Field>
		<Field label="How many">
			<input class="input w-20 input-sm" name="count" inputmode="numeric" value="1" />
		</Field>
		<button class="btn btn-sm">Put aside</button>
		<span class="text-sm quiet" role="status"
			>{form?.form === 'aside' && !problemsOf('aside')
				? 'They wait for the next parcel.'
				: countOf(
						scuffed.reduce((sum, { key }) => sum + (data.stock[key]?.count ?? 0), 0),
						'scuffed one'
					)}</span
		>
	</form>
</section>
