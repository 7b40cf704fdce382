<script lang="ts" generics="Word extends string">
	import type { Snippet } from 'svelte';
	import type { RuleChoice } from '$lib/core/goal/goal-rules';
	import RuleRow from './RuleRow.svelte';

	interface Props {
		name: string;
		choices: readonly RuleChoice<Word>[];
		word: Word;
		take: (word: Word) => void;
		children?: Snippet;
	}
	let { name, choices, word, take, children: more }: Props = $props();
	const chosen = $derived(choices.find((choice) => choice.word === word));
</script>

<RuleRow {name} meaning={chosen?.meaning ?? ''}>
	<div role="radiogroup" aria-label={name} class="join flex-wrap">
		{#each choices as choice (choice.word)}
			<input
				type="radio"
				name="rule-{name}"
				class="btn join-item btn-sm checked:btn-primary"
				aria-label={choice.name}
				title={choice.meaning}
				checked={choice.word === word}
				onchange={() => take(choice.word)}
			/>
		{/each}
	</div>
	{@render more?.()}
</RuleRow>
