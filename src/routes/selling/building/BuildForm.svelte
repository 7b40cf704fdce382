<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { BuildKept } from '$lib/schemas/build';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		release: string;
		kept: BuildKept;
		parts: string;
		sales: string;
		isKept: boolean;
		answer: FormAnswer;
	}
	/** What building sets takes, as its owner writes it down. */
	let { release, kept, parts, sales, isKept, answer }: Props = $props();
	const amounts = $derived([
		{ name: 'supplies', label: 'Box, dividers a set', minor: kept.suppliesMinor },
		{ name: 'packing', label: 'Packing a set', minor: kept.packingMinor },
		{ name: 'postage', label: 'Postage you pay a set', minor: kept.postageMinor },
		{ name: 'fixed', label: 'Once for all', minor: kept.fixedMinor }
	]);
	const numbers = $derived([
		{ name: 'feePercent', label: 'Fee, %', value: kept.feePercent },
		{ name: 'hoursFixed', label: 'Hours once', value: kept.hoursFixed },
		{ name: 'hoursPerSet', label: 'Hours a set', value: kept.hoursPerSet },
		{ name: 'mostSets', label: 'At most, sets', value: kept.mostSets }
	]);
</script>

<section class="mt-4 max-w-5xl" aria-labelledby="takes">
	<h2 id="takes" class="mb-1">What it takes</h2>
	<form
		method="POST"
		action="?/keep"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="release" value={release} />
		<Field label="Parts of a set, a line each, with what is offered"
			><LinesField name="parts" rows={8} value={parts} maxlength={40_000} /></Field
		>
		<p class="mt-1 mb-2 text-sm quiet">
			“Commons worth 4.00: 40.00 for 5 sets, 2 there, 1.5 h; 9.00” – a lot that feeds five sets, of
			which two are there and which takes an hour and a half to go through; else 9.00 a set. A line
			that begins with “key” is a key card.
		</p>
		<Field label="What sets sell for, one after the other"
			><input
				name="sales"
				class="input w-96 max-w-full input-sm"
				value={sales}
				placeholder="2 at 30.00, 3 at 25.00"
			/></Field
		>
		<div class="mt-2 flex flex-wrap items-end gap-3">
			{#each amounts as { name, label, minor } (name)}
				<Field {label}
					><input
						{name}
						class="input w-28 input-sm"
						inputmode="decimal"
						value={formatMinor(minor, kept.currency)}
					/></Field
				>
			{/each}
			{#each numbers as { name, label, value } (name)}
				<Field {label}
					><input {name} class="input w-24 input-sm" inputmode="decimal" {value} /></Field
				>
			{/each}
			<button class="btn btn-primary btn-sm">Keep and work it out</button>
		</div>
	</form>
	<div class="mt-2 flex items-center gap-4">
		{#if isKept}
			<form method="POST" action="?/drop" use:enhance>
				<input type="hidden" name="release" value={release} />
				<button class="btn btn-ghost btn-xs">Begin again from the price book</button>
			</form>
		{/if}
		<span class="text-sm text-primary" role="status">{answer.told}</span>
	</div>
	<ProblemAlert problems={answer.problems} class="mt-2" />
</section>
