<script lang="ts">
	import { resolve } from '$app/paths';
	import type { GradingView } from '$lib/server/worth/grading/grading-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf, formatDay, formatMoney } from '$lib/ui/numerals';

	/** Cards that went to a house together: what is out, and what came back. */
	let { submission }: { submission: GradingView['submissions'][number] } = $props();
	const out = $derived(submission.cards.filter(({ backOn }) => backOn === null));
	const back = $derived(submission.cards.filter(({ backOn }) => backOn !== null));
	const money = (minor: number) => formatMoney(minor, submission.currency);
	/** "+0.5", "as thought" */
	function difference(estimate: number | null, grade: number | null) {
		if (estimate === null) return 'not estimated';
		if (grade === null) return `thought ${estimate}`;
		const by = grade - estimate;
		return by === 0
			? `thought ${estimate}: right`
			: `thought ${estimate}: ${by > 0 ? '+' : '−'}${Math.abs(by)}`;
	}
</script>

<article class="max-w-5xl border-t border-base-300 py-3" data-testid="submission">
	<h3 class="font-serif text-lg">
		{submission.house}{submission.tier ? `, ${submission.tier}` : ''}
		<span class="text-sm quiet"
			>{countOf(submission.cards.length, 'card')}, sent {formatDay(submission.sentOn)}, {money(
				submission.totalMinor
			)} with postage</span
		>
		{#if !submission.isBack}
			<span class="text-sm"
				>{#if submission.state === 'overdue'}<strong class="text-error">! overdue</strong>
				{:else if submission.state === 'due soon'}<strong class="text-accent">◷ due soon</strong
					>{/if}
				{submission.dueOn ? `back by ${formatDay(submission.dueOn)}` : 'no day agreed'}</span
			>
		{/if}
	</h3>
	{#snippet named(card: (typeof submission.cards)[number])}
		<a
			class="prose-link"
			href={resolve('/releases/[release]/cards/[card]', {
				release: card.releaseKey,
				card: card.cardKey
			})}>{card.name}</a
		><span class="quiet">, {card.release}{card.copyId === null ? '; the copy is gone' : ''}</span>
	{/snippet}
	{#if out.length > 0}
		<form method="POST" action="?/back" use:enhance>
			<input type="hidden" name="submission" value={submission.id} />
			<ul>
				{#each out as card (card.id)}
					<li class="flex flex-wrap items-end gap-x-4 gap-y-1 border-t border-base-300/60 py-2">
						<span class="min-w-56 flex-1">
							{@render named(card)}
							<span class="block text-sm quiet"
								>{card.purpose === 're-holder'
									? 'for a new holder'
									: 'for a grade'}{card.estimate === null
									? ''
									: `, thought ${card.estimate}`}{card.insuredMinor === null
									? ''
									: `, insured for ${money(card.insuredMinor)}`}{card.places.length > 0
									? `; keeps its place: ${card.places.join('; ')}`
									: '; has no place yet'}</span
							>
						</span>
						<input type="hidden" name="card" value={card.id} />
						<Field label="Came back as"
							><input
								name="result"
								class="input w-40 input-sm"
								maxlength="60"
								placeholder="8.5, authentic …"
								aria-label="{card.name} came back as"
							/></Field
						>
						<Field label="Certificate"
							><input
								name="certificate"
								class="input w-36 input-sm"
								maxlength="60"
								aria-label="Certificate of {card.name}"
							/></Field
						>
					</li>
				{/each}
			</ul>
			<p class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
				<button class="btn btn-sm">They are back</button>
				<label class="flex items-center gap-2 text-sm"
					><input
						type="checkbox"
						name="addsCost"
						value="yes"
						class="checkbox checkbox-sm"
						checked
					/>
					add fee and postage to what the cards cost</label
				>
				<span class="text-sm quiet">What has no line filled in stays out.</span>
			</p>
		</form>
	{/if}
	{#if back.length > 0}
		<ul>
			{#each back as card (card.id)}
				<li class="flex flex-wrap items-baseline gap-x-4 border-t border-base-300/60 py-1">
					<strong class="w-28 text-lg">{card.result}</strong>
					<span class="min-w-56 flex-1">{@render named(card)}</span>
					<span class="w-40 text-sm"
						>{card.purpose === 're-holder'
							? 'new holder'
							: difference(card.estimate, card.grade)}</span
					>
					<span class="w-32 text-sm quiet">{card.certificate ?? ''}</span>
				</li>
			{/each}
		</ul>
	{/if}
</article>
