<script lang="ts">
	import EntryLine from '$lib/ui/entry-line/EntryLine.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { countOf, formatCount, formatDay, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { createOpeningBook } from './opening-book.svelte';
	import NewCards from './NewCards.svelte';
	import OpenedPiles from './OpenedPiles.svelte';
	import RealisedOdds from './RealisedOdds.svelte';
	import ShareOut from './ShareOut.svelte';

	let { data, form } = $props();
	const book = createOpeningBook(() => data);
	let typedPacks = $state<number | null>(null);
	const packs = $derived(typedPacks ?? data.nextPacks);
	const problemsOf = (part: string) =>
		form && 'problems' in form && form.part === part ? form.problems : undefined;
	const lately = $derived(data.points.at(-1));
</script>

<svelte:head><title>{data.name} · Jade Binder</title></svelte:head>

<h1 class="mb-1">{data.name}</h1>
<p class="mb-3 quiet">
	{data.releaseName}: {data.pack.name}, {formatDay(data.openedOn)}{data.packMinor === null
		? ''
		: `, ${formatMoney(data.packMinor, data.currency)} a pack`}
</p>
<dl class="mb-4 flex flex-wrap gap-x-8 gap-y-1" data-testid="opening-figures">
	<div>
		<dt class="text-sm quiet">Packs</dt>
		<dd class="text-xl">{formatCount(data.packs)}</dd>
	</div>
	<div>
		<dt class="text-sm quiet">Cards</dt>
		<dd class="text-xl">{formatCount(data.cards)}</dd>
	</div>
	<div>
		<dt class="text-sm quiet">New</dt>
		<dd class="text-xl">{formatCount(data.fresh)}</dd>
	</div>
	{#if lately}
		<div>
			<dt class="text-sm quiet">New a pack, lately</dt>
			<dd class="text-xl">{lately.freshAPack.toFixed(1)}</dd>
		</div>
		<div>
			<dt class="text-sm quiet">A new card costs, lately</dt>
			<dd class="text-xl">
				{lately.costPerNewMinor === null
					? data.packMinor === null
						? 'not known'
						: 'none came'
					: formatMoney(Math.round(lately.costPerNewMinor), data.currency)}
			</dd>
		</div>
	{/if}
</dl>

{#if data.sharedOn === null}
	<section aria-label="Open packs" class="max-w-3xl">
		<Field label="Packs that these cards are of" class="mb-2">
			<span class="flex flex-wrap items-center gap-2">
				<input
					class="input w-24 input-sm"
					type="number"
					min="1"
					max="10000"
					bind:value={() => packs, (value) => (typedPacks = value)}
				/>
				{#if data.packsPerBox !== null && packs !== data.packsPerBox}
					<button type="button" class="btn btn-sm" onclick={() => (typedPacks = data.packsPerBox)}
						>a box of {data.packsPerBox}</button
					>
				{/if}
				{#if packs !== 1}
					<button type="button" class="btn btn-sm" onclick={() => (typedPacks = 1)}>one pack</button
					>
				{/if}
			</span>
		</Field>
		{#if data.shareRules === null}
			<label class="mb-2 flex items-center gap-2 text-sm">
				<input type="checkbox" class="checkbox checkbox-sm" bind:checked={book.isLogged} />
				these cards are in the collection already: only record what came
			</label>
		{/if}
		<ProblemAlert problems={book.problems} class="mb-2" />
		<EntryLine
			bind:line={book.line}
			reading={book.reading}
			completions={book.completions}
			apply={() => void book.log(packs)}
		/>
		<p role="status" class="-mt-4 mb-4 text-primary" data-testid="opened-told">{book.told}</p>
	</section>
{:else}
	<p class="mb-4 text-lg">It was shared out on {formatDay(data.sharedOn)}.</p>
{/if}

<ProblemAlert problems={problemsOf('piles')} class="mb-2" />
<div class="grid gap-x-10 gap-y-6 xl:grid-cols-2">
	<OpenedPiles {data} />
	<div class="grid content-start gap-y-6">
		{#if data.points.length > 1}<NewCards {data} />{/if}
		{#if data.realised && data.packs > 0}<RealisedOdds realised={data.realised} />{/if}
		<ShareOut {data} problems={problemsOf('shares')} />
	</div>
</div>

<details class="mt-8 max-w-2xl">
	<summary class="cursor-pointer quiet">Name and price, or forget it</summary>
	<ProblemAlert problems={problemsOf('head')} class="mt-2" />
	<form
		method="POST"
		action="?/change"
		class="mt-2 flex flex-wrap items-end gap-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<Field label="Called"><input name="name" class="input w-64 input-sm" value={data.name} /></Field
		>
		<Field label="A pack cost"
			><input
				name="price"
				class="input w-28 input-sm"
				inputmode="decimal"
				value={data.packMinor === null
					? ''
					: `${formatMinor(data.packMinor, data.currency)} ${data.currency}`}
			/></Field
		>
		<button class="btn btn-sm">Keep</button>
	</form>
	<form method="POST" action="?/remove" use:enhance class="mt-3">
		<button class="btn btn-sm">Forget this opening</button>
		<span class="text-sm quiet"
			>{countOf(data.cards, 'card')} that came out of it stay; undo brings it back.</span
		>
	</form>
</details>
