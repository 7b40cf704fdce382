<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { SealedView } from '$lib/server/packs/sealed/sealed-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** By what keep, open and sell are compared: guesses, to be changed. */
	let { kept, problems }: { kept: SealedView['kept']; problems: readonly Problem[] | undefined } =
		$props();
	const fields = $derived([
		['fee', 'The market takes, %', String(kept.feePercent)],
		['send', 'Sending one', `${formatMinor(kept.sendMinor, kept.currency)} ${kept.currency}`],
		['yearly', 'It rises a year, %', String(kept.yearlyPercent)],
		['years', 'Kept for years', String(kept.years)],
		['elsewhere', 'Money brings elsewhere, %', String(kept.elsewherePercent)],
		['likely', 'Likely counts, %', String(kept.likelyPercent)],
		['doubtful', 'Doubtful counts, %', String(kept.doubtfulPercent)]
	] as const);
</script>

<section class="mt-6" aria-labelledby="sealed-rules">
	<h2 id="sealed-rules" class="mb-1 font-serif text-lg">What this reckons with</h2>
	<ProblemAlert {problems} class="mb-2" />
	<form
		method="POST"
		action="?/rules"
		class="flex flex-wrap items-end gap-x-3 gap-y-2"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		{#each fields as [name, label, value] (name)}
			<Field {label}><input {name} class="input w-28 input-sm" inputmode="decimal" {value} /></Field
			>
		{/each}
		<button class="btn btn-sm">Reckon so</button>
	</form>
	<p class="mt-1 max-w-3xl text-sm quiet">
		The rule: sold, the fee and sending go off; kept, it rises as guessed, is sold then, and counts
		for what the money would have brought meanwhile; opened, its cards save singles of the goal and
		bring what doubles bring. Whatever may be resealed counts for its chance.
	</p>
</section>
