<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { CARD_SHAPES } from '$lib/core/checklist/card-format';
	import { formatTells } from '$lib/core/checklist/rule-sheet/tell-cell';
	import type { PaletteFinish } from '$lib/core/checklist/palette';
	import Field from '$lib/ui/Field.svelte';

	interface Props {
		finish?: PaletteFinish;
		submit: string;
	}
	let { finish, submit }: Props = $props();
	const FIELDS = [
		{ name: 'name', label: 'Name', width: 'w-44' },
		{ name: 'look', label: 'Looks', width: 'w-64' },
		{ name: 'howToTell', label: 'How to tell', width: 'w-80' },
		{ name: 'tells', label: 'Tells (edge: green; ink: brass / look back)', width: 'w-96' },
		{ name: 'channel', label: 'Comes only in', width: 'w-52' },
		{ name: 'stockPt', label: 'Stock, pt', width: 'w-24' }
	] as const;
</script>

<form
	method="POST"
	action="?/save"
	class="flex flex-wrap items-end gap-3"
	use:enhance={() =>
		({ update }) =>
			update({ reset: finish === undefined })}
>
	{#if finish}<input type="hidden" name="key" value={finish.key} />{/if}
	{#each FIELDS as { name, label, width } (name)}
		<Field {label} class={width}>
			<input
				class="input w-full input-sm"
				{name}
				value={name === 'tells' ? formatTells(finish?.tells ?? []) : (finish?.[name] ?? '')}
				required={name === 'name'}
				inputmode={name === 'stockPt' ? 'decimal' : undefined}
			/>
		</Field>
	{/each}
	<Field label="Shape" class="w-36">
		<select class="select w-full select-sm" name="shape" value={finish?.shape ?? ''}>
			<option value="">as its section</option>
			{#each CARD_SHAPES as shape (shape)}<option value={shape}>{shape}</option>{/each}
		</select>
	</Field>
	<button class="btn btn-sm">{submit}</button>
</form>
