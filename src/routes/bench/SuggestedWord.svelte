<script lang="ts">
	import type { WorksheetAnswer } from '$lib/core/condition/condition-worksheet';

	/** The word that a worksheet comes to, with its reason. */
	let { answer }: { answer: WorksheetAnswer } = $props();
</script>

<p aria-live="polite" data-testid="suggested">
	{#if answer.word === null}
		<span class="text-lg">Nothing is judged yet: measure a picture, or look at it and choose.</span>
	{:else}
		<strong class="font-serif text-3xl font-medium">{answer.word}</strong>
		<span class="quiet">for {answer.because.map(({ reason }) => reason).join('; ')}</span>
		{#if answer.atBest !== answer.word}
			<span class="text-sm">– {answer.atBest}, if the measurement is off as far as it may be</span>
		{/if}
	{/if}
</p>
{#if answer.word !== null}
	<p class="text-sm quiet">
		{answer.notLookedAt.length > 0
			? `Not looked at: ${answer.notLookedAt.join(', ')}; the word can only fall.`
			: 'Everything was looked at.'}
		Your own word by your own table: a house may say something else.
	</p>
{/if}
