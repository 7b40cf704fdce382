<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { FINISH_RULE_KEYS, FINISH_RULES } from '$lib/core/buying/finish/finish-rule';
	import { formatMinor } from '$lib/core/money/minor-units';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import FinishLine from './FinishLine.svelte';

	let { data, form } = $props();
	const unfinished = $derived(data.goals.filter(({ missing }) => missing > 0));
	const done = $derived(data.goals.length - unfinished.length);
	const chosen = $derived(unfinished.filter(({ choice }) => choice === 'finish').length);
	const submit = ({ currentTarget }: { currentTarget: HTMLInputElement | HTMLSelectElement }) =>
		currentTarget.form?.requestSubmit();
</script>

<svelte:head><title>What finishing takes · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
	<h1>What finishing takes</h1>
	{#if chosen > 0}
		<a class="btn btn-primary" href={resolve('/buying/wants')}>Wants of {countOf(chosen, 'goal')}</a
		>
	{/if}
</header>
<ProblemAlert problems={form?.problems} class="mb-3" />
<ProblemAlert problems={data.problems} class="mb-3" />
{#if unfinished.length === 0}
	<p class="max-w-xl text-lg">
		{#if data.goals.length === 0}
			Nothing is asked for yet. <a class="prose-link" href={resolve('/goals/new')}>Make a goal</a>:
			what it lacks is laid out here, with what it costs.
		{:else}
			Every goal is complete. Where it goes on is told on its page: subsets, inserts, another set.
		{/if}
	</p>
{:else}
	<form
		method="POST"
		action="?/rules"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
		class="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2"
	>
		<Field label="Ranked by">
			<select name="rule" class="select w-48 select-sm" value={data.rules.rule} onchange={submit}>
				{#each FINISH_RULE_KEYS as key (key)}<option value={key}>{FINISH_RULES[key].name}</option
					>{/each}
			</select>
		</Field>
		<Field label="It pays up to, % of its worth">
			<input
				name="mostPercent"
				class="input w-24 text-right input-sm"
				inputmode="numeric"
				value={Math.round(data.rules.mostShare * 100)}
				onchange={submit}
			/>
		</Field>
		<Field label="Postage of a seller">
			<input
				name="postage"
				class="input w-24 text-right input-sm"
				inputmode="decimal"
				value={formatMinor(data.rules.postageMinor, data.rules.currency)}
				onchange={submit}
			/>
		</Field>
		<Field label="In">
			<input
				name="currency"
				class="input w-16 input-sm"
				maxlength="3"
				value={data.rules.currency}
				onchange={submit}
			/>
		</Field>
		<noscript><button class="btn btn-sm">Set</button></noscript>
		<span class="text-sm quiet">{FINISH_RULES[data.rules.rule].meaning}</span>
	</form>
	<ul>
		{#each unfinished as goal (goal.key)}
			<li data-testid="finish-line">
				<FinishLine {goal} currency={data.rules.currency} mostShare={data.rules.mostShare} />
			</li>
		{/each}
	</ul>
	{#if done > 0}
		<p class="border-t border-base-300 pt-3 quiet">{countOf(done, 'goal')} complete.</p>
	{/if}
{/if}
