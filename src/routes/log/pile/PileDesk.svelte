<script lang="ts">
	import type { Condition } from '$lib/core/copies/condition';
	import type { Keeping } from '$lib/core/storage/classes/keeping';
	import type { PileHint, PileView } from '$lib/server/pile/read-pile';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import NarrowingFields from './NarrowingFields.svelte';
	import PileChoices from './PileChoices.svelte';
	import PileVerdict from './PileVerdict.svelte';
	import TakenList from './TakenList.svelte';
	import type { Snippet } from 'svelte';
	import type { LyingCards } from '$lib/server/pile/read-lying';
	import DrawnCard from './DrawnCard.svelte';
	import FullEntry from './FullEntry.svelte';
	import PileQuestion from './PileQuestion.svelte';
	import { createPileBook, type PileBook } from './pile-book.svelte';
	import { playTone, VERDICT_LOOK } from './verdict-look';

	interface Props {
		view: PileView;
		hint: PileHint;
		synonyms: readonly { readonly word: string; readonly means: string }[];
		keeping: Keeping;
		lying: LyingCards;
		/** Ids of the pile that waits to be logged, and of the one that its cards lie in. */
		from: number | undefined;
		pile: number | undefined;
		/** Of a pile to practise on: the versions that lay in it, the top one first, and how many came off before. */
		drawn: { readonly versions: readonly string[]; readonly before: number };
		/** What is typed: it stays where the pile is read anew meanwhile. */
		line: string;
		/** What stands under the line: the piles, and what becomes of them. */
		below: Snippet<[PileBook]>;
	}
	let {
		view,
		hint,
		synonyms,
		keeping,
		lying,
		from,
		pile,
		drawn,
		line = $bindable(),
		below
	}: Props = $props();
	// svelte-ignore state_referenced_locally
	let year = $state(hint.year ?? '');
	// svelte-ignore state_referenced_locally
	let maker = $state(hint.maker ?? '');
	let finish = $state('');
	let condition = $state<Condition | ''>('');
	let isLoud = $state(false);
	/** The choice that Enter takes. */
	let chosen = $state(0);
	let input: HTMLInputElement;
	// svelte-ignore state_referenced_locally
	const book = createPileBook({
		view,
		synonyms: new Map(synonyms.map(({ word, means }) => [word, means])),
		keeping: () => keeping,
		lying,
		from,
		pile,
		narrowing: () => ({ year, maker, finish }),
		condition: () => condition || undefined,
		typed: line
	});
	$effect(() => {
		line = book.line;
	});
	const choices = $derived(book.judgement.choices);
	const last = $derived(book.taken[0]);
	const off = $derived(drawn.before + book.count);
	const top = $derived(drawn.versions[off]);
	const finishes = $derived([
		...new Set(book.releases.flatMap(({ parallels }) => parallels.map(({ name }) => name)))
	]);

	function take(place: number) {
		if (book.take(place) && isLoud && book.taken[0])
			playTone(VERDICT_LOOK[book.taken[0].choice.verdict.kind].hertz);
		chosen = 0;
		input.focus();
	}

	function submit(event: SubmitEvent) {
		event.preventDefault();
		if (book.line.trim() === '') return;
		take(Math.min(chosen, Math.max(0, choices.length - 1)));
	}

	/** Arrows choose before Enter; in the empty line they change the last card, and Backspace takes it back. */
	function onkeydown(event: KeyboardEvent) {
		const isEmpty = book.line === '';
		const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
		if (event.altKey && /^[1-9]$/.test(event.key)) {
			event.preventDefault();
			if (choices[Number(event.key) - 1]) take(Number(event.key) - 1);
		} else if (step !== 0 && !isEmpty && choices.length > 0) {
			event.preventDefault();
			chosen = (chosen + step + choices.length) % choices.length;
		} else if (step === 1 && isEmpty) {
			event.preventDefault();
			book.another();
		} else if (event.key === 'Backspace' && isEmpty) {
			event.preventDefault();
			void book.undo();
		}
	}
</script>

<NarrowingFields bind:year bind:maker bind:finish bind:condition {finishes} />

<div class="lg:flex lg:flex-row-reverse lg:justify-end lg:gap-8">
	{#if top !== undefined}
		<div class="mb-4 lg:w-80 lg:shrink-0">
			<DrawnCard index={book.index} version={top} left={drawn.versions.length - off} />
		</div>
	{/if}
	<div class="min-w-0 lg:w-2xl">
		<form onsubmit={submit} class="mb-3 flex gap-2">
			<label class="sr-only" for="entry-line">Next card</label>
			<!-- svelte-ignore a11y_autofocus -->
			<input
				id="entry-line"
				bind:this={input}
				value={book.line}
				oninput={(event) => {
					book.line = event.currentTarget.value;
					chosen = 0;
				}}
				{onkeydown}
				class="input h-16 w-full max-w-xl font-serif text-4xl"
				placeholder="27"
				autocomplete="off"
				autocapitalize="off"
				spellcheck="false"
				maxlength="300"
				aria-describedby="pile-help"
				autofocus
			/>
			<button class="btn h-16 btn-primary" aria-label="Take it">Take</button>
		</form>
		<ProblemAlert problems={book.problems} />

		{#if book.line.trim() !== ''}
			<PileChoices
				{choices}
				fitting={book.judgement.fitting}
				{chosen}
				isSearching={book.isSearching}
				search={() => {
					input.focus();
					void book.search();
				}}
				{take}
			/>
		{/if}
		<div aria-live="assertive">
			{#if last && last.state !== 'earlier' && book.line.trim() === ''}{#key last.id}<PileVerdict
						card={last}
						another={() => book.another()}
					/>{/key}
			{/if}
		</div>
		<PileQuestion {book} />
		{#if last && last.choice.asks.length > 0 && book.line.trim() === ''}
			{#key `${last.id} ${last.choice.match.version.key}`}
				<FullEntry {book} asks={last.choice.asks} done={() => input.focus()} />
			{/key}
		{/if}
		<p id="pile-help" class={['max-w-xl quiet', (last || book.line.trim() !== '') && 'sr-only']}>
			Type a number, words of the title, a maker or a year, with a finish or a condition where it
			matters (<em>27 brass vg</em>), or a run (<em>1-40</em>). Enter takes the first choice, ↓
			another one.
		</p>
	</div>
</div>
{@render below(book)}
<TakenList {book} bind:isLoud />
