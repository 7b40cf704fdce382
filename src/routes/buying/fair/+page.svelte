<script lang="ts">
	import { groups } from 'd3-array';
	import { onMount } from 'svelte';
	import { resolve } from '$app/paths';
	import type { FairLot, FairView } from '$lib/server/buying/plan/fair-view';
	import { followWork } from '$lib/ui/follow-work.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import Field from '$lib/ui/Field.svelte';
	import { createFairBook } from './fair-book.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import Word from '$lib/ui/Word.svelte';

	const work = followWork<{ readonly done: number; readonly total: number }, FairView>({
		path: '/api/buying/fair',
		stopped: 'It was stopped.'
	});
	const view = $derived(work.view);
	let filter = $state('');
	onMount(() => {
		void work.run('');
		return work.cancel;
	});

	/** Cards that somebody offers together, by the keys of their wants. */
	let picked = $state.raw<readonly string[]>([]);
	const lot = followWork<unknown, FairLot>({ path: '/api/buying/fair', stopped: '' });
	function pick(key: string, isPicked: boolean) {
		picked = isPicked ? [...picked, key] : picked.filter((each) => each !== key);
		if (picked.length === 0) lot.cancel();
		else void lot.run(String(new URLSearchParams(picked.map((each) => ['together', each]))));
	}

	/** The want whose price is being typed. */
	let buying = $state<string | null>(null);
	let paid = $state('');
	let from = $state('The fair');
	const book = createFairBook();
	async function buy(card: { readonly version: string; readonly called: string }) {
		if (!view) return;
		const { currency } = view;
		if (await book.buy({ ...card, total: paid, currency, from })) [buying, paid] = [null, ''];
	}

	const WHY = {
		plan: 'else from',
		sheet: 'nobody offers it; so says the price sheet',
		limit: 'your own limit'
	} as const;
	const sought = $derived(filter.trim().toLowerCase());
	const shown = $derived(
		(view?.wants ?? []).filter(
			({ name, title, of }) =>
				sought === '' || `${name} ${title} ${of}`.toLowerCase().includes(sought)
		)
	);
	const parts = $derived(groups(shown, ({ isFavourite, of }) => (isFavourite ? 'Favourites' : of)));
</script>

<svelte:head><title>At the fair · Jade Binder</title></svelte:head>

<h1 class="mb-1">At the fair</h1>
<p class="mb-3 max-w-2xl quiet">
	The <Word of="walk-away price" /> of each card: what the plan would cost less if you found it here.
	Above that, leave it. Tick cards that are offered together: their postage counts once.
	<a class="prose-link" href={resolve('/take-along')}>Take it along</a> for where there is no network.
</p>
<ProblemAlert problems={view?.problems} class="mb-3" />
{#if work.problem}
	<ProblemAlert problems={[{ message: work.problem }]} class="mb-3" />
{:else if view === null}
	<p role="status" data-testid="fair-progress">
		Working out what each is worth{work.told ? `: ${work.told.done} of ${work.told.total}` : ''}
	</p>
{:else if view.wants.length === 0}
	<p class="max-w-xl text-lg">
		Nothing is wanted yet. Say at <a class="prose-link" href={resolve('/buying')}
			>what finishing takes</a
		> which goals are to be finished.
	</p>
{:else}
	{@const { currency } = view}
	<label class="mb-3 block max-w-md">
		<span class="sr-only">Find a card</span>
		<input
			class="input w-full text-lg"
			type="search"
			placeholder="number, name or set"
			bind:value={filter}
			autocomplete="off"
		/>
	</label>
	{#each parts as [of, wants], i (i)}
		<section class="mb-4" aria-labelledby="fair-{i}">
			<h2 id="fair-{i}" class="font-serif text-lg">{of}</h2>
			<ul>
				{#each wants as { key, version, name, title, quantity, leastCondition, worthMinor, by, seller } (key)}
					<li
						class="flex min-h-11 items-center gap-3 border-t border-base-300 py-1"
						data-testid="fair-want"
					>
						<label class="-my-1 flex size-11 shrink-0 items-center justify-center"
							><input
								type="checkbox"
								class="checkbox checkbox-sm"
								aria-label="{name} {of}: in the lot"
								checked={picked.includes(key)}
								onchange={({ currentTarget }) => pick(key, currentTarget.checked)}
							/></label
						>
						<span class="min-w-0 flex-1">
							<strong class="font-serif text-xl font-medium">{name}</strong>
							{title === name ? '' : title}{quantity > 1 ? ` × ${quantity}` : ''}
							<span class="block text-xs quiet"
								>{leastCondition ? `${leastCondition} or better; ` : ''}{by
									? WHY[by]
									: 'no price is known'}
								{by === 'plan' ? seller : ''}</span
							>
						</span>
						{#if book.isBought(version)}
							<span class="text-primary">bought</span>
						{:else}
							<strong class={['text-xl', by === 'sheet' && 'estimate']}
								>{worthMinor === null ? '?' : formatMoney(worthMinor, currency)}</strong
							>
							<button
								class="btn min-h-11 btn-sm"
								aria-expanded={buying === key}
								aria-label="Bought: {name} {of}"
								onclick={() => (buying = buying === key ? null : key)}>Bought</button
							>
						{/if}
					</li>
					{#if buying === key}
						<li class="pb-2 pl-11">
							<form
								class="flex flex-wrap items-end gap-2"
								onsubmit={(event) => {
									event.preventDefault();
									void buy({ version, called: `${name} (${of})` });
								}}
							>
								<Field label="For, {currency}">
									<!-- svelte-ignore a11y_autofocus -->
									<input
										class="input w-24"
										inputmode="decimal"
										autocomplete="off"
										maxlength="20"
										required
										autofocus
										bind:value={paid}
									/>
								</Field>
								<Field label="From">
									<input class="input w-36" maxlength="100" required bind:value={from} />
								</Field>
								<button class="btn btn-primary">Keep</button>
							</form>
							<ProblemAlert problems={book.problems} class="mt-2" />
						</li>
					{/if}
				{/each}
			</ul>
		</section>
	{:else}
		<p class="text-lg">No want has these words.</p>
	{/each}
	{#if picked.length > 0}
		<p
			class="sticky bottom-0 flex min-h-14 flex-wrap items-center justify-between gap-x-4 border-t-2 border-primary bg-base-100 py-2 max-lg:bottom-13"
			role="status"
			data-testid="fair-lot"
		>
			<span>{countOf(picked.length, 'card')} together, at most</span>
			{#if lot.problem}<span class="text-error">{lot.problem}</span>
			{:else if lot.isRunning || lot.view === null}<span class="quiet">Working it out</span>
			{:else}
				<strong class="font-serif text-2xl font-medium"
					>{formatMoney(lot.view.worthMinor, currency)}</strong
				>
				{#if lot.view.unknown > 0}<span class="basis-full text-sm quiet"
						>{countOf(lot.view.unknown, 'card')} without a known price counted as nothing</span
					>{/if}
			{/if}
			<button class="btn btn-ghost btn-sm" onclick={() => (picked = [])}>Clear</button>
		</p>
	{/if}
{/if}
