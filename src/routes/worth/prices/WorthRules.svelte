<script lang="ts">
	import { resolve } from '$app/paths';
	import type { Problem } from '$lib/core/problem';
	import type { PriceBookView } from '$lib/server/worth/prices/price-book-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		kept: PriceBookView['kept'];
		rates: readonly string[];
		problems: readonly Problem[] | undefined;
		told: string;
	}
	/** By what prices and worth are reckoned. */
	let { kept, rates, problems, told }: Props = $props();
</script>

<details class="mt-5 max-w-4xl" id="rules">
	<summary class="cursor-pointer font-serif text-lg">How worth is reckoned</summary>
	<form
		method="POST"
		action="?/rules"
		class="mt-2 flex flex-wrap items-end gap-3"
		use:enhance={() =>
			async ({ update }) =>
				update({ reset: false })}
	>
		<Field label="Last sales that count"
			><input
				name="mostSales"
				class="input w-24 input-sm"
				inputmode="numeric"
				value={kept.mostSales}
			/></Field
		>
		<Field label="Old after months"
			><input
				name="oldMonths"
				class="input w-24 input-sm"
				inputmode="numeric"
				value={kept.oldMonths}
			/></Field
		>
		<Field label="A jump is so many times"
			><input
				name="jump"
				class="input w-24 input-sm"
				inputmode="decimal"
				value={kept.jump}
			/></Field
		>
		<Field label="A step worse, % of it"
			><input
				name="lowerPercent"
				class="input w-24 input-sm"
				inputmode="decimal"
				value={kept.lowerPercent}
			/></Field
		>
		<button class="btn btn-sm">Keep</button>
		<span class="text-sm" aria-live="polite">{told}</span>
	</form>
	<ProblemAlert {problems} class="mt-2" />
	<p class="mt-2 text-sm quiet">
		Collectors take the typical of the last three to five sales; a lightly played set costs about
		half of a near-mint one. Rates of exchange: {rates.length > 0
			? rates.join('; ')
			: 'none are kept'}; they are kept under
		<a class="link" href={resolve('/boxes/holders')}>Holders</a>.
	</p>
</details>
