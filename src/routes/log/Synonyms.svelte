<script lang="ts">
	import { createReport } from '$lib/ui/change-report.svelte';
	import { refreshCopies } from '$lib/ui/refresh';
	import { send } from '$lib/ui/send';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** Words of one's own for the entry line. */
	interface Props {
		synonyms: readonly { readonly id: number; readonly word: string; readonly means: string }[];
	}
	let { synonyms }: Props = $props();
	let word = $state('');
	let means = $state('');
	const report = createReport();

	async function define(event: SubmitEvent) {
		event.preventDefault();
		const outcome = await report.of(send('PUT', '/api/synonyms', { word, means }));
		if (outcome.ok) word = means = '';
		await refreshCopies();
	}

	async function forget(id: number) {
		await report.of(send('DELETE', `/api/synonyms/${id}`));
		await refreshCopies();
	}
</script>

<details>
	<summary class="cursor-pointer font-serif text-lg">Own words</summary>
	<ul class="mt-2">
		{#each synonyms as { id, word: known, means: stands } (id)}
			<li class="flex items-baseline gap-2 border-b border-base-300 py-0.5">
				<strong>{known}</strong><span class="min-w-0 flex-1 truncate quiet">{stands}</span>
				<button class="btn btn-ghost btn-xs" aria-label="Forget {known}" onclick={() => forget(id)}
					>✕</button
				>
			</li>
		{/each}
	</ul>
	<form onsubmit={define} class="mt-2 flex flex-wrap gap-2">
		<input
			class="input w-24 input-sm"
			bind:value={word}
			aria-label="Word"
			placeholder="ink"
			required
		/>
		<input
			class="input min-w-0 flex-1 input-sm"
			bind:value={means}
			aria-label="Stands for"
			placeholder="Keeper's Ink nm"
			required
		/>
		<button class="btn btn-sm">Define</button>
	</form>
	<ProblemAlert problems={report.problems} class="mt-2" />
</details>
