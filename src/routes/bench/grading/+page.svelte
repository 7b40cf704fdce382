<script lang="ts">
	import { answerOf } from '$lib/ui/form-answer';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import EyeTable from './EyeTable.svelte';
	import SendForm from './SendForm.svelte';
	import SubmissionEntry from './SubmissionEntry.svelte';

	let { data, form } = $props();
	const out = $derived(data.submissions.filter(({ isBack }) => !isBack));
	const back = $derived(data.submissions.filter(({ isBack }) => isBack));
	const [send, taken] = $derived([answerOf(form, 'send'), answerOf(form, 'back')]);
</script>

<svelte:head><title>Grading desk · Jade Binder</title></svelte:head>

<h1 class="mb-2">Grading desk</h1>
<section class="mb-8" aria-labelledby="out">
	<h2 id="out" class="mb-1">At a house</h2>
	<ProblemAlert problems={taken.problems} class="mb-2" />
	<p role="status" class="min-h-6 text-sm text-primary">{taken.told || send.told}</p>
	{#each out as submission (submission.id)}
		<SubmissionEntry {submission} />
	{:else}
		<p class="max-w-2xl text-lg">
			No card is at a house. Find one below: it keeps its place while it is out, and what you think
			of it is held against what comes back.
		</p>
	{/each}
</section>
<SendForm
	found={data.found}
	more={data.more}
	words={data.words}
	houses={data.houses}
	currency={data.currency}
	today={data.today}
	problems={send.problems}
/>
<EyeTable eye={data.eye} />
{#if back.length > 0}
	<section class="mt-8" aria-labelledby="back">
		<h2 id="back" class="mb-1">Back again</h2>
		{#each back as submission (submission.id)}<SubmissionEntry {submission} />{/each}
	</section>
{/if}
