<script lang="ts">
	import { resolve } from '$app/paths';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf, formatDay } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { createKnowledgeDesk } from './knowledge-desk.svelte';
	import KindPart from './KindPart.svelte';

	let { form } = $props();
	const view = $derived(form && 'view' in form ? form.view : undefined);
	const done = $derived(form && 'done' in form ? form.done : undefined);
	/** What was looked at stays on the page where it could not be taken. */
	let shown = $state.raw<typeof view>(undefined);
	const desk = createKnowledgeDesk(() => shown?.differences ?? []);
	$effect.pre(() => {
		if (view) shown = view;
		if (done) shown = undefined;
	});
</script>

<svelte:head><title>Take in knowledge · Jade Binder</title></svelte:head>

<p class="mt-4"><a class="prose-link" href={resolve('/releases')}>Releases</a></p>
<h1 class="mb-2">Take in knowledge</h1>
<p class="mb-4 max-w-2xl quiet">
	What another collector has learnt of a release: a file that the page of a release writes. You see
	line by line what is not known here, or otherwise, and take what you trust. What only you know
	stays, and nothing that you own loses its place.
</p>
<form
	method="POST"
	enctype="multipart/form-data"
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
>
	<div class="mb-4 flex flex-wrap items-end gap-3">
		<label class="block">
			<span class="mb-1 block text-sm quiet">File of knowledge</span>
			<input
				type="file"
				name="file"
				accept=".zip"
				required
				class="file-input"
				onchange={() => (shown = undefined)}
			/>
		</label>
		<button class="btn" formaction="?/look">Look at it</button>
	</div>
	<ProblemAlert problems={form && 'problems' in form ? form.problems : []} class="mb-4" />
	{#if done}
		<p class="mb-4 max-w-2xl border-l-3 border-primary pl-4" role="status">
			{countOf(done.taken, 'line')} taken in{done.left > 0 ? `, ${done.left} left` : ''}:
			<a class="prose-link" href={resolve('/releases/[release]', { release: done.release })}
				>see the release</a
			>. Undo takes all of it back.
		</p>
	{/if}
	{#if shown}
		<input type="hidden" name="seen" value={shown.seen} />
		<input type="hidden" name="take" value={[...desk.picked].join('\n')} />
		<h2 class="mb-1">{shown.release.name}</h2>
		<p class="mb-3">
			Learnt by <strong>{shown.from}</strong>, written down on {formatDay(shown.on)}.
			{#if shown.isNew}
				It is not in your collection yet: its checklist of {countOf(shown.cards, 'card')} comes whole{shown
					.differences.length > 0
					? ', with what you choose of the rest'
					: ''}.
			{:else if shown.differences.length === 0}
				You know all of it.
			{/if}
		</p>
		{#if desk.sources.length > 1}
			<p class="mb-3 flex flex-wrap items-center gap-2">
				<span class="quiet">Told by</span>
				{#each desk.sources as { source, count } (source ?? '')}
					<button
						type="button"
						class="btn btn-sm"
						aria-pressed={desk.isWholeSource(source)}
						onclick={() => desk.pickSource(source)}
						>{source ?? shown.from} <span class="font-normal quiet">{count}</span></button
					>
				{/each}
			</p>
		{/if}
		{#each desk.kinds as { kind, lines } (kind)}
			<KindPart {kind} {lines} {desk} from={shown.from} />
		{/each}
		{#if shown.isNew || shown.differences.length > 0}
			<div
				class="sticky bottom-0 flex flex-wrap items-center gap-4 border-t-2 border-primary bg-base-100 py-3 max-lg:bottom-13"
			>
				<button
					class="btn btn-primary"
					formaction="?/take"
					disabled={!shown.isNew && desk.picked.size === 0}
					>{shown.isNew ? 'Take in the release' : 'Take'}{desk.picked.size > 0
						? `${shown.isNew ? ' with ' : ' '}${countOf(desk.picked.size, 'line')}`
						: ''}</button
				>
				<span class="quiet">What you leave is shown last when a later file comes.</span>
			</div>
		{/if}
	{/if}
</form>
