<script lang="ts">
	import { middleOf } from '$lib/core/worth/prices/price';
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { countOf, formatCount, formatMoney } from '$lib/ui/numerals';
	import { formatPriceRange } from '$lib/ui/money';
	import type { PageData } from './$types';
	import WorthBar from './WorthBar.svelte';

	interface Props {
		goal: PageData['goals'][number];
		currency: string;
		mostShare: number;
	}
	let { goal, currency, mostShare }: Props = $props();
	const percent = (share: number) => `${Math.round(100 * share)} %`;
	const guessed = $derived(goal.counts.neighbours);
	const open = $derived(goal.counts.unknown);
	const known = $derived(goal.missing - guessed - open);
	const advice = $derived.by(() => {
		const { verdict, share } = goal.advice;
		if (verdict === 'unknown')
			return 'Too few prices to say whether it pays: price the sheet first.';
		const part = `${percent(share ?? 0)} of what the whole is worth`;
		return verdict === 'finish'
			? `It pays: finishing costs ${part}, at most ${percent(mostShare)} is your rule.`
			: `Let it go, says your rule: finishing costs ${part}, more than ${percent(mostShare)}.`;
	});
	const CHOICES = [
		['finish', 'Finish'],
		['let go', 'Let go'],
		['nothing yet', 'Open']
	] as const;
</script>

<div class="grid gap-x-6 gap-y-2 border-t border-base-300 py-4 sm:grid-cols-[11rem_1fr]">
	<p>
		<strong
			class={['font-serif text-3xl font-medium', guessed > 0 && 'estimate']}
			data-testid="finish-cost"
			>{open === goal.missing && goal.missing > 0
				? '?'
				: formatMoney(middleOf(goal.cost), currency)}</strong
		>
		{#if goal.cost.lowMinor !== goal.cost.highMinor}
			<span class="block text-sm quiet">{formatPriceRange(goal.cost, currency)}</span>
		{/if}
		<span class="block text-sm quiet"
			>{countOf(goal.missing, 'card')} missing{open > 0 && open < goal.missing
				? `; ${formatCount(open)} without a price come on top`
				: ''}</span
		>
	</p>
	<div class="min-w-0">
		<p class="flex flex-wrap items-baseline justify-between gap-x-3">
			<a
				class="truncate text-lg font-semibold hover:underline"
				href={resolve(`/buying/prices?goal=${goal.key}`)}>{goal.name}</a
			>
			<span class="quiet"
				><a class="text-sm prose-link" href={resolve(`/buying/condition?goal=${goal.key}`)}
					>in which condition?</a
				>
				{formatCount(goal.have)} of {formatCount(goal.need)}</span
			>
		</p>
		<WorthBar {...goal} {currency} />
		<p class="mt-1 text-sm">
			{advice}
			<span class="quiet"
				>{known === goal.missing
					? 'Every price was said.'
					: `${formatCount(known)} of ${formatCount(goal.missing)} prices were said${guessed > 0 ? `, ${formatCount(guessed)} estimated by their neighbours` : ''}.`}
				{#if goal.keyShare > 0}Key cards are {percent(goal.keyShare)} of the worth{goal.keysMissing >
					0
						? `; ${formatCount(goal.keysMissing)} of them missing`
						: '; all of them here'}.{/if}
				{#if goal.ring}Next ring: {goal.ring.name.toLowerCase()}, {formatCount(goal.ring.more)} more.{/if}</span
			>
		</p>
		<form
			method="POST"
			action="?/choose"
			use:enhance
			class="mt-2 flex flex-wrap items-center gap-3"
		>
			<input type="hidden" name="goal" value={goal.key} />
			<span class="join" role="group" aria-label="Decide on {goal.name}">
				{#each CHOICES as [choice, name] (choice)}
					{@const isChosen = (goal.choice ?? 'nothing yet') === choice}
					<button
						name="choice"
						value={choice}
						class={['btn join-item min-h-9 btn-sm', isChosen && 'btn-primary']}
						aria-pressed={isChosen}>{name}</button
					>
				{/each}
			</span>
			{#if goal.choice === 'finish'}
				<label class="flex items-center gap-1.5 text-sm"
					>priority
					<select
						name="priority"
						class="select w-16 select-sm"
						value={String(goal.priority)}
						onchange={({ currentTarget }) =>
							currentTarget.form?.requestSubmit(
								currentTarget.form.querySelector<HTMLButtonElement>('button[value=finish]')
							)}
						>{#each ['1', '2', '3'] as n (n)}<option>{n}</option>{/each}</select
					></label
				>
				<label class="flex items-center gap-1.5 text-sm"
					>at most a card
					<input
						name="most"
						class="input w-24 text-right input-sm"
						inputmode="decimal"
						placeholder="no limit"
						value={goal.mostMinor === null ? '' : formatMinor(goal.mostMinor, goal.mostCurrency)}
						onchange={({ currentTarget }) =>
							currentTarget.form?.requestSubmit(
								currentTarget.form.querySelector<HTMLButtonElement>('button[value=finish]')
							)}
					/></label
				>
			{/if}
		</form>
	</div>
</div>
