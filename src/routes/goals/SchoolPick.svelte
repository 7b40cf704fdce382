<script lang="ts">
	import type { GoalOptions } from '$lib/server/goals/goal-options';
	import Word from '$lib/ui/Word.svelte';
	import CardPick from './CardPick.svelte';
	import VersionPick from './VersionPick.svelte';
	import type { RulesBook } from './rules-book.svelte';

	let { book, options }: { book: RulesBook; options: GoalOptions } = $props();
</script>

<fieldset class="mb-8">
	<legend class="mb-2 font-serif text-xl">School</legend>
	<p class="mb-2 text-sm quiet">
		Collectors mean different things by <Word of="complete" />, <Word of="master" />, <Word
			of="rainbow"
		/>
		and <Word of="parallel run" />.
	</p>
	{#each book.presets as { key, name, meaning, asks } (key)}
		{@const isTaken = book.choice.preset === key}
		<div class={['border-b border-base-300 px-3 py-2.5', isTaken && 'bg-base-200']}>
			<label class="grid cursor-pointer grid-cols-[auto_1fr] items-baseline gap-x-4">
				<input
					type="radio"
					class="radio self-center radio-sm radio-primary"
					name="preset"
					checked={isTaken}
					disabled={!book.isPossible(key)}
					onchange={() => book.take(key)}
				/>
				<span
					><span class="font-semibold">{name}</span>
					<span class="quiet">{meaning}</span></span
				>
			</label>
			{#if isTaken && asks === 'parallel'}
				<select
					class="select mt-2 ml-9 max-w-64 select-sm"
					aria-label="Parallel"
					value={book.rules.parallels[0]}
					onchange={(event) => book.set({ parallels: [event.currentTarget.value] })}
				>
					{#each options.parallels as { key: option, name: label } (option)}
						<option value={option}>{label}</option>
					{/each}
				</select>
			{:else if isTaken && (asks === 'subject' || asks === 'group')}
				<input
					class="input mt-2 ml-9 max-w-80 input-sm"
					aria-label={asks === 'subject' ? 'Subject' : 'Group'}
					list="school-{asks}"
					value={book.rules[asks]}
					oninput={(event) => book.set({ [asks]: event.currentTarget.value })}
				/>
				<datalist id="school-{asks}">
					{#each asks === 'subject' ? options.subjects : options.groups as word (word)}
						<option value={word}></option>
					{/each}
				</datalist>
			{:else if isTaken && (asks === 'card' || asks === 'cards')}
				<CardPick
					cards={options.cards}
					picked={book.rules.picked ?? []}
					isOne={asks === 'card'}
					change={(picked) => book.set({ picked })}
				/>
				{#if asks === 'cards'}
					<VersionPick
						release={options.release.key}
						picked={book.rules.versions}
						change={(versions) => book.set({ versions })}
					/>
				{/if}
			{/if}
		</div>
	{/each}
</fieldset>
