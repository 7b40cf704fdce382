<script lang="ts">
	import { tick } from 'svelte';
	import type { CardSheet, SheetRow, TextField } from './card-sheet.svelte';

	let { row, sheet }: { row: SheetRow; sheet: CardSheet } = $props();
	const FIELDS: readonly { readonly field: TextField; readonly name: string }[] = [
		{ field: 'number', name: 'Number' },
		{ field: 'title', name: 'Title' },
		{ field: 'group', name: 'Group' },
		{ field: 'subjects', name: 'Subjects' },
		{ field: 'rarity', name: 'Rarity' }
	];
	const name = $derived(row.text.number || row.text.title || 'new card');
</script>

<div
	class={[
		'grid grid-cols-[2rem_4rem_1fr] items-center gap-x-2 gap-y-1 border-l-3 px-1 py-0.5 sm:grid-cols-[2rem_5rem_1.4fr_1fr_1fr_7rem]',
		row.isChosen && 'bg-base-200',
		row.state === 'changed' && 'border-accent',
		row.state === 'added' && 'border-primary',
		row.state === 'removed' && 'border-error line-through opacity-60',
		row.state === 'same' && 'border-transparent'
	]}
>
	<input
		type="checkbox"
		class="checkbox checkbox-sm"
		checked={row.isChosen}
		onclick={async (event) => {
			const box = event.currentTarget;
			sheet.choose(row.key, event.shiftKey);
			// The browser has turned the box over already; the sheet may see it otherwise.
			await tick();
			box.checked = row.isChosen;
		}}
		aria-label="Choose {name}"
	/>
	{#each FIELDS as { field, name: label } (field)}
		<input
			class={[
				'input w-full input-sm',
				field === 'number' && 'font-semibold',
				(field === 'group' || field === 'subjects' || field === 'rarity') && 'max-sm:col-start-3'
			]}
			data-field={field}
			value={row.text[field]}
			disabled={row.state === 'removed' ||
				(row.state === 'added' && field !== 'number' && field !== 'title')}
			oninput={(event) => sheet.write(row.key, field, event.currentTarget.value)}
			aria-label="{label} of {name}"
			autocomplete="off"
		/>
	{/each}
	{#if row.marks.length > 0}<span class="col-start-3 text-sm quiet"
			>Marked {row.marks.join(', ')}</span
		>{/if}
</div>
