<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import Word from '$lib/ui/Word.svelte';
	import LotLine from './LotLine.svelte';
	import RulesForm from './RulesForm.svelte';

	let { data, form } = $props();
	const list = $derived(answerOf(form, 'list'));
	const money = (minor: number) => formatMoney(minor, data.currency);
	let ticked = $state<readonly number[]>([]);
	const asked = $derived(ticked.reduce((sum, i) => sum + (data.lots[i]?.askMinor ?? 0), 0));
	const cards = $derived(data.lots.reduce((sum, { count }) => sum + count, 0));
	// What was dealt anew is ticked anew.
	$effect.pre(() => {
		void data.lots;
		ticked = [];
	});
</script>

<svelte:head><title>Lots and singles · Jade Binder</title></svelte:head>

<h1 class="mb-2"><Word of="lot">Lots</Word> and singles</h1>
<AskForm path={resolve('/selling/lots')} class="mb-3">
	<Field label="Release">
		<select name="release" class="select w-64 max-w-full select-sm" value={data.release ?? ''}>
			<option value="">all</option>
			{#each data.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
</AskForm>
<RulesForm kept={data.kept} currency={data.currency} answer={answerOf(form, 'rules')} />
<ProblemAlert problems={list.problems} class="mb-3" />
<p role="status" class="min-h-6 text-sm text-primary">
	{list.told}{#if list.told !== ''}
		<a class="prose-link" href={resolve('/selling')}>See the listings</a>{/if}
</p>
{#if data.unpriced.cards > 0}
	<details class="mb-4 max-w-4xl border-l-3 border-accent pl-4">
		<summary class="cursor-pointer"
			>{countOf(data.unpriced.cards, 'card')} could go, but no price is known</summary
		>
		<p class="text-sm">
			Note one in <a class="prose-link" href={resolve('/worth/prices')}>the price book</a>, or say
			in the rules what such a card counts as.
		</p>
		<ul class="text-sm">
			{#each data.unpriced.names as { copyId, name, group, release, quantity } (copyId)}
				<li>
					{name}{quantity > 1 ? ` × ${quantity}` : ''}<span class="quiet">, {group}, {release}</span
					>
				</li>
			{/each}
		</ul>
	</details>
{/if}
{#if data.toChooseFrom > 0}
	<p class="max-w-2xl text-lg">
		{countOf(data.toChooseFrom, 'card')} are here. Choose a release, or have
		<a class="prose-link" href="{resolve('/selling/lots')}?release=">all of them</a> dealt, which takes
		a while.
	</p>
{:else if data.lots.length === 0}
	<p class="max-w-2xl text-lg">
		Nothing is to be sold by these rules: no copy is spare or marked “to sell”, and none is left
		over by the goals.
	</p>
{:else}
	<form method="POST" action="?/list" class="max-w-5xl" use:enhance>
		<div
			class="sticky top-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 bg-base-100 py-2"
		>
			<span
				><strong class="font-serif text-xl">{countOf(data.all, 'listing')}</strong>
				<span class="quiet">of {countOf(cards, 'card')}</span></span
			>
			<button
				type="button"
				class="btn btn-sm"
				onclick={() =>
					(ticked = ticked.length === data.lots.length ? [] : data.lots.map((_, i) => i))}
				>{ticked.length === data.lots.length ? 'Tick none' : 'Tick all'}</button
			>
			<button class="btn btn-primary btn-sm" disabled={ticked.length === 0}
				>Make {countOf(ticked.length, 'listing')}{ticked.length > 0
					? `, ${money(asked)} asked`
					: ''}</button
			>
		</div>
		{#each data.lots as lot, i (i)}
			<LotLine {lot} {i} currency={data.currency} bind:ticked />
		{/each}
		{#if data.all > data.lots.length}
			<p class="mt-2 quiet">
				The dearest {data.lots.length} are shown. Choose a release, or raise the first band.
			</p>
		{/if}
	</form>
{/if}
