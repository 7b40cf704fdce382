<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import SaidFields from '../SaidFields.svelte';

	interface Props {
		release: string;
		houses: readonly string[];
		problems: readonly Problem[] | undefined;
		told: string;
	}
	/** What a house says of a card. */
	let { release, houses, problems, told }: Props = $props();
</script>

<section class="mt-4 max-w-5xl">
	<h2 class="font-serif text-lg">What a house says</h2>
	<form
		method="POST"
		action="?/keep&release={release}"
		class="flex flex-wrap items-end gap-3"
		use:enhance={() =>
			async ({ result, update }) =>
				update({ reset: result.type === 'success' })}
	>
		<input type="hidden" name="release" value={release} />
		<Field label="Card"
			><input
				name="card"
				class="input w-32 font-mono input-sm"
				placeholder="27 brass"
				autocomplete="off"
			/></Field
		>
		<Field label="How many of each grade"
			><input
				name="counts"
				class="input w-96 max-w-full font-mono input-sm"
				placeholder="10: 3, 9.5: 12, 8 (off centre): 1, authentic: 2"
				autocomplete="off"
			/></Field
		>
		<Field label="Sum it states"
			><input
				name="total"
				class="input w-24 input-sm"
				inputmode="numeric"
				placeholder="none"
			/></Field
		>
		<SaidFields {houses} />
		<button class="btn btn-primary btn-sm">Keep it</button>
		<span class="text-sm" aria-live="polite">{told}</span>
	</form>
	<ProblemAlert {problems} class="mt-2" />
</section>
