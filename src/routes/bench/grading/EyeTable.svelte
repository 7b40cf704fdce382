<script lang="ts">
	import type { GradingView } from '$lib/server/worth/grading/grading-view';

	/** How the collector's own estimates stood against what houses said. */
	let { eye }: { eye: GradingView['eye'] } = $props();
	const rows = $derived(
		eye.byHouse.length > 1 ? [...eye.byHouse, { house: 'All', ...eye.all }] : eye.byHouse
	);
	const lean = (mean: number | null) =>
		mean === null
			? ''
			: mean === 0
				? 'neither kind nor hard'
				: `${Math.abs(mean).toFixed(2)} too ${mean < 0 ? 'kind' : 'hard'}`;
</script>

{#if eye.all.checked > 0}
	<section class="mt-8 max-w-3xl" aria-labelledby="eye">
		<h2 id="eye" class="mb-1">Your eye</h2>
		<div class="overflow-x-auto">
			<table class="table table-sm">
				<thead
					><tr
						><th>House</th><th class="text-right">Estimated and back</th><th class="text-right"
							>Right</th
						><th class="text-right">Within a half</th><th>On average</th></tr
					></thead
				>
				<tbody>
					{#each rows as row (row.house)}
						<tr data-testid="eye">
							<td>{row.house}</td><td class="text-right">{row.checked}</td><td class="text-right"
								>{row.exact} of {row.graded}</td
							><td class="text-right">{row.withinHalf} of {row.graded}</td><td class="estimate"
								>{lean(row.meanDifference)}</td
							>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p class="mt-1 text-sm quiet">
			“Grade it or not” on the ladder takes these differences, by your own eye.
			{eye.all.graded < 10 ? 'Fewer than ten cards say little yet.' : ''}
		</p>
	</section>
{/if}
