<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { BoxRespacing } from '$lib/server/storage/room/respace-box';
	import { countOf, formatSize } from '$lib/ui/numerals';

	let { respacing }: { respacing: BoxRespacing } = $props();
</script>

<section class="mb-5 max-w-3xl border-l-3 border-error pl-4" aria-labelledby="respacing">
	<h2 id="respacing" class="mb-1">
		Row {respacing.row} is {formatSize(Math.max(1, Math.round(respacing.overUm / 1000)))} too full
	</h2>
	{#if respacing.isHopeless}
		<p>
			All rows together are too short: one set has to go into another box. The plan finds its cards
			a place.
		</p>
		{#if respacing.out}
			<form method="POST" action="?/drop" use:enhance class="mt-2">
				<input type="hidden" name="divider" value={respacing.out.dividerId} />
				<button class="btn btn-sm"
					>Take out {respacing.out.label} of this row, {countOf(
						respacing.out.cards,
						'card'
					)}</button
				>
			</form>
		{/if}
	{:else}
		<ol aria-label="Re-spacing slip">
			{#each respacing.lines as { name, label, fromRow, toRow, cards, first, last }, i (name)}
				<li class="flex items-center gap-3 py-1.5">
					<span class="w-6 shrink-0 text-right font-serif text-xl quiet">{i + 1}</span>
					<p class="min-w-0 flex-1">
						{label},
						<strong class="font-semibold">{first === last ? first : `${first}–${last}`}</strong>
						({countOf(cards, 'card')}): from row {fromRow} into row {toRow}
					</p>
					{#if i === 0}
						<form method="POST" action="?/respace" use:enhance>
							<input type="hidden" name="step" value={name} />
							<button class="btn btn-primary btn-sm">Done</button>
						</form>
					{/if}
				</li>
			{/each}
		</ol>
		<p class="text-sm quiet">
			As little moves as can be, the farthest row first; you may stop after any step.
		</p>
	{/if}
</section>
