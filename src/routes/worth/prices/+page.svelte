<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import { formatMoney, formatMonth } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import GradedFile from '../GradedFile.svelte';
	import PriceList from './PriceList.svelte';
	import SaidFields from '../SaidFields.svelte';
	import WorthRules from './WorthRules.svelte';

	let { data, form } = $props();
	/** Of a table that can be taken in. */
	const TABLE = 'card,7,8,9\n27,12,40,150\n41 brass,,60,';
	const said = (part: string) => answerOf(form, part);
	const chosen = $derived(data.releases.find(({ key }) => key === data.release) ?? null);
	const money = (minor: number) => formatMoney(minor, data.currency);
</script>

<svelte:head><title>Price book · Jade Binder</title></svelte:head>

<h1 class="mb-2">The price book</h1>
<ProblemAlert
	problems={[...data.misread, ...data.problems, ...(said('list').problems ?? [])]}
	class="mb-3"
/>
<AskForm path={resolve('/worth/prices')} class="mb-3">
	<Field label="Release"
		><ReleaseSelect {chosen} name="release" class="w-64 max-w-full select-sm" /></Field
	>
</AskForm>
{#if data.release !== null}
	<form
		method="POST"
		action="?/note&release={data.release}"
		class="max-w-5xl"
		use:enhance={() =>
			async ({ result, update }) =>
				update({ reset: result.type === 'success' })}
	>
		<input type="hidden" name="release" value={data.release} />
		<label class="block">
			<span class="mb-1 block text-lg">What was heard</span>
			<input
				name="line"
				class="input w-full font-mono"
				placeholder="27 grade 8 40; 41 brass nm 4–4.50 (signed); F3 grade 9.5 120"
				autocomplete="off"
				spellcheck="false"
			/>
		</label>
		<div class="mt-2 flex flex-wrap items-end gap-3">
			<SaidFields houses={data.houses} hasKind />
			<button class="btn btn-primary btn-sm">Note it</button>
			<span class="text-sm" aria-live="polite">{said('note').told}</span>
		</div>
		<ProblemAlert problems={said('note').problems} class="mt-2" />
	</form>
	<details class="mt-3 max-w-5xl" open={said('file').isAnswered}>
		<summary class="cursor-pointer font-serif text-lg">Take a table in</summary>
		<GradedFile
			release={data.release}
			houses={data.houses}
			hasKind
			problems={said('file').problems}
			told={said('file').told}
			placeholder={TABLE}
		/>
	</details>
	{#if data.inversions.length + data.slips.length > 0}
		<section class="mt-4 max-w-5xl">
			<h2 class="font-serif text-lg">Looks wrong</h2>
			<ul>
				{#each data.slips as slip, i (i)}
					<li data-testid="slip">
						<span class="badge badge-sm badge-error">ten-fold</span>
						{slip.name}
						{slip.title}, {slip.label}: {money(slip.lowMinor)} on {slip.on}; {slip.others === 1
							? 'the other sale was'
							: 'others were'}
						{money(slip.againstMinor)}. A decimal mark may have slipped.
					</li>
				{/each}
				{#each data.inversions as each, i (i)}
					<li data-testid="inversion">
						<span class="badge badge-sm badge-warning">wrong way round</span>
						{each.name}
						{each.title}{each.house ? `, ${each.house}` : ''}: {each.better} at {money(
							each.betterMinor
						)}
						({formatMonth(each.betterOn)}) is below {each.worse} at {money(each.worseMinor)} ({formatMonth(
							each.worseOn
						)}).
					</li>
				{/each}
			</ul>
			<p class="mt-1 text-sm quiet">
				Thin markets do this. Both prices stand as they were; the monotone price stands beside them
				on the ladder.
			</p>
		</section>
	{/if}
	<PriceList listed={data.listed} count={data.count} release={data.release} />
{:else}
	<p class="text-lg">
		There is no release yet. Add one under <a class="link" href={resolve('/releases')}>Releases</a>.
	</p>
{/if}
<WorthRules
	kept={data.kept}
	rates={data.rates}
	problems={said('rules').problems}
	told={said('rules').told}
/>
