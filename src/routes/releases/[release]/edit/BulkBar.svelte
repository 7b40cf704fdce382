<script lang="ts">
	import { CARD_MARKS } from '$lib/core/checklist/card';
	import { countOf } from '$lib/ui/numerals';
	import { LAST_COLUMNS, type CardSheet, type TextField } from './card-sheet.svelte';

	let { sheet, rarities }: { sheet: CardSheet; rarities: readonly string[] } = $props();
	let text = $state('');
	let into = $state<TextField>('group');
	const COLUMNS = [{ field: 'group' as TextField, name: 'Group' }, ...LAST_COLUMNS.slice(1)];
</script>

<button class="btn btn-ghost btn-sm" onclick={() => sheet.chooseAll()}
	>{sheet.chosenCount > 0 && sheet.chosenCount === sheet.rows.length
		? 'Choose none'
		: 'Choose all'}</button
>
{#if sheet.chosenCount > 0}
	<span class="quiet">{countOf(sheet.chosenCount, 'card')} chosen:</span>
	<form
		class="flex gap-1"
		onsubmit={(event) => {
			event.preventDefault();
			sheet.writeChosen(into, text);
			if (into !== 'group') sheet.lastField = into;
		}}
	>
		<select class="select w-36 select-sm" bind:value={into} aria-label="Column to set">
			{#each COLUMNS as { field, name } (field)}<option value={field}>{name}</option>{/each}
		</select>
		<input class="input w-32 input-sm" bind:value={text} aria-label="Text for the chosen cards" />
		<button class="btn btn-sm">Set</button>
	</form>
	<select
		class="select w-32 select-sm"
		aria-label="Mark the chosen cards"
		value=""
		onchange={(event) => {
			const mark = CARD_MARKS.find((known) => known === event.currentTarget.value);
			if (mark) sheet.markChosen(mark);
			event.currentTarget.value = '';
		}}
	>
		<option value="" disabled>Mark as</option>
		{#each CARD_MARKS as mark (mark)}<option value={mark}>{mark}</option>{/each}
	</select>
	{#if rarities.length > 0}
		<select
			class="select w-32 select-sm"
			aria-label="Rarity of the chosen cards"
			value=""
			onchange={(event) => {
				sheet.writeChosen('rarity', event.currentTarget.value);
				event.currentTarget.value = '';
			}}
		>
			<option value="" disabled>Rarity</option>
			{#each rarities as rarity (rarity)}<option value={rarity}>{rarity}</option>{/each}
		</select>
	{/if}
	<button class="btn btn-ghost text-error btn-sm" onclick={() => sheet.removeChosen()}
		>Remove</button
	>
{/if}
