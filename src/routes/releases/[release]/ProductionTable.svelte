<script lang="ts">
	import { productionOf } from '$lib/core/checklist/versions/production';
	import { groupName } from '$lib/core/goal/missing-list';
	import { wholeSections } from '$lib/core/checklist/edition';
	import type { Release } from '$lib/core/checklist/release';
	import { formatCount } from '$lib/ui/numerals';

	/** What exists where it is numbered, and how many complete runs there can be. */
	let { release }: { release: Release } = $props();
	const sections = $derived(
		new Map(wholeSections(release).map((section) => [section.key, section]))
	);
	const rows = $derived(
		productionOf(release)
			.filter(({ numbered }) => numbered > 0)
			.map((row) => {
				const section = sections.get(row.sectionKey);
				const name = section ? groupName(release, section, row.parallelKey) : row.sectionKey;
				return { ...row, name };
			})
	);
</script>

{#if rows.length > 0}
	<details class="mt-8">
		<summary class="cursor-pointer font-serif text-xl">What can exist</summary>
		<p class="mt-2 mb-3 max-w-2xl quiet">
			Where cards are numbered, the smallest print run is the most complete runs there can be.
		</p>
		<div class="overflow-x-auto">
			<table class="table table-sm">
				<thead
					><tr
						><th>Section and finish</th><th class="text-right">Cards</th><th class="text-right"
							>Versions</th
						><th class="text-right">Copies made</th><th class="text-right"
							>Complete runs, at most</th
						></tr
					></thead
				>
				<tbody>
					{#each rows as row (row.name)}
						<tr>
							<th scope="row">{row.name}</th>
							<td class="text-right">{formatCount(row.cards)}</td>
							<td class="text-right">{formatCount(row.versions)}</td>
							<td class="text-right"
								>{formatCount(row.copiesMade ?? 0)}{row.numbered < row.versions
									? ` of ${row.numbered} numbered`
									: ''}</td
							>
							<td class="text-right">{formatCount(row.mostRuns ?? 0)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</details>
{/if}
