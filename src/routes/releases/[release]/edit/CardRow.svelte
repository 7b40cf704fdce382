<script lang="ts">
	import { tick } from 'svelte';
	import { LAST_COLUMNS, type CardSheet, type SheetRow, type TextField } from './card-sheet.svelte';

	let { row, sheet }: { row: SheetRow; sheet: CardSheet } = $props();
	const fields = $derived<
		readonly { readonly field: TextField; readonly name: string; readonly text: string }[]
	>([
		{ field: 'number', name: 'Number', text: row.text.number },
		{ field: 'title', name: 'Title', text: row.text.title },
		{ field: 'group', name: 'Group', text: row.text.group },
		{ field: 'subjects', name: 'Subjects', text: row.text.subjects },
		{
			field: sheet.lastField,
			name: LAST_COLUMNS.find(({ field }) => field === sheet.lastField)?.name ?? '',
			text: row.last
		}
	]);
	const isFirst = (field: TextField) => field === 'number' || field === 'title';
	const name = $derived(row.text.number || row.text.title || 'new card');
</script>

<div
	class={[
		'grid grid-cols-[2rem_4rem_1fr] items-center gap-x-2 gap-y-1 border-l-3 px-1 py-0.5 sm:grid-cols-[2rem_5rem_1.4fr_1fr_1fr_1fr]',
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
	{#each fields as { field, name: label, text } (field)}
		<input
			class={[
				'input w-full input-sm',
				field === 'number' && 'font-semibold',
				!isFirst(field) && 'max-sm:col-start-3'
			]}
			data-field={field}
			value={text}
			disabled={row.state === 'removed' ||
				(row.state === 'added' && !isFirst(field)) ||
				(row.isRepeated && !isFirst(field) && field !== 'group')}
			oninput={(event) => sheet.write(row.key, field, event.currentTarget.value)}
			aria-label="{label} of {name}"
			autocomplete="off"
		/>
	{/each}
	{#if row.marks.length > 0}<span class="col-start-3 text-sm quiet"
			>Marked {row.marks.join(', ')}</span
		>{/if}
</div>
