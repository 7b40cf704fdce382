<script lang="ts">
	import { tick } from 'svelte';
	import type { Completion } from '$lib/core/shorthand/complete';
	import type { EntryReading } from '$lib/core/shorthand/read-shorthand';
	import EntryEcho from './EntryEcho.svelte';

	interface Props {
		line: string;
		reading: EntryReading;
		apply: () => void;
		/** Ways to go on with the word before the caret. */
		completions: (caret: number) => readonly Completion[];
	}
	let { line = $bindable(), reading, apply, completions }: Props = $props();
	let input: HTMLInputElement;
	let caret = $state(0);
	const offered = $derived(completions(caret));

	/** Puts a completion in the place of the word, with a space behind it. */
	async function take({ text, start, end }: Completion) {
		line = `${line.slice(0, start)}${text} ${line.slice(end).trimStart()}`;
		caret = start + text.length + 1;
		await tick();
		input.focus();
		input.setSelectionRange(caret, caret);
	}

	/** Says the last word of the last card alone: the only reading there is. */
	function takeNarrow() {
		line = reading.narrow ?? line;
		caret = line.length;
		input.focus();
	}

	function onkeydown(event: KeyboardEvent) {
		const [first] = offered;
		if (event.key !== 'Tab' || event.shiftKey || caret !== line.length) return;
		if (first) {
			event.preventDefault();
			void take(first);
		} else if (reading.narrow !== undefined) {
			event.preventDefault();
			takeNarrow();
		}
	}

	const isEmpty = $derived(line.trim() === '');
	const added = $derived(
		reading.changes.reduce((sum, { before, after }) => sum + after - before, 0)
	);
	const fresh = $derived(reading.changes.filter(({ before }) => before === 0).length);
	const summary = $derived.by(() => {
		if (isEmpty) return '';
		const { problems, changes, unchanged } = reading;
		if (problems.length > 0) {
			return `${problems.length === 1 ? 'One word is' : `${problems.length} words are`} not understood; nothing is applied until it is mended.`;
		}
		if (changes.length === 0) return 'Everything is there already; nothing would change.';
		const spares = added - fresh;
		const parts = [
			`Enter adds ${added} ${added === 1 ? 'card' : 'cards'}: ${fresh} new`,
			spares > 0 ? `${spares} to spare` : '',
			reading.form === 'all-but' && unchanged > 0 ? `${unchanged} there already` : ''
		];
		return `${parts.filter(Boolean).join(', ')}.`;
	});

	function submit(event: SubmitEvent) {
		event.preventDefault();
		if (isEmpty) return;
		const [first] = reading.problems;
		if (first) {
			input.focus();
			input.setSelectionRange(first.start ?? 0, first.end ?? line.length);
		} else apply();
	}
</script>

<form onsubmit={submit} class="mb-6">
	<label for="entry-line" class="mb-1 block font-semibold">Entry line</label>
	<div class="flex gap-2">
		<input
			id="entry-line"
			bind:this={input}
			bind:value={line}
			{onkeydown}
			oninput={() => (caret = input.selectionStart ?? line.length)}
			onclick={() => (caret = input.selectionStart ?? 0)}
			class="input w-full text-xl input-lg focus:outline-primary"
			placeholder="1-20 25 31x2 F1-F4, 72 brass nm, or: all but 7, 12, 45-48"
			autocomplete="off"
			autocapitalize="off"
			spellcheck="false"
			aria-describedby="entry-summary"
			aria-invalid={reading.problems.length > 0 && !isEmpty}
		/>
		<button class="btn btn-lg btn-primary" disabled={isEmpty}>Log</button>
	</div>
	{#if offered.length > 0}
		<ul class="mt-1.5 flex flex-wrap gap-1.5" aria-label="Completions">
			{#each offered as offer, i (offer.text)}
				<li>
					<button type="button" class="btn btn-sm" title={offer.what} onclick={() => take(offer)}
						>{offer.text}{#if i === 0}<kbd class="kbd kbd-xs max-sm:hidden">Tab</kbd>{/if}</button
					>
				</li>
			{/each}
		</ul>
	{/if}
	<div class="mt-1.5 min-h-7">
		<p
			id="entry-summary"
			role="status"
			class={['text-lg', reading.problems.length > 0 && !isEmpty ? 'text-error' : 'text-primary']}
		>
			{summary}
		</p>
		{#if reading.narrow !== undefined}
			<p class="mt-1">
				<button type="button" class="btn btn-sm" onclick={takeNarrow}
					>Say it of the last only: {reading.narrow}{#if offered.length === 0}<kbd
							class="kbd kbd-xs max-sm:hidden">Tab</kbd
						>{/if}</button
				>
			</p>
		{/if}
		{#if !isEmpty && reading.problems.length + reading.notes.length + reading.reaches.length > 0}
			<EntryEcho {line} {reading} />
		{/if}
	</div>
</form>
