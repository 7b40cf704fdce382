<script lang="ts">
	import { goto } from '$app/navigation';
	import { refreshAll } from '$lib/ui/refresh';
	import { resolve } from '$app/paths';
	import { readOutline } from '$lib/core/checklist/outline/read-outline';
	import type { Problem } from '$lib/core/problem';
	import { checklistDocument } from '$lib/formats/checklist-json';
	import { countOf } from '$lib/ui/numerals';
	import { send } from '$lib/ui/send';
	import RunMatrix from '../RunMatrix.svelte';
	import OutlineHelp from './OutlineHelp.svelte';
	import { SAMPLE_OUTLINE } from './sample-outline';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data } = $props();
	let outline = $derived(data.like?.outline ?? '');
	let busy = $state(false);
	let refused = $state.raw<readonly Problem[]>([]);
	let area: HTMLTextAreaElement;
	const isEmpty = $derived(outline.trim() === '');
	const reading = $derived(readOutline(outline));

	function goToProblem({ line, start, end }: Problem) {
		const lines = outline.split('\n').slice(0, (line ?? 1) - 1);
		const from = start ?? lines.join('\n').length + (lines.length > 0 ? 1 : 0);
		area.focus();
		area.setSelectionRange(from, end ?? from + (outline.split('\n')[(line ?? 1) - 1] ?? '').length);
	}

	async function create() {
		busy = true;
		const outcome = await send<{ key: string }>(
			'POST',
			'/api/releases',
			checklistDocument(reading.release)
		);
		busy = false;
		refused = outcome.ok ? [] : outcome.problems;
		if (!outcome.ok) return;
		await refreshAll();
		await goto(resolve('/releases/[release]', { release: outcome.value.key }));
	}
</script>

<svelte:head><title>Sketch a release · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-2">Sketch a release</h1>
<p class="mb-5 max-w-2xl quiet">
	One line a thing: sections with their numbers, parallels with their print runs. What it comes to
	is shown as you type; titles can be filled in later.
	{#if data.like}
		These are the parts of {data.like.name}, a year on: change what is different.
	{/if}
</p>
<div class="grid gap-8 lg:grid-cols-[1.1fr_1fr]">
	<div class="min-w-0">
		<label class="mb-1 block font-semibold" for="outline">Outline</label>
		<textarea
			id="outline"
			bind:this={area}
			bind:value={outline}
			rows="17"
			class="textarea w-full font-mono text-sm leading-6 focus:outline-primary"
			spellcheck="false"
			placeholder={SAMPLE_OUTLINE}></textarea>
		<div class="mt-3 flex flex-wrap items-center gap-3">
			<button
				class="btn btn-primary"
				disabled={busy || isEmpty || reading.problems.length > 0}
				onclick={create}>Create {isEmpty ? 'the release' : reading.release.name}</button
			>
			{#if isEmpty}
				<button class="btn" onclick={() => (outline = SAMPLE_OUTLINE)}>Begin with an example</button
				>
			{/if}
		</div>
		<OutlineHelp />
	</div>
	<section class="min-w-0" aria-label="Preview" aria-live="polite">
		{#if isEmpty}
			<p class="quiet">The preview appears here.</p>
		{:else}
			<h2>{reading.release.name}</h2>
			<p class="mb-4 text-lg">
				<strong class="font-semibold" data-testid="outline-cards"
					>{countOf(reading.cards, 'card')}</strong
				>
				in {countOf(reading.release.sections.length, 'section')},
				<strong class="font-semibold">{countOf(reading.versions, 'version')}</strong>
			</p>
			<ProblemAlert problems={refused} />
			{#if reading.problems.length > 0}
				<h3 class="mb-2 font-semibold text-error">
					{countOf(reading.problems.length, 'problem')} to mend before it can be created
				</h3>
				<ul class="mb-5 space-y-1.5 border-l-3 border-error pl-4" data-testid="outline-problems">
					{#each reading.problems.slice(0, 30) as problem, i (i)}
						<li>
							<button class="text-left prose-link" onclick={() => goToProblem(problem)}
								>{problem.line ? `Line ${problem.line}` : 'Outline'}</button
							>: {problem.message}.
							<span class="quiet">{problem.remedy ?? ''}</span>
						</li>
					{/each}
				</ul>
			{/if}
			<RunMatrix release={reading.release} compact />
		{/if}
	</section>
</div>
