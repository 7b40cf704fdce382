<script lang="ts">
	import { nameCard, pickCard, type PickableCard } from '$lib/core/goal/pick-card';
	import type { Problem } from '$lib/core/problem';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		cards: readonly PickableCard[];
		picked: readonly string[];
		isOne: boolean;
		change: (picked: readonly string[]) => void;
	}
	let { cards, picked, isOne, change }: Props = $props();
	let text = $state('');
	let problems = $state.raw<readonly Problem[]>([]);
	const names = $derived(new Map(cards.map((card) => [card.key, nameCard(card)])));

	function pick() {
		if (text.trim() === '') return;
		const outcome = pickCard(cards, text);
		problems = outcome.ok ? [] : outcome.problems;
		if (!outcome.ok) return;
		change(isOne ? [outcome.value.key] : [...new Set([...picked, outcome.value.key])]);
		text = '';
	}
</script>

<div class="mt-2 ml-9">
	<div class="flex gap-2">
		<input
			class="input max-w-80 input-sm"
			aria-label="Card, by number or title"
			placeholder="number or title"
			list="cards-to-pick"
			bind:value={text}
			onchange={pick}
			onkeydown={(event) => {
				if (event.key !== 'Enter') return;
				event.preventDefault();
				pick();
			}}
		/>
		<button type="button" class="btn btn-sm" onclick={pick}>{isOne ? 'Take' : 'Add'}</button>
	</div>
	<datalist id="cards-to-pick">
		{#each cards as card (card.key)}<option value={nameCard(card)}></option>{/each}
	</datalist>
	<ProblemAlert {problems} class="mt-2" />
	<ul class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
		{#each picked as key (key)}
			<li>
				{names.get(key) ?? key}
				{#if !isOne}<button
						type="button"
						class="quiet hover:text-error"
						aria-label="Leave {names.get(key) ?? key} out"
						onclick={() => change(picked.filter((other) => other !== key))}>✕</button
					>{/if}
			</li>
		{/each}
	</ul>
</div>
