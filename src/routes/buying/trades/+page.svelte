<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { Trade, TradeReason } from '$lib/core/buying/trades/match-trades';
	import { formQuery } from '$lib/ui/form-query';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { createReport } from '$lib/ui/change-report.svelte';
	import { refreshCopies } from '$lib/ui/refresh';
	import { send } from '$lib/ui/send';
	import TradeSide from './TradeSide.svelte';

	let { data, form } = $props();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const WHY: Readonly<Record<TradeReason, string>> = {
		'most even of as many': 'as many, more even',
		'most even of all': 'fewer, but most even',
		'without the dearest': 'without the dearest card'
	};
	/** Which of the trades is looked at; 0 is the best. */
	let shown = $state(0);
	const report = createReport();
	const trades = $derived<readonly { readonly why: string; readonly trade: Trade }[]>([
		...(data.match.best ? [{ why: 'most cards', trade: data.match.best }] : []),
		...data.match.others.map(({ why, trade }) => ({ why: WHY[why], trade }))
	]);
	const trade = $derived(trades[shown]?.trade ?? trades[0]?.trade ?? null);
	let ways = $state<Record<string, string>>(
		untrack(() =>
			Object.fromEntries([
				...data.choice.fixed.map((key) => [key, 'fixed'] as const),
				...data.choice.without.map((key) => [key, 'without'] as const)
			])
		)
	);
	let rules = $state<HTMLFormElement>();
	function choose() {
		if (!rules) return;
		const chosen = Object.entries(ways).flatMap(([key, way]) =>
			way === '' ? [] : [[way, key] as const]
		);
		// An empty field says something here: no tolerance, no price for what has none.
		const empty = [...new FormData(rules)].flatMap(([name, value]) => (value === '' ? [name] : []));
		const query = [formQuery(rules, chosen), ...empty.map((name) => `${name}=`)].join('&');
		shown = 0;
		void goto(resolve(`/buying/trades?${query}`), { noScroll: true, keepFocus: true });
	}
	async function record() {
		if (!trade || data.friend === null) return;
		const optionOf = new Map([...data.give, ...data.take].map((option) => [option.key, option]));
		const body = {
			...{ friend: data.friend, giveMinor: trade.giveMinor, currency: data.currency },
			give: trade.give.flatMap((key) => {
				const copyId = optionOf.get(key)?.copyId;
				return copyId ? [{ copyId, quantity: 1 }] : [];
			}),
			take: trade.take.flatMap((key) => {
				const version = optionOf.get(key)?.version;
				return version ? [{ version, quantity: 1 }] : [];
			})
		};
		await report.of(send<{ given: number; taken: number }>('POST', '/api/trades', body), {
			said: ({ given, taken }) => `Recorded: ${given} given, ${taken} taken. Undo takes it back.`
		});
		await refreshCopies();
	}
	const href = (text: string, type: string) =>
		`data:${type};charset=utf-8,${encodeURIComponent(text)}`;
</script>

<svelte:head><title>Trades · Jade Binder</title></svelte:head>

<h1 class="mb-2">Trades</h1>
<ProblemAlert problems={[...data.misread, ...data.problems, ...report.problems]} class="mb-3" />
<p role="status" class="min-h-6 text-sm text-primary">{report.told}</p>
<form
	bind:this={rules}
	class="mb-3 flex flex-wrap items-end gap-4"
	onsubmit={(event) => {
		event.preventDefault();
		choose();
	}}
	onchange={choose}
