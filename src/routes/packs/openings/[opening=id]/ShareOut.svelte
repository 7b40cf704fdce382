<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import type { OpeningView } from '$lib/server/packs/openings/openings-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import LinesField from '$lib/ui/LinesField.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** Who gets what of a group opening, by the group on each card, as agreed before. */
	let { data, problems }: { data: OpeningView; problems: readonly Problem[] | undefined } =
		$props();
	const isAgreed = $derived(data.shareRules !== null);
</script>

<section aria-labelledby="shares">
	<h2 id="shares" class="mb-1 font-serif text-xl">Shared out</h2>
	<ProblemAlert {problems} class="mb-2" />
	{#if data.shares.length > 0}
		<ul class="mb-3">
			{#each data.shares as { name, cards, count, valueMinor, unpriced } (name)}
				<li class="border-t border-base-300 py-1.5" data-testid="share">
					<strong>{name}{name === data.keeper ? ' (you)' : ''}</strong>
					<span class="quiet"
						>{countOf(count, 'card')}{valueMinor > 0
							? `, ${formatMoney(valueMinor, data.currency)}`
							: ''}{unpriced > 0 && valueMinor > 0 ? `, ${unpriced} without a price` : ''}</span
					>
					<span class="block text-sm"
						>{cards
							.slice(0, 40)
							.map(
								(card) =>
									`${card.name}${card.quantity > 1 ? ` × ${card.quantity}` : ''}${card.because === 'rest' ? ' (rest)' : ''}`
							)
							.join(', ')}{cards.length > 40 ? ` and ${cards.length - 40} more` : ''}</span
					>
				</li>
			{/each}
		</ul>
		{#if data.sharedOn === null && data.packs > 0}
			<form method="POST" action="?/take" use:enhance class="mb-3">
				<button class="btn btn-primary btn-sm">Take my share into the collection</button>
			</form>
		{/if}
	{/if}
	{#if data.sharedOn === null && (isAgreed || data.packs === 0)}
		<form
			method="POST"
			action="?/agree"
			class="grid max-w-xl gap-2"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<Field label="Who gets which groups, a line a person; then the rest">
				<LinesField
					name="rules"
					value={data.shareRules ?? ''}
					rows={4}
					placeholder={`Ada: ${data.groups[0] ?? 'Lighthouses'}\nBo: ${data.groups[1] ?? 'Ferries'}\nrest: in turn`}
				/>
			</Field>
			<div class="flex flex-wrap items-end gap-3">
				<Field label="Of them you are"
					><input name="keeper" class="input w-40 input-sm" value={data.keeper ?? ''} /></Field
				>
				<button class="btn btn-sm">{isAgreed ? 'Agree anew' : 'Agree on it'}</button>
			</div>
			<p class="text-sm quiet">
				Agree before the first pack. What nobody's group is on goes in turn, the dearest card first,
				or to the one you name. {data.groups.length > 0
					? `Groups: ${data.groups.slice(0, 12).join(', ')}${data.groups.length > 12 ? ' …' : ''}.`
					: 'The cards of this release bear no groups.'}
			</p>
		</form>
	{:else if !isAgreed}
		<p class="quiet">Its cards are all yours: they went into the collection as they came.</p>
	{/if}
</section>
