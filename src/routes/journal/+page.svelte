<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { formatMoment } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Journal · Jade Binder</title></svelte:head>

<h1 class="mb-2">Journal</h1>
<p class="mb-5 max-w-2xl quiet">
	What was done, the latest first. Any step can be taken back, as long as no later one changed the
	same things.
</p>
<ProblemAlert problems={form?.problems} />
<ol class="divide-y divide-base-300">
	{#each data.steps as { id, at, label } (id)}
		<li class="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-2">
			<time class="w-44 shrink-0 text-sm quiet" datetime={at}>{formatMoment(at)}</time>
			<span class="min-w-0 flex-1 basis-64 wrap-break-word">{label}</span>
			<form method="POST" use:enhance>
				<input type="hidden" name="step" value={id} />
				<button class="btn btn-sm" aria-label="Take back: {label}">Take back</button>
			</form>
		</li>
	{:else}
		<li class="py-4 quiet">Nothing was done yet.</li>
	{/each}
</ol>