>
	{#if data.friends.length > 0}
		<Field label="With">
			<select name="friend" class="select w-48 select-sm" value={data.friend ?? ''}>
				<option value="">whom?</option>
				{#each data.friends as friend (friend)}<option value={friend}>{friend}</option>{/each}
			</select>
		</Field>
	{/if}
	{#if data.friend !== null}
		<Field label="May differ by"
			><input
				name="tolerance"
				class="input w-24 input-sm"
				inputmode="decimal"
				value={data.asked.tolerance}
			/></Field
		>
		<Field label="A card without a price counts"
			><input
				name="unpriced"
				class="input w-32 input-sm"
				inputmode="decimal"
				placeholder="is left out"
				value={data.asked.unpriced}
			/></Field
		>
		<button class="btn btn-sm">Look anew</button>
	{/if}
</form>
{#if data.friend !== null}
	{#if trade}
		<div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2" data-testid="trade">
			<p>
				<strong class="font-serif text-2xl font-medium"
					>{countOf(trade.give.length, 'card')} for {trade.take.length}</strong
				>
				<span class="quiet"
					>{money(trade.giveMinor)} for {money(trade.takeMinor)}{trade.giveMinor === trade.takeMinor
						? ', even'
						: ''}</span
				>
			</p>
			{#if trades.length > 1}
				<Field label="Another way">
					<select class="select w-72 select-sm" bind:value={shown}>
						{#each trades as { why, trade: other }, i (i)}
							<option value={i}
								>{why}: {other.give.length} for {other.take.length}, {money(other.giveMinor)} for {money(
									other.takeMinor
								)}</option
							>
						{/each}
					</select>
				</Field>
			{/if}
			<button class="btn btn-primary btn-sm" onclick={() => void record()}>It is traded</button>
		</div>
	{:else}
		<p class="mb-3">
			{data.give.length === 0
				? `Nothing that ${data.friend} wants is spare.`
				: data.take.length === 0
					? `${data.friend} has nothing that is missing here.`
					: `No trade with ${data.friend} keeps within ${money(data.choice.toleranceMinor)}.`}
		</p>
	{/if}
	<div class="mb-6 gap-10 md:flex">
		<TradeSide
			title="You give"
			options={data.give}
			chosen={new Set(trade?.give ?? [])}
			sumMinor={trade?.giveMinor ?? 0}
			currency={data.currency}
			bind:ways
			{choose}
		/>
		<TradeSide
			title="{data.friend} gives"
			options={data.take}
			chosen={new Set(trade?.take ?? [])}
			sumMinor={trade?.takeMinor ?? 0}
			currency={data.currency}
			bind:ways
			{choose}
		/>
	</div>
{/if}
<details class="mb-4 max-w-3xl" open={data.friend === null || form !== null}>
	<summary class="font-serif text-lg"
		>{data.friend === null ? 'A friend’s lists' : `Lists of ${data.friend}`}</summary
	>
	<p class="mt-1 text-sm quiet">
		A line for each release, with the cards as on the entry line; or CSV with columns release and
		number, finish and quantity besides. Empty lists let a friend go.
	</p>
	<ProblemAlert problems={form?.problems} class="my-2" />
	{#key data.friend}
		<form
			method="POST"
			action="?/lists"
			class="mt-2 grid gap-3 md:grid-cols-2"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<Field label="Friend" class="md:col-span-2"
				><input
					name="friend"
					class="input w-56 input-sm"
					maxlength="200"
					required
					value={data.friend ?? ''}
				/></Field
			>
			<Field label="Wants"
				><LinesField
					name="want"
					rows={4}
					placeholder="Harbour Lights 1994: 5 12-14, 27 brass"
					value={data.lists.want}
				/></Field
			>
			<Field label="Has to give"
				><LinesField
					name="give"
					rows={4}
					placeholder="Harbour Lights 1994: 3 9x2"
					value={data.lists.give}
				/></Field
			>
			<div><button class="btn btn-sm">Keep these lists</button></div>
		</form>
	{/key}
</details>
<details class="max-w-3xl">
	<summary class="font-serif text-lg"
		>Spares to share <span class="font-sans text-base quiet"
			>{countOf(data.spares.cards, 'card')}</span
		></summary
	>
	{#if data.spares.cards > 0}
		<!-- eslint-disable svelte/no-navigation-without-resolve -- files, made here -->
		<p class="my-2 flex gap-4">
			<a class="prose-link" download="spares.txt" href={href(data.spares.text, 'text/plain')}
				>As text</a
			>
			<a class="prose-link" download="spares.csv" href={href(data.spares.csv, 'text/csv')}>As CSV</a
			>
		</p>
		<!-- eslint-enable svelte/no-navigation-without-resolve -->
		<pre class="max-h-72 overflow-auto text-sm whitespace-pre-wrap">{data.spares.text}</pre>
	{:else}
		<p class="quiet">No card is left over: goals need all of them.</p>
	{/if}
</details>
