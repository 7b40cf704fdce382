<script lang="ts">
	interface Props {
		cards: readonly { readonly key: string; readonly name: string }[];
		picked: readonly string[];
		isOne: boolean;
		change: (picked: readonly string[]) => void;
	}
	let { cards, picked, isOne, change }: Props = $props();
	let text = $state('');
	const names = $derived(new Map(cards.map(({ key, name }) => [key, name])));

	/** Takes a card by its number, its title, or both. */
	function pick() {
		const wanted = text.trim().toLowerCase();
		const found = cards.find(
			({ name }) => name.toLowerCase() === wanted || name.toLowerCase().split(' ')[0] === wanted
		);
		if (!found) return;
		change(isOne ? [found.key] : [...new Set([...picked, found.key])]);
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
		{#each cards as { key, name } (key)}<option value={name}></option>{/each}
	</datalist>
	<ul class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
		{#each picked as key (key)}
			<li>
				{names.get(key) ?? key}
				{#if !isOne}<button
						type="button"
						class="quiet hover:text-error"
						aria-label="Leave {names.get(key) ?? key} out"
						onclick={() => change(picked.filter((one) => one !== key))}>✕</button
					>{/if}
			</li>
		{/each}
	</ul>
</div>
