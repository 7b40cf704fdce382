<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import SaidFields from './SaidFields.svelte';

	interface Props {
		release: string;
		houses: readonly string[];
		hasKind?: boolean;
		problems: readonly Problem[] | undefined;
		told: string;
		placeholder: string;
	}
	/** A table of prices or populations, long or wide, as a file or pasted: taken in whole, or not at all. */
	let { release, houses, hasKind = false, problems, told, placeholder }: Props = $props();
	let isBusy = $state(false);
</script>

<form
	method="POST"
	action="?/file&release={release}"
	enctype="multipart/form-data"
	use:enhance={() => {
		isBusy = true;
		return async ({ result, update }) => {
			await update({ reset: result.type === 'success' });
			isBusy = false;
		};
	}}
>
	<input type="hidden" name="release" value={release} />
	{#if !hasKind}<input type="hidden" name="kind" value="sale" />{/if}
	<p class="mb-2 text-sm quiet">
		Long: a row a value with columns card, grade or condition, {hasKind ? 'price' : 'count'}. Wide:
		a row a card, a column for each grade, headed 8, 8.5, near mint or authentic. Also house, on,
		source,
		{hasKind ? 'currency, kind, reason' : 'total'}. What a row does not say is taken from here.
	</p>
	<div class="grid gap-3 lg:grid-cols-2">
		<label class="block"
			><span class="mb-1 block">File, CSV or XLSX</span>
			<input
				type="file"
				name="file"
				accept=".csv,.tsv,.txt,.xlsx"
				class="file-input w-full max-w-sm file-input-sm"
			/></label
		>
		<label class="block"
			><span class="mb-1 block">Or paste it</span>
			<textarea
				name="text"
				rows="4"
				class="textarea w-full font-mono text-sm"
				{placeholder}
				spellcheck="false"></textarea></label
		>
	</div>
	<div class="mt-2 flex flex-wrap items-end gap-3">
		<SaidFields {houses} {hasKind} />
		<button class="btn btn-primary btn-sm" disabled={isBusy}>Take it in</button>
		{#if isBusy}<progress class="progress w-32 progress-primary" aria-label="Reading the table"
			></progress>{/if}
		<span class="text-sm" aria-live="polite">{told}</span>
	</div>
	<ProblemAlert {problems} class="mt-2" />
</form>
