<script lang="ts">
	import { numberingsOf } from '$lib/core/checklist/numbering';
	import type { Release } from '$lib/core/checklist/release';
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import type { StackSlot, Verdict } from '$lib/core/goal/judge-card';
	import StackVerdict from './StackVerdict.svelte';
	import { createStackBook } from './stack-book.svelte';
	import { playTone, tellVerdict, VERDICT_LOOK } from './verdict-look';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		release: Release;
		owned: readonly (readonly [string, number])[];
		slots: readonly StackSlot[];
		synonyms: readonly { readonly word: string; readonly means: string }[];
		pile: { readonly id: number; readonly name: string; readonly cards: number } | null;
	}
	let { release, owned, slots, synonyms, pile }: Props = $props();
	let line = $state('');
	let numberingKey = $state('');
	let parallelKey = $state('');
	let condition = $state<Condition | ''>('');
	let isLoud = $state(false);
	let input: HTMLInputElement;
	// svelte-ignore state_referenced_locally
	const book = createStackBook({
		release,
		owned,
		slots,
		synonyms: new Map(synonyms.map(({ word, means }) => [word, means])),
		pile: pile?.id,
		numberingKey: () => numberingKey || null,
		parallelKey: () => parallelKey || null,
		condition: () => condition || undefined
	});
	const owners = $derived(release.sections.filter(({ numberedIn }) => numberedIn === undefined));
	/** Cards of the section chosen, or of the first one, that have numbers. */
	const tappable = $derived(
		(
			numberingsOf(release).find(({ key }) => key === numberingKey) ?? numberingsOf(release)[0]
		)?.cards
			.slice(0, 1000)
			.flatMap(({ card }) =>
				card.number === null ? [] : [{ key: card.key, number: card.number }]
			) ?? []
	);
	const KINDS: readonly Verdict['kind'][] = ['needed', 'upgrade', 'spare', 'outside'];

	function submit(event: SubmitEvent) {
		event.preventDefault();
		if (line.trim() !== '' && take(line)) line = '';
		input.focus();
	}

	function take(text: string): boolean {
		if (!book.take(text)) return false;
		if (isLoud && book.last) playTone(VERDICT_LOOK[book.last.verdict.kind].hertz);
		return true;
	}

	/** Backspace in the empty line takes the last card back. */
	function onkeydown(event: KeyboardEvent) {
		if (event.key !== 'Backspace' || line !== '') return;
		event.preventDefault();
		void book.undo();
	}
</script>

<div class="mb-4 grid grid-cols-3 gap-3 sm:max-w-2xl">
	<Field label="Section">
		<select class="select w-full select-sm" bind:value={numberingKey}>
			<option value="">All</option>
			{#each owners as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Finish">
		<select class="select w-full select-sm" bind:value={parallelKey}>
			<option value="">Base</option>
			{#each release.parallels as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Condition">
		<select class="select w-full select-sm" bind:value={condition}>
			<option value="">Not looked at</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</Field>
</div>

<form onsubmit={submit} class="mb-4 flex gap-2">
	<label class="sr-only" for="entry-line">Next card</label>
	<!-- svelte-ignore a11y_autofocus -->
	<input
		id="entry-line"
		bind:this={input}
		bind:value={line}
		{onkeydown}
		class="input h-16 w-full max-w-xl font-serif text-4xl"
		inputmode="decimal"
		placeholder="27"
		autocomplete="off"
		autocapitalize="off"
		spellcheck="false"
		autofocus
	/>
	<button class="btn h-16 btn-primary" aria-label="Take it">Take</button>
</form>
<ProblemAlert problems={book.problems} />

<details class="mb-4">
	<summary class="cursor-pointer">Tap the numbers instead</summary>
	<div class="mt-2 max-h-64 overflow-y-auto">
		<ul class="flex flex-wrap gap-1.5">
			{#each tappable as { key, number } (key)}
				<li>
					<button class="btn h-11 w-12 px-0 text-base" onclick={() => take(number)}>{number}</button
					>
				</li>
			{/each}
		</ul>
	</div>
</details>

<div aria-live="assertive">
	{#if book.last}{#key book.last.id}<StackVerdict card={book.last} {release} />{/key}{:else}
		<p class="max-w-xl quiet">
			Type the number of each card as it comes off the pile, with a finish or a condition where it
			matters (<em>27 brass vg</em>). Backspace in the empty line takes the last one back.
		</p>
	{/if}
</div>

<dl class="mt-5 grid grid-cols-4 gap-2 sm:max-w-2xl">
	{#each KINDS as kind (kind)}
		<div class="border-t-4 border-base-300 pt-1">
			<dt class="text-sm quiet">{VERDICT_LOOK[kind].mark} {VERDICT_LOOK[kind].word}</dt>
			<dd class="font-serif text-3xl" data-testid="pile-{kind}">{book.countOf(kind)}</dd>
		</div>
	{/each}
</dl>

<div class="mt-4 flex flex-wrap items-center gap-4">
	<label class="flex items-center gap-2"
		><input type="checkbox" class="toggle toggle-sm" bind:checked={isLoud} />Tones</label
	>
	<button class="btn btn-sm" disabled={book.taken.length === 0} onclick={() => book.undo()}
		>Take the last one back</button
	>
	{#if pile}<span class="quiet">{Math.max(0, pile.cards - book.taken.length)} left in the pile</span
		>{/if}
</div>

<ol class="mt-4 divide-y divide-base-300" aria-label="Taken off the pile">
	{#each book.taken.slice(0, 30) as card (card.id)}
		<li class="flex items-baseline gap-3 py-1">
			<span class="w-5 text-center" aria-hidden="true">{VERDICT_LOOK[card.verdict.kind].mark}</span>
			<strong class="w-12 text-right">{card.number}</strong>
			<span class="min-w-0 flex-1 truncate"
				>{[card.title, card.finish].filter(Boolean).join(', ')}</span
			>
			<span class="shrink-0 text-sm quiet max-sm:hidden">{tellVerdict(card.verdict)}</span>
			{#if card.state === 'failed'}<span class="text-error">not logged</span>{/if}
		</li>
	{/each}
</ol>
