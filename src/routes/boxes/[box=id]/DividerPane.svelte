<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { countOf, formatMoment } from '$lib/ui/numerals';
	import Field from '$lib/ui/Field.svelte';

	interface Props {
		divider: {
			readonly id: number;
			readonly label: string;
			readonly row: number;
			readonly cards: number;
			readonly numbers: string;
			readonly titles: readonly string[];
			readonly doubles: number;
			readonly checkedAt: string | null;
		};
	}
	let { divider }: Props = $props();
	const TITLES = 30;
</script>

<section class="mt-4 max-w-3xl bg-base-200 p-4" aria-label={divider.label}>
	<h2 class="wrap-anywhere">{divider.label}</h2>
	<p class="quiet">
		row {divider.row}, {countOf(divider.cards, 'card')}{divider.doubles > 0
			? `, ${countOf(divider.doubles, 'number')} more than once`
			: ''} · {divider.checkedAt
			? `stock taken ${formatMoment(divider.checkedAt)}`
			: 'stock never taken'}
	</p>
	<p class="my-2 text-lg wrap-anywhere">
		{divider.numbers}{divider.numbers && divider.titles.length > 0 ? ', ' : ''}{divider.titles
			.slice(0, TITLES)
			.join(', ')}{divider.titles.length > TITLES
			? ` and ${divider.titles.length - TITLES} more`
			: ''}{divider.cards === 0 ? 'Nothing stands here yet.' : ''}
	</p>
	<div class="flex flex-wrap items-end gap-3">
		<form method="POST" action="?/rename" use:enhance class="flex items-end gap-2">
			<input type="hidden" name="divider" value={divider.id} />
			<Field label="What the divider says">
				<input class="input w-60 input-sm" name="label" maxlength="120" value={divider.label} />
			</Field>
			<button class="btn btn-sm">Rename</button>
		</form>
		<form method="POST" action="?/drop" use:enhance>
			<input type="hidden" name="divider" value={divider.id} />
			<button
				class="btn btn-ghost btn-sm"
				title="The cards behind it have no place then; undo brings all of it back."
				>Take the divider out</button
			>
		</form>
	</div>
</section>
