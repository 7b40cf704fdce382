<script lang="ts">
	import { LOOKS, type Candidate } from '$lib/core/checklist/tell';
	import { nextQuestion, type Answer } from '$lib/core/telling/next-question';

	/** Asks what one sees until it is clear which version lies in the hand: the cheapest look first. */
	interface Props {
		candidates: readonly Candidate[];
		nameOf: (key: string) => string;
		/** Records a copy of the version that it is; left out: it is only told. */
		record?: (key: string) => Promise<unknown>;
	}
	let { candidates, nameOf, record }: Props = $props();
	let answers = $state.raw<readonly Answer[]>([]);
	let isOpen = $state(false);
	const outcome = $derived(nextQuestion(candidates, answers));
	const begun = $derived(nextQuestion(candidates));
	/** Without a tell there is nothing to ask. */
	const isAskable = $derived(begun.ok && begun.value.question !== null);
	const answer = (feature: string, value: string | null) =>
		(answers = [...answers, { feature, value }]);
	const percent = (chance: number) =>
		chance > 0.995 ? 'certain' : `${Math.round(100 * chance)} %`;
</script>

{#if isAskable}
	<details class="mb-6 max-w-3xl" bind:open={isOpen}>
		<summary class="cursor-pointer font-serif text-lg">Which one is it?</summary>
		{#if outcome.ok}
			{@const telling = outcome.value}
			{@const question = telling.question}
			<div class="mt-2" aria-live="polite">
				{#if question}
					<p class="mb-2">
						<strong class="inline-block first-letter:uppercase"
							>{LOOKS[question.where].words}</strong
						>: {question.feature}?
						{#if question.reliability !== 'certain'}<span class="quiet"
								>({question.reliability === 'poor'
									? 'it says little'
									: 'it is misread now and then'})</span
							>{/if}
					</p>
					<div class="flex flex-wrap gap-2">
						{#each question.values as { value } (value)}
							<button
								type="button"
								class="btn min-h-11"
								onclick={() => answer(question.feature, value ?? 'something else')}
								>{value ?? 'something else'}</button
							>
						{/each}
						<button
							type="button"
							class="btn min-h-11 btn-ghost"
							onclick={() => answer(question.feature, null)}>I cannot tell</button
						>
					</div>
				{:else if telling.isSettled}
					{@const key = telling.candidates[0]?.key ?? ''}
					<p class="flex flex-wrap items-center gap-3">
						<span>It is <strong>{nameOf(key)}</strong>.</span>
						{#if record}<button
								type="button"
								class="btn btn-primary btn-sm"
								onclick={() => record(key)}>Record a copy of it</button
							>{/if}
					</p>
				{:else}
					<p>Nothing more tells them apart: keep it as it is, or lay it beside a known copy.</p>
				{/if}
			</div>
			<ul class="mt-3">
				{#each telling.candidates
					.filter(({ chance }) => chance > 0.001)
					.slice(0, 8) as { key, chance } (key)}
					<li class="flex items-center gap-3 py-0.5">
						<progress class="progress w-32 shrink-0 progress-primary" value={chance} max="1"
						></progress>
						<span class="w-16 shrink-0 text-right text-sm quiet">{percent(chance)}</span>
						<span>{nameOf(key)}</span>
					</li>
				{/each}
			</ul>
		{:else}
			{#each outcome.problems as { message } (message)}<p class="mt-2">{message}</p>{/each}
		{/if}
		{#if answers.length > 0}
			<button type="button" class="btn mt-2 btn-ghost btn-sm" onclick={() => (answers = [])}
				>Begin again</button
			>
			<button
				type="button"
				class="btn mt-2 btn-ghost btn-sm"
				onclick={() => (answers = answers.slice(0, -1))}>Take the last answer back</button
			>
		{/if}
	</details>
{/if}
