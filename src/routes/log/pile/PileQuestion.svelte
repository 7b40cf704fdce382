<script lang="ts">
	import { LOOKS } from '$lib/core/checklist/tell';
	import type { PileChoice } from '$lib/core/pile/judge-pile-card';
	import type { PileBook } from './pile-book.svelte';
	import { VERDICT_LOOK } from './verdict-look';

	/** What to look at to know which version the last card is; going on leaves it as not looked at. */
	let { book }: { book: PileBook } = $props();
	const open = $derived(book.question);
	const nameOf = ({ match: { entry, version } }: PileChoice) => {
		const { parallels, variants } = entry.of.release;
		const names = [
			parallels.find(({ key }) => key === version.parallelKey)?.name,
			variants.find(({ key }) => key === version.variantKey)?.name
		];
		return names.filter(Boolean).join(', ') || 'the regular card';
	};
	/** What Alt and a number answers: values of the question, or the versions themselves. */
	const replies = $derived(
		open?.question
			? open.question.values.map(({ value, leaves }) => ({
					key: value ?? '',
					label: value ?? 'something else',
					choice: open.candidates.find(({ choice }) => choice.match.version.key === leaves[0])
						?.choice,
					isAlone: leaves.length === 1
				}))
			: (open?.candidates ?? []).map(({ choice }) => ({
					key: choice.match.version.key,
					label: nameOf(choice),
					choice,
					isAlone: true
				}))
	);
	function reply(place: number) {
		const given = replies[place];
		if (!open || !given) return;
		if (open.question) book.answer(open.question.feature, given.key || 'something else');
		else if (given.choice) book.settle(given.choice);
	}
	/** In the empty line Alt and a number answers. */
	function onkeydown(event: KeyboardEvent) {
		if (!open || !event.altKey || book.line !== '' || !/^[1-9]$/.test(event.key)) return;
		event.preventDefault();
		reply(Number(event.key) - 1);
	}
</script>

<svelte:window {onkeydown} />
{#if open && book.line.trim() === ''}
	<section class="mt-3 max-w-2xl" aria-label="Which one is it" data-testid="pile-question">
		<p>
			{#if open.question}
				<strong class="inline-block first-letter:uppercase"
					>{LOOKS[open.question.where].words}</strong
				>: {open.question.feature}?
			{:else}
				<strong>Look which one it is</strong>
			{/if}
			<span class="quiet">Go on, and it is kept as not looked at.</span>
		</p>
		<ul class="mt-2 flex flex-wrap gap-2">
			{#each replies.slice(0, 9) as { key, label, choice, isAlone }, place (key)}
				<li>
					<button type="button" class="btn h-auto min-h-11 py-1.5" onclick={() => reply(place)}>
						<kbd class="kbd kbd-sm max-sm:hidden">Alt {place + 1}</kbd>
						<span class="text-left"
							>{label}
							{#if choice && isAlone}<span class="block text-sm font-normal quiet"
									>{open.question ? `${nameOf(choice)}: ` : ''}{VERDICT_LOOK[choice.verdict.kind]
										.word}</span
								>{/if}</span
						>
					</button>
				</li>
			{/each}
			{#if open.question}
				<li>
					<button
						type="button"
						class="btn min-h-11 btn-ghost"
						onclick={() => book.answer(open.question?.feature ?? '', null)}>I cannot tell</button
					>
				</li>
			{/if}
		</ul>
	</section>
{/if}
